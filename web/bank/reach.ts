import { useMemo } from 'react';
import type { CaseSummary, Entry } from '#contracts';
import { CueIndex, resolveCue } from '#core/cue';
import type { BankIndex } from './bankIndex';

/** What is switched on for the work in hand: its entries, and their cues ready to fire. */
export interface Reach {
  entries: Entry[];
  cues: CueIndex;
}

function makeReach({ bank, collections }: BankIndex, kind: CaseSummary['kind']): Reach {
  const entries = bank.entries
    .filter((entry) => {
      const kinds = collections.get(entry.collection)?.kindsOfWork ?? [];
      return kinds.length === 0 || kinds.includes(kind);
    })
    .sort((a, b) => a.content.title.localeCompare(b.content.title));
  // Own wording first: where two cues are typed alike, the member's own wins.
  const own = (entry: Entry) => (collections.get(entry.collection)?.own ? 0 : 1);
  const cues = [...entries]
    .sort((a, b) => own(a) - own(b))
    .flatMap((entry) => {
      const collection = collections.get(entry.collection);
      return collection ? entry.content.cues.map((cue) => resolveCue(entry.id, cue, collection)) : [];
    });
  return { entries, cues: new CueIndex(cues) };
}

/** What is in reach for a kind of case: collections meant for it, and those meant for all work. */
export function useReach(index: BankIndex | null, kind: CaseSummary['kind']): Reach | null {
  return useMemo(() => (index ? makeReach(index, kind) : null), [index, kind]);
}
