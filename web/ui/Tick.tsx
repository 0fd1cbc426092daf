import type { ReactNode } from 'react';

interface Props {
  on: boolean;
  toggle: () => void;
  children: ReactNode;
}

/** Something that is so or not so, with its words behind it. */
export function Tick({ on, toggle, children }: Props) {
  return (
    <label className="flex min-h-6 items-center gap-2 text-[14px]">
      <input type="checkbox" checked={on} onChange={toggle} className="accent-elder" />
      {children}
    </label>
  );
}
