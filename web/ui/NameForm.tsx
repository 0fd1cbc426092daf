import { useState } from 'react';
import { Button } from './Button';
import { TextField } from './fields';

interface Props {
  label: string;
  /** What went wrong with the last one, in words. */
  error?: string;
  pending: boolean;
  /** What is worth knowing of a name before it is given; null for nothing. */
  noteOn?: (name: string) => string | null;
  make: (name: string) => void;
  className?: string;
}

/** A name and one key, and there is a new one of something. */
export function NameForm({ label, error, pending, noteOn, make, className = '' }: Props) {
  const [name, setName] = useState('');
  const isNamed = name.trim() !== '';
  const note = isNamed ? noteOn?.(name.trim()) : null;
  return (
    <form
      className={`flex items-end gap-3 ${className}`}
      onSubmit={(event) => {
        event.preventDefault();
        if (isNamed && !pending) make(name);
      }}
    >
      <div className="grow">
        <TextField
          label={label}
          placeholder="Name"
          value={name}
          maxLength={80}
          error={error}
          onChange={({ target }) => setName(target.value)}
        />
        {note && (
          <p role="status" className="mt-1 text-[13px] text-rust">
            {note}
          </p>
        )}
      </div>
      <Button type="submit" disabled={pending || !isNamed}>
        Create
      </Button>
    </form>
  );
}
