import { useMemo } from 'react';
import type { CaseSummary, Entry } from '#contracts';
import { CueIndex, resolveCue, type ResolvedCue } from '#core/cue';
import { isInReach, type OwnReach } from '#core/glossary';
import { inOrder } from '#core/language';
import { usePreferences } from '../api/queries';
import type { BankIndex } from './bankIndex';
import { inPlace } from './variations/inPlace';

/** What is switched on for the work in hand: its entries, and their cues ready to fire. */
export interface Reach {
  entries: Entry[];
  cues: CueIndex;
  /** Cues that are keys, and those that are patterns; of two alike the first wins. */
  keys: ResolvedCue[];
  patterns: ResolvedCue[];
}

function makeReach({ bank, collections }: BankIndex, kind: string, own: OwnReach | undefined): Reach {
  const inReach = new Set(
    bank.collections.filter((collection) => isInReach(collection, kind, own)).map(({ id }) => id),
  );
  const entries = inPlace(bank.entries, collections)
    .filter(({ collection, content }) => inReach.has(collection) && !content.retired)
    .sort((a, b) => inOrder(a.content.title, b.content.title));
  // Own wording first: where two cues are typed alike, the member's own wins.
  const isOwn = (entry: Entry) => (collections.get(entry.collection)?.own ? 0 : 1);
  const cues = [...entries]
    .sort((a, b) => isOwn(a) - isOwn(b))
    .flatMap((entry) => {
      const collection = collections.get(entry.collection);
      return collection ? entry.content.cues.map((cue) => resolveCue(entry.id, cue, collection)) : [];
    });
  const as = (kind: ResolvedCue['as']) => cues.filter((cue) => cue.as === kind);
  return { entries, cues: new CueIndex(as(undefined)), keys: as('keys'), patterns: as('pattern') };
}

/** What is in reach for a kind of case: collections meant for it or for all work, and what the member switched. */
export function useReach(index: BankIndex | null, kind: CaseSummary['kind']): Reach | null {
  const own = usePreferences().data?.reach[kind];
  return useMemo(() => (index ? makeReach(index, kind, own) : null), [index, kind, own]);
}
