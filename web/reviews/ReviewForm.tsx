import { useState } from 'react';
import { useTeam } from '../api';
import { useShell } from '../shell';
import { Button, SelectField, TextField } from '../ui';
import { nextDay } from './reviews';

interface Props {
  label: string;
  /** What stands in it at first; a day some months ahead and oneself where there is none. */
  due?: string;
  keeper?: string;
  pending: boolean;
  give: (review: { due: string; keeper: string }) => void;
  cancel?: () => void;
}

/** A day on which something is looked through again, and who does it. */
export function ReviewForm({ label, due, keeper, pending, give, cancel }: Props) {
  const { member } = useShell();
  const { data } = useTeam();
  const [day, setDay] = useState(due ?? nextDay());
  const [who, setWho] = useState(keeper ?? member.id);
  const people = data?.members.filter(({ left, id }) => !left || id === who) ?? [member];
  return (
    <form
      className="flex flex-wrap items-end gap-x-4 gap-y-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (day !== '') give({ due: day, keeper: who });
      }}
    >
      <TextField
        label="Review again on"
        type="date"
        value={day}
        onChange={({ target }) => setDay(target.value)}
      />
      <SelectField label="Reviewer" value={who} onChange={({ target }) => setWho(target.value)}>
        {people.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      <Button type="submit" disabled={day === '' || pending}>
        {label}
      </Button>
      {cancel && <Button onClick={cancel}>Cancel</Button>}
    </form>
  );
}
