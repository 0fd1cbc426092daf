import { useState } from 'react';
import { MOST_REACH_SETS, withReachSet, type Preferences, type ReachSet } from '#core/glossary';
import { Button } from '../../ui';

interface Props {
  sets: readonly ReachSet[];
  /** What is in reach now, by id. */
  inReach: readonly string[];
  change: (now: (before: Preferences) => Preferences) => void;
}

/** Keeps what is in reach now as a set under a name, and lets go of sets. */
export function ReachSets({ sets, inReach, change }: Props) {
  const [name, setName] = useState('');
  const drop = (set: ReachSet) =>
    change((before) => ({
      ...before,
      reachSets: (before.reachSets ?? []).filter((one) => one.name !== set.name),
    }));
  return (
    <details className="mt-2 text-[14px]">
      <summary className="text-elder underline">Sets of collections and glossaries</summary>
      <ul>
        {sets.map((set) => (
          <li key={set.name} className="flex items-baseline gap-3 border-b border-hair py-1">
            <span className="min-w-0 grow truncate">{set.name}</span>
            <Button look="text" aria-label={`Remove the set ${set.name}`} onClick={() => drop(set)}>
              Remove
            </Button>
          </li>
        ))}
      </ul>
      {sets.length < MOST_REACH_SETS ? (
        <form
          className="mt-1 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const set = { name: name.trim(), lists: [...inReach] };
            if (set.name !== '') change((before) => withReachSet(before, set));
            setName('');
          }}
        >
          <label className="grow">
            <span className="eyebrow block">Keep what is in reach now as a set</span>
            <input
              className="input w-full"
              value={name}
              maxLength={60}
              placeholder="Name of the set"
              autoComplete="off"
              onChange={({ target }) => setName(target.value)}
            />
          </label>
          <Button type="submit" disabled={name.trim() === ''}>
            Keep
          </Button>
        </form>
      ) : (
        <p className="text-[13px] text-soft">
          You keep {MOST_REACH_SETS} sets, which is the most. Remove one to keep another.
        </p>
      )}
    </details>
  );
}
