import type { Preferences } from '#core/glossary';
import { usePreferences } from '../api/queries';
import { Notice, Picks } from '../ui';
import { inWords } from '../api/client';
import { useSavePreferences } from '../offers/useSavePreferences';

const SHOWN: [Preferences['offers'], string][] = [
  ['margin', 'in the margin, level with the line'],
  ['caret', 'in the margin and right under the caret'],
  ['off', 'not at all'],
];
const FIRST: [Preferences['firstBy'], string][] = [
  ['key', 'by its own key only, so that nothing is ever taken by accident'],
  ['space', 'by the space after it as well, unless what you typed is a word already'],
];

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
      {error && <Notice tone="warning" title={inWords(error)} />}
    </section>
  );
}
