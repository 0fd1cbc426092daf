import { useEffect, useMemo, useState } from 'react';
import type { BatchRow, Draft } from '#contracts';
import { call } from '#client/api';
import { DraftKeeper, readCopy, type Keeping } from '#client/drafts';
import { isSame } from '#core/difference';
import type { DraftDocument } from '#core/draft';
import { canonical } from '#core/passage';
import { putRows } from './useBatch';

/** A letter as what keeps drafts knows texts: it is no draft of its case, and is kept with its row. */
export const draftOfLetter = ({ id, version }: BatchRow, document: DraftDocument): Draft => ({
  ...{ id, version, document, case: '', author: '', title: '', begunAt: '', savedAt: '' },
  ...{ state: 'open', excerpt: '' },
});

/** Whether two letters are the same to their reader and to who fills them: an editor writes the same text otherwise than the core. */
export const isSameLetter = (a: DraftDocument, b: DraftDocument): boolean =>
  a === b ||
  (isSame(canonical(a), canonical(b)) &&
    isSame(a.attrs.envelope ?? {}, b.attrs.envelope ?? {}) &&
    isSame(answersIn(a), answersIn(b)));

const answersIn = ({ attrs }: DraftDocument) => Object.values(attrs.placements).map(({ answers }) => answers);

/** What this computer kept of a letter that the server never got; null for nothing. */
export const keptCopy = (member: string, row: string): DraftDocument | null =>
  readCopy(member, row)?.document ?? null;

interface Options {
  of: string;
  member: string;
  row: BatchRow;
  /** The letter as its row and wording make it, or as it was when it was changed by hand. */
  base: DraftDocument;
  document: DraftDocument;
  /** Hears what was saved, before it is shown anywhere. */
  saved: (document: DraftDocument) => void;
}

/** Keeps a letter that is written on as changed by hand, as drafts are kept; one that reads as it did before is not changed. */
export function useLetterKeeping(opened: Options): { keeper: DraftKeeper; keeping: Keeping } {
  const [keeping, setKeeping] = useState<Keeping>({ kind: 'saved', at: new Date().toISOString() });
  // What it was opened with: what is shown of the row meanwhile comes from here.
  const [{ of, member, row, base, document, saved }] = useState(opened);
  const keeper = useMemo(() => {
    const save = async (id: string, now: DraftDocument, version: number, over: boolean) => {
      const byHand = isSameLetter(now, base) ? null : { document: now, base };
      const change = { row: id, byHand, ...(!over && { version }) };
      const { rows } = await call('changeBatchRows', { params: { case: of }, body: { changes: [change] } });
      saved(now);
      putRows(of, rows);
      return { ...draftOfLetter(rows[0]!, now), savedAt: new Date().toISOString() };
    };
    return new DraftKeeper(
      { member, save, setAside: () => Promise.resolve(), tell: setKeeping, savedElsewhere: () => undefined },
      draftOfLetter(row, document),
    );
  }, [of, member, row, base, document, saved]);
  useEffect(() => {
    const keepHere = () => keeper.copyNow();
    keeper.open();
    window.addEventListener('pagehide', keepHere);
    window.document.addEventListener('visibilitychange', keepHere);
    return () => {
      window.removeEventListener('pagehide', keepHere);
      window.document.removeEventListener('visibilitychange', keepHere);
      keeper.leave();
    };
  }, [keeper]);
  return { keeper, keeping };
}
