import type { ReactNode } from 'react';

interface Props {
  tone?: 'plain' | 'warning';
  title: string;
  children?: ReactNode;
}

/** Something to know: what happened, what was kept, what to do. Warnings are announced at once. */
export function Notice({ tone = 'plain', title, children }: Props) {
  const warning = tone === 'warning';
  return (
    <div
      role={warning ? 'alert' : 'status'}
      className={`border-l-2 py-1 pl-3 text-[14px] ${warning ? 'border-rust' : 'border-leaf'}`}
    >
      <p className={`font-semibold ${warning ? 'text-rust' : 'text-ink'}`}>{title}</p>
      {children && <div className="text-soft">{children}</div>}
    </div>
  );
}
