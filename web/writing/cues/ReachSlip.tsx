import { useEffect, useRef, useState } from 'react';
import type { Glossary } from '#contracts';
import { folded, isInReach, switchedIn, switchedTo, type Preferences } from '#core/glossary';
import { renewCollection, usePreferences } from '../../api';
import { inWords } from '#client/api';
import type { BankIndex } from '#core/bank';
import { useSavePreferences } from '../../offers';
import { Key, Notice } from '../../ui';

const SHOWN = 60;
const NONE: ReadonlySet<string> = new Set();

interface Props {
  kind: string;
  index: BankIndex | null;
  glossaries: readonly Glossary[];
  close: () => void;
}

/**
 * A change that switches a list the other way than it is on this page, once that is known: what another window saved
 * meanwhile does not turn it round.
 */
function turning(list: Parameters<typeof switchedTo>[1], kind: string) {
  let isWanted: boolean | undefined;
  return (before: Preferences): Preferences => {
    isWanted ??= !isInReach(list, kind, before.reach[kind]);
    return switchedTo(before, list, kind, isWanted);
  };
}

/** What is in reach for this kind of work, switched by typing a few letters and Enter; remembered for such work. */
export function ReachSlip({ kind, index, glossaries, close }: Props) {
  const [query, setQuery] = useState('');
  const [at, setAt] = useState(0);
  const preferences = usePreferences();
  const save = useSavePreferences();
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const problem = save.error ?? preferences.error;
  const asked = folded(query.trim());
  // Of these no cue fires until they are switched in by name.
  const away = index?.away ?? NONE;
  const named = [
    ...(index?.bank.collections ?? []).map((list) => ({
      ...list,
      what: list.leadIn ? `cues begin with ${list.leadIn}` : 'wording',
    })),
    ...glossaries.map((list) => ({ ...list, what: 'glossary' })),
  ].filter(({ name }) => folded(name).includes(asked));
  const lists = named.slice(0, SHOWN);
  const current = Math.min(at, lists.length - 1);
  const flip = (list: (typeof lists)[number]) => {
    if (!away.has(list.id)) return save.mutate(turning(list, kind));
    // Asked for by name, it is at hand from now on, here and wherever one signs in.
    save.mutate((before) => switchedIn(before, list, kind));
    void renewCollection(list.id);
  };
  const press = (event: React.KeyboardEvent) => {
    if (event.key === 'Escape') close();
    const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
    if (step !== 0 && lists.length > 0) setAt((current + step + lists.length) % lists.length);
    const list = lists[current];
    if (event.key === 'Enter' && list) flip(list);
    if (step !== 0 || event.key === 'Enter') event.preventDefault();
  };
  return (
    <section aria-label="In reach" className="slip" onKeyDown={press}>
      <label className="eyebrow block">
        In reach here
        <input
          ref={field}
          className="input font-normal text-ink"
          value={query}
          placeholder="Type to find a collection or glossary"
          autoComplete="off"
          aria-controls="reach-lists"
          aria-activedescendant={lists[current] && `reach-${lists[current].id}`}
          role="combobox"
          aria-expanded
          onChange={({ target }) => {
            setQuery(target.value);
            setAt(0);
          }}
        />
      </label>
      <ul
        id="reach-lists"
        role="listbox"
        aria-label="Collections and glossaries"
        aria-multiselectable
        className="mt-1"
      >
        {lists.map((list, place) => {
          // Until it is known what was switched, no row says that it is in.
          const isIn =
            !away.has(list.id) && preferences.data && isInReach(list, kind, preferences.data.reach[kind]);
          return (
            <li
              key={list.id}
              id={`reach-${list.id}`}
              role="option"
              aria-selected={isIn}
              className={`flex cursor-pointer items-baseline gap-2 border-b border-hair px-1 py-1 ${place === current ? 'bg-flower' : ''}`}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => flip(list)}
            >
              <span aria-hidden className="w-4 text-leaf">
                {isIn ? '✓' : ''}
              </span>
              <span className={`min-w-0 truncate ${isIn ? '' : 'text-soft'}`}>{list.name}</span>
              <span className="ml-auto shrink-0 text-[12px] text-soft">
                {away.has(list.id) ? 'not loaded' : list.what}
              </span>
            </li>
          );
        })}
      </ul>
      {named.length > SHOWN && (
        <p className="mt-1 text-[12.5px] text-soft">
          {(named.length - SHOWN).toLocaleString()} more: type a few letters of one.
        </p>
      )}
      {problem && <Notice tone="warning" title={inWords(problem)} />}
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> switches it in or out, <Key>Esc</Key> leaves. Remembered for this kind of work.
      </p>
    </section>
  );
}
