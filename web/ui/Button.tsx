import type { ComponentProps } from 'react';

interface Props extends ComponentProps<'button'> {
  /** `main` for the one thing to do here; `quiet` for the rest; `text` within running text. */
  look?: 'main' | 'quiet' | 'text';
}

const LOOKS = {
  main: 'bg-elder text-on-elder font-semibold px-4 py-1.5 rounded-[3px] hover:opacity-90 [&_kbd]:border-on-elder/60 [&_kbd]:text-on-elder',
  quiet: 'border border-rule/60 px-3 py-1 rounded-[3px] hover:border-elder hover:text-elder',
  text: 'min-h-6 text-elder underline underline-offset-3 decoration-rule hover:decoration-elder',
};

/** A button in one of three weights. */
export function Button({ look = 'quiet', className = '', type = 'button', ...rest }: Props) {
  return (
    <button
      type={type}
      className={`${LOOKS[look]} inline-flex items-center gap-1.5 whitespace-nowrap disabled:cursor-default disabled:opacity-50 ${className}`}
      {...rest}
    />
  );
}
