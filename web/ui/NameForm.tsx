import { useState } from 'react';
import { Button } from './Button';
import { TextField } from './fields';

interface Props {
  label: string;
  /** What went wrong with the last one, in words. */
  error?: string;
  pending: boolean;
  make: (name: string) => void;
  className?: string;
}

/** A name and one key, and there is a new one of something. */
export function NameForm({ label, error, pending, make, className = '' }: Props) {
  const [name, setName] = useState('');
  const isNamed = name.trim() !== '';
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
          placeholder="Its name"
          value={name}
          maxLength={80}
          error={error}
          onChange={({ target }) => setName(target.value)}
        />
      </div>
      <Button type="submit" disabled={pending || !isNamed}>
        Make it
      </Button>
    </form>
  );
}
