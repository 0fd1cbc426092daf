import { useEffect, useMemo, useRef } from 'react';
import type { Case, OwnUses } from '#contracts';
import {
  DEFAULT_PREFERENCES,
  isInReach,
  OWN_LIST,
  SMALL_WORDS,
  type Offer,
  type UsedThing,
} from '#core/glossary';
import { useGlossaries, useOwnUses, usePreferences } from '../api';
import { typedCue, type BankIndex, type Reach } from '#core/bank';
import { askOffers, offerEntries, offerService } from '#client/offers';
import { countUse } from './countUse';
import { useGlossaryLists } from './useGlossaryLists';

const none: readonly never[] = [];

/** What was used in this kind of work counts before what was used in others. */
function usedIn(kind: string, used: OwnUses['used']): UsedThing[] {
  const things = new Map<string, UsedThing>();
  for (const { source, list, term, kind: of, times } of used) {
    const key = `${source} ${list} ${term}`;
    const before = things.get(key)?.times ?? 0;
    things.set(key, { source, list, term, times: before + times * (of === kind ? 10 : 1) });
  }
  return [...things.values()];
}

/** Keeps the worker that offers told of what is in reach on this leaf, and names the lists it offers from. */
export function useOffering(index: BankIndex | null, reach: Reach | null, { kind }: Case) {
  const asked = useGlossaries().data;
  const glossaries = asked ?? none;
  const preferences = usePreferences().data ?? DEFAULT_PREFERENCES;
  const uses = useOwnUses().data;
  const own = preferences.reach[kind];
  const inReach = useMemo(
    () => glossaries.filter((list) => isInReach(list, kind, own)).map(({ id }) => id),
    [glossaries, kind, own],
  );
  const ready = useRef(new Set<() => void>());
  const loaded = useGlossaryLists(asked);
  useEffect(() => ready.current.forEach((tell) => tell()), [loaded]);
  useEffect(() => void offerService().setReach(inReach), [inReach]);
  useEffect(() => {
    if (index && reach) void offerService().setEntries(offerEntries(reach, index));
  }, [index, reach]);
  useEffect(() => {
    if (uses) void offerService().setUsed(usedIn(kind, uses.used));
  }, [uses, kind]);

  const now = useRef({ preferences });
  useEffect(() => {
    now.current = { preferences };
  });
  const names = useMemo(() => new Map(glossaries.map(({ id, name }) => [id, name])), [glossaries]);
  const sourceOf = (offer: Offer): string => {
    if (offer.kind === 'date') return 'date';
    if (offer.list === OWN_LIST) return 'this recording';
    if (offer.list === SMALL_WORDS) return 'small words';
    if (offer.kind === 'term') return names.get(offer.list) ?? '';
    const entry = index?.entries.get(offer.list);
    return (entry && index?.collections.get(entry.collection)?.name) ?? '';
  };
  /** The cue that brings what is offered, so that one learns it; null where it has none. */
  const cueOf = (offer: Offer): string | null => {
    const entry = offer.kind === 'entry' ? index?.entries.get(offer.list) : undefined;
    return entry ? typedCue(entry, index?.collections.get(entry.collection)) : null;
  };
  const host = useMemo(
    () => ({
      ask: askOffers,
      liked: () => ({
        on: now.current.preferences.offers !== 'off',
        bySpace: now.current.preferences.firstBy === 'space',
      }),
      onReady: (tell: () => void) => {
        const all = ready.current;
        all.add(tell);
        return () => void all.delete(tell);
      },
      taken: (offer: Offer, typed: string, keys: number) => {
        // What is of one text alone names people: it is counted nowhere.
        if (offer.kind !== 'term' || offer.list === OWN_LIST) return;
        const pressed = typed.length + keys;
        countUse(kind, {
          source: 'term',
          list: offer.list,
          term: offer.text,
          times: 1,
          shown: offer.text.length,
          pressed,
        });
      },
    }),
    [kind],
  );
  return { host, sourceOf, cueOf, preferences, glossaries };
}
