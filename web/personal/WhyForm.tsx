import { useState } from 'react';
import { Button, TextField } from '../ui';

interface Props {
  words: string;
  letStand: (words: string, why: string) => void;
  close: () => void;
  pending: boolean;
}

/** A form for why words may stand. */
export function WhyForm({ words, letStand, close, pending }: Props) {
  const [why, setWhy] = useState('');
  return (
    <form
      className="flex items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        letStand(words, why.trim());
      }}
    >
      <div className="grow">
        <TextField
          label={`Reason to allow “${words}”`}
          autoFocus
          maxLength={300}
          value={why}
          onChange={({ target }) => setWhy(target.value)}
        />
      </div>
      <Button type="submit" disabled={why.trim() === '' || pending}>
        Allow it
      </Button>
      <Button onClick={close}>Cancel</Button>
    </form>
  );
}
