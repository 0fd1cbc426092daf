import type { Preferences } from '#core/glossary';
import { usePreferences } from '../api';
import { useState } from 'react';
import { Notice, Picks, TextField, Tick } from '../ui';
import { inWords } from '#client/api';
import { useSavePreferences } from '../offers';
import { RightWords } from '../spelling';

const SHOWN: [Preferences['offers'], string][] = [
  ['margin', 'in the margin, level with the line'],
  ['caret', 'in the margin and right under the cursor'],
  ['off', 'not at all'],
];
const FIRST: [Preferences['firstBy'], string][] = [
  ['key', 'by its own key only, so that nothing is ever taken by accident'],
  ['space', 'by the space after it as well, unless what you typed is a word already'],
];

/** Whether text commands are on, and the signs that begin them. */
function CommandLeadIn({ value, save }: { value: string; save: (leadIn: string) => void }) {
  const [typed, setTyped] = useState<string | null>(null);
  const leave = () => {
    if (typed !== null && /^[^\s\p{L}\p{N}.]{1,3}$/u.test(typed)) save(typed);
    setTyped(null);
  };
  return (
    <div>
      <Tick on={value !== ''} toggle={() => save(value === '' ? '//' : '')}>
        Text commands, typed at the start of a word
      </Tick>
      {value !== '' && (
        <TextField
          label="They begin with"
          className="mt-1 max-w-24 font-cue"
          maxLength={3}
          value={typed ?? value}
          onChange={({ target }) => setTyped(target.value)}
          onBlur={leave}
          hint={`${value}erase.2.words, or ${value}e.2.w`}
        />
      )}
    </div>
  );
}

/** How one likes to be offered things. Saved at once, for this member on every machine. */
export function PreferencesPanel() {
  const preferences = usePreferences();
  const save = useSavePreferences();
  const error = save.error ?? preferences.error;
  return (
    <section aria-label="How you are offered things" className="grid gap-4">
      <Picks
        legend="Show offers"
        options={SHOWN}
        value={preferences.data?.offers ?? null}
        pick={(offers) => save.mutate((before) => ({ ...before, offers }))}
      />
      <Picks
        legend="The first is taken"
        options={FIRST}
        value={preferences.data?.firstBy ?? null}
        pick={(firstBy) => save.mutate((before) => ({ ...before, firstBy }))}
      />
      <Tick
        on={preferences.data?.smallWords !== false}
        toggle={() => save.mutate((before) => ({ ...before, smallWords: before.smallWords === false }))}
      >
        Small words that go together, by their first letters: hw for “he was”
      </Tick>
      <CommandLeadIn
        value={preferences.data?.commandLeadIn ?? ''}
        save={(commandLeadIn) =>
          save.mutate(({ commandLeadIn: _, ...before }) => ({
            ...before,
            ...(commandLeadIn && { commandLeadIn }),
          }))
        }
      />
      <RightWords />
      {error && <Notice tone="warning" title={inWords(error)} />}
    </section>
  );
}
