import { useState } from 'react';
import { MOST_KEPT_CASTS, type KeptCast, type Speaker } from '#core/transcript';
import { inWords } from '#client/api';
import { usePreferences } from '../../api';
import { useSavePreferences } from '../../offers';
import { Button, Notice } from '../../ui';

interface Props {
  cast: readonly Speaker[];
  take: (speakers: readonly Speaker[]) => void;
}

/** The groups after one is kept: one of the same name gives way to it. */
const withGroup = (groups: readonly KeptCast[], group: KeptCast): KeptCast[] => [
  group,
  ...groups.filter(({ name }) => name.toLowerCase() !== group.name.toLowerCase()),
];

/** Keeps the cast as it is under a name. */
function KeepForm({ keep, isFull }: { keep: (name: string, kept: () => void) => void; isFull: boolean }) {
  const [name, setName] = useState('');
  if (isFull)
    return (
      <p className="text-[13px] text-soft">
        You keep {MOST_KEPT_CASTS} groups, which is the most. Remove one to keep another.
      </p>
    );
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (name.trim() === '') return;
        // Where it cannot be saved its name stays, and so does what is typed meanwhile.
        keep(name.trim(), () => setName((now) => (now === name ? '' : now)));
      }}
    >
      <label className="grow">
        <span className="eyebrow block">Keep this cast as a group</span>
        <input
          className="input w-full"
          value={name}
          maxLength={80}
          placeholder="Name of the group"
          autoComplete="off"
          onChange={({ target }) => setName(target.value)}
        />
      </label>
      <Button type="submit" disabled={name.trim() === ''}>
        Keep
      </Button>
    </form>
  );
}

/** Groups of speakers that are kept: added to the cast at once, whoever is in it already but once. */
export function KeptCasts({ cast, take }: Props) {
  const groups = usePreferences().data?.casts ?? [];
  const save = useSavePreferences();
  const [removed, setRemoved] = useState<KeptCast | null>(null);
  const change = (now: (before: readonly KeptCast[]) => KeptCast[], done?: () => void) =>
    save.mutate((before) => ({ ...before, casts: now(before.casts ?? []) }), { onSuccess: done });
  const remove = (group: KeptCast) =>
    change(
      (before) => before.filter(({ name }) => name !== group.name),
      () => setRemoved(group),
    );
  if (groups.length === 0 && cast.length === 0 && !removed) return null;
  return (
    <div className="mt-3 grid gap-2">
      {groups.length > 0 && (
        <div>
          <h3 className="eyebrow">Groups you keep</h3>
          <ul className="grid text-[14px]">
            {groups.map((group) => (
              <li key={group.name} className="flex items-baseline gap-3">
                <Button
                  look="text"
                  className="grow text-left whitespace-normal"
                  onClick={() => take(group.cast)}
                >
                  {group.name}
                </Button>
                <span className="text-[12px] text-soft">
                  {group.cast.length === 1 ? '1 speaker' : `${group.cast.length} speakers`}
                </span>
                <Button
                  look="text"
                  aria-label={`Remove the group ${group.name}`}
                  onClick={() => remove(group)}
                >
                  Remove
                </Button>
              </li>
            ))}
          </ul>
        </div>
      )}
      {removed && !groups.some(({ name }) => name === removed.name) && (
        <Notice title={`The group “${removed.name}” is removed.`}>
          <Button look="text" onClick={() => change((before) => withGroup(before, removed))}>
            Undo
          </Button>
        </Notice>
      )}
      {cast.length > 0 && (
        <KeepForm
          isFull={groups.length >= MOST_KEPT_CASTS}
          keep={(name, kept) => change((before) => withGroup(before, { name, cast: [...cast] }), kept)}
        />
      )}
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}
