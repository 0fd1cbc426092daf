import { useMemo } from 'react';
import type { CaseSummary, Collection, Entry } from '#contracts';
import { type BankIndex, isWanted, ownWorkFirst, setFilters, type NarrowedBy } from '#core/bank';
import { useCases, useFoundAway } from '../api';
import { collectionsAsked, type SheetAsked } from './asked';
import { ORDERS } from './orders';

/** One line of the sheet. Entries of a collection that is away are one line together, as long as they will be. */
export type SheetLine =
  | { kind: 'head'; collection: Collection; entries: readonly Entry[]; count: number }
  | { kind: 'entry'; collection: Collection; entry: Entry; place: number; count: number }
  | { kind: 'waiting'; collection: Collection; count: number };

/** The lines of the sheet; whether there are more by the words asked for, or why not all was searched. */
export interface SheetShown {
  lines: readonly SheetLine[];
  more: boolean;
  error: Error | null;
}

const NONE: readonly CaseSummary[] = [];

/** What the sheet shows: collections in their order, those of one's own work first, each with those of its entries that were asked for. */
export function useSheetLines(
  index: BankIndex,
  { query, collection, order, narrowing }: SheetAsked,
  by: NarrowedBy,
): SheetShown {
  const isAsked = query.trim() !== '';
  const away = useFoundAway(index, query);
  const cases = useCases().data ?? NONE;
  const kinds = useMemo(() => new Set(cases.map(({ kind }) => kind as string)), [cases]);
  const lines = useMemo((): SheetLine[] => {
    const found = isAsked ? new Set(index.finder.find(query)) : null;
    const byCollection = new Map<string, Entry[]>();
    const isNarrowed = setFilters(narrowing) > 0;
    const put = (entry: Entry) => {
      const home = index.collections.get(entry.collection);
      if (isNarrowed && (!home || !isWanted(entry, home, narrowing, by))) return;
      const beside = byCollection.get(entry.collection);
      if (beside) beside.push(entry);
      else byCollection.set(entry.collection, [entry]);
    };
    for (const entry of index.bank.entries) if (!found || found.has(entry.id)) put(entry);
    for (const entry of away.entries) put(entry);
    const asked = ownWorkFirst(collectionsAsked(index.bank.collections, collection), kinds);
    return asked.flatMap((one): SheetLine[] => {
      const waits = !isAsked && index.away.has(one.id);
      const entries = waits ? [] : (byCollection.get(one.id) ?? []).sort(ORDERS[order].compare);
      const count = waits ? (index.bank.counts[one.id] ?? 0) : entries.length;
      if (count === 0 && (isAsked || isNarrowed)) return [];
      const head: SheetLine = { kind: 'head', collection: one, entries, count };
      if (waits) return [head, { kind: 'waiting', collection: one, count }];
      return [
        head,
        ...entries.map((entry, place) => ({ kind: 'entry' as const, collection: one, entry, place, count })),
      ];
    });
  }, [index, query, isAsked, collection, order, narrowing, by, away.entries, kinds]);
  return { lines, more: away.more, error: away.error };
}
