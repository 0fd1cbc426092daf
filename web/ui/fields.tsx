import { useId, type ComponentProps, type ReactNode } from 'react';

interface Labelled {
  label: string;
  /** What is wrong with what was given, in words. */
  error?: string;
  hint?: ReactNode;
}

function Wrapped({ id, label, error, hint, children }: Labelled & { id: string; children: ReactNode }) {
  return (
    <div>
      <label htmlFor={id} className="eyebrow block">
        {label}
      </label>
      {children}
      {hint && <div className="mt-0.5 text-[13px] text-soft">{hint}</div>}
      {error && (
        <p id={`${id}-error`} className="mt-1 text-[13px] text-rust" role="alert">
          {error}
        </p>
      )}
    </div>
  );
}

/** A ruled line to write on, with its label above it and what is wrong below. */
export function TextField({
  label,
  error,
  hint,
  lead = '',
  className = '',
  id: given,
  ...rest
}: Labelled &
  ComponentProps<'input'> & { /** A sign that all that is written here begins with. */ lead?: string }) {
  const own = useId();
  const id = given ?? own;
  return (
    <Wrapped id={id} label={label} error={error} hint={hint}>
      <span className="flex items-baseline">
        {lead && (
          <span id={`${id}-lead`} className="cue pr-0.5">
            <span className="sr-only">begins with </span>
            {lead}
          </span>
        )}
        <input
          id={id}
          className={`input min-w-0 ${className}`}
          aria-invalid={error ? true : undefined}
          aria-describedby={
            [lead && `${id}-lead`, error && `${id}-error`].filter(Boolean).join(' ') || undefined
          }
          autoComplete="off"
          {...rest}
        />
      </span>
    </Wrapped>
  );
}

/** A choice among a few, as the browser's own list. */
export function SelectField({ label, error, hint, children, ...rest }: Labelled & ComponentProps<'select'>) {
  const id = useId();
  return (
    <Wrapped id={id} label={label} error={error} hint={hint}>
      <select id={id} className="input" {...rest}>
        {children}
      </select>
    </Wrapped>
  );
}
