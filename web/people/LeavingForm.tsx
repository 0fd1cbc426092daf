import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Person } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { leaveSession } from '../account';
import { useShell } from '../shell';
import { Button, Notice, SelectField } from '../ui';

interface Props {
  person: Pick<Person, 'id' | 'name'>;
  /** Those of the team who can take over. */
  people: readonly Pick<Person, 'id' | 'name'>[];
  done: (words: string) => void;
  close: () => void;
}

/** Who takes over what someone keeps; and, where it is wanted, the end of their membership. */
export function LeavingForm({ person, people, done, close }: Props) {
  const { member } = useShell();
  const [to, setTo] = useState('');
  const { id, name } = person;
  const taker = people.find((one) => one.id === to);
  const settled = () => {
    for (const queryKey of [KEYS.people, KEYS.team, KEYS.bank])
      void queryClient.invalidateQueries({ queryKey });
    close();
  };
  const hand = useMutation({
    mutationFn: () => call('handOver', { params: { member: id }, body: { to } }),
    onSuccess: ({ collections }) => {
      done(
        `${collections === 1 ? 'One collection' : `${collections} collections`} of ${name} went to ${taker?.name}.`,
      );
      settled();
    },
  });
  const leave = useMutation({
    mutationFn: () => call('leave', { params: { member: id }, body: { handTo: to || null } }),
    onSuccess: () => {
      // One's own sessions have ended with it.
      if (id === member.id) return void leaveSession(member.id);
      done(`${name} has left the team, and can be brought back.`);
      settled();
    },
  });
  const error = hand.error ?? leave.error;
  return (
    <form
      aria-label={`Hand over what ${name} keeps`}
      className="mt-3 grid gap-3 border-l-2 border-rust pl-3"
      onSubmit={(event) => event.preventDefault()}
    >
      <SelectField
        label="Who takes over what they keep"
        value={to}
        onChange={({ target }) => setTo(target.value)}
      >
        <option value="">nobody</option>
        {people
          .filter((one) => one.id !== id)
          .map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
      </SelectField>
      <p className="text-[13px] text-soft">
        Ending the membership signs {name} out everywhere. Their name stays in the history; their own wording
        and drafts wait, unseen, until they come back.
      </p>
      {error && <Notice tone="warning" title={inWords(error)} />}
      <p className="flex flex-wrap gap-2">
        <Button disabled={to === '' || hand.isPending} onClick={() => hand.mutate()}>
          Hand over only
        </Button>
        <Button disabled={leave.isPending} onClick={() => leave.mutate()}>
          End the membership
        </Button>
        <Button look="text" onClick={close}>
          Cancel
        </Button>
      </p>
    </form>
  );
}
