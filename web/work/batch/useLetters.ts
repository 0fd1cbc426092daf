import { useEffect, useMemo, useState } from 'react';
import { MOST_ROWS_AT_ONCE, type Batch, type Case } from '#contracts';
import { collectionsAround, entryIn } from '#core/bank';
import { signatureFor, signedWith } from '#core/signing';
import { useBankIndex, useEntriesAtHand, usePreferences } from '../../api';
import { useShell } from '../../shell';
import { LetterMaker, type Letter } from './letterMaker';

/** So many letters are made at once, as many as one change can touch; more in turns, between which the page draws and hears keys. */
const AT_ONCE = MOST_ROWS_AT_ONCE;
const TURN_MS = 20;

/** Letters that are made, or on their way to be. */
export interface LettersMade {
  maker: LetterMaker | null;
  letters: readonly Letter[];
  /** How many rows have their letter. */
  done: number;
  isReady: boolean;
}

/** The letters of a batch, made anew where its setup, the bank or a row has changed. */
export function useLetters(one: Case, batch: Batch | undefined): LettersMade {
  const { member } = useShell();
  const index = useBankIndex();
  const sets = usePreferences().data;
  const rows = useMemo(() => batch?.rows ?? [], [batch]);
  const { columns, rules, day } = batch?.setup ?? {};
  const wanted = useMemo(
    () => [
      ...new Set([...(rules?.map(({ entry }) => entry) ?? []), ...rows.flatMap(({ entry }) => entry ?? [])]),
    ],
    [rules, rows],
  );
  useEntriesAtHand(wanted);
  const maker = useMemo(() => {
    if (!columns || !rules || !day || !index) return null;
    const writerOf = (entry: string) => {
      const found = entryIn(index, entry);
      const around = found ? collectionsAround(found.collection, index.collections) : [];
      const set = signatureFor(sets ?? {}, { case: one.id, kind: one.kind, collections: around });
      return signedWith(member, set);
    };
    return new LetterMaker({ setup: { columns, rules, day }, index, writerOf });
    // Of the setup what letters are made by: neither the names of files nor the pace.
  }, [columns, rules, day, index, sets, member, one.id, one.kind]);
  const [, drawn] = useState(0);
  const open = maker ? rows.filter((row) => !maker.has(row)).length : rows.length;
  const isReady = maker !== null && open <= AT_ONCE;
  useEffect(() => {
    if (!maker || isReady) return;
    let isGone = false;
    const turn = () => {
      if (isGone) return;
      const until = performance.now() + TURN_MS;
      for (const row of rows) {
        if (maker.has(row)) continue;
        maker.of(row);
        if (performance.now() > until) break;
      }
      drawn((count) => count + 1);
      if (rows.some((row) => !maker.has(row))) setTimeout(turn);
    };
    const timer = setTimeout(turn);
    return () => {
      isGone = true;
      clearTimeout(timer);
    };
  }, [maker, rows, isReady]);
  const letters = useMemo(
    () => (maker && isReady ? rows.map((row) => maker.of(row)) : []),
    [maker, isReady, rows],
  );
  return { maker, letters, done: rows.length - open, isReady };
}
