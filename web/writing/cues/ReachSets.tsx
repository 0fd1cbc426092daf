import { useState } from 'react';
import { MOST_REACH_SETS, withReachSet, type Preferences, type ReachSet } from '#core/glossary';
import { Button } from '../../ui';

interface Props {
  sets: readonly ReachSet[];
  /** What is in reach now, by id. */
  inReach: readonly string[];
  /** Changes them; `done` is called once that is saved. */
  change: (now: (before: Preferences) => Preferences, done?: () => void) => void;
}

/** Keeps what is in reach now as a set under a name, and lets go of sets. */
export function ReachSets({ sets, inReach, change }: Props) {
  const [name, setName] = useState('');
  const [removed, setRemoved] = useState<ReachSet | null>(null);
  const drop = (set: ReachSet) =>
    change(
      (before) => ({
        ...before,
        reachSets: (before.reachSets ?? []).filter((one) => one.name !== set.name),
      }),
      () => setRemoved(set),
    );
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
      {removed && !sets.some((one) => one.name === removed.name) && (
        <p role="status" className="py-1">
          “{removed.name}” is removed.{' '}
          <Button look="text" onClick={() => change((before) => withReachSet(before, removed))}>
            Undo
          </Button>
        </p>
      )}
      {sets.length < MOST_REACH_SETS ? (
        <form
          className="mt-1 flex items-end gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            const set = { name: name.trim(), lists: [...inReach] };
            if (set.name === '') return;
            // Where it cannot be saved its name stays, and so does what is typed meanwhile.
            change(
              (before) => withReachSet(before, set),
              () => setName((now) => (now === name ? '' : now)),
            );
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
