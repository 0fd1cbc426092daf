import type { BatchRow } from '#contracts';
import { call } from '#client/api';
import { isSame } from '#core/difference';
import type { LocalCopy } from '#client/drafts';
import type { DraftDocument } from '#core/draft';
import { canonical } from '#core/passage';
import { useTextKeeping, type KeptText } from '../../writing';
import { putRows } from './useBatch';

/** Whether two letters are the same to their reader and to who fills them: an editor writes the same text otherwise than the core. */
export const isSameLetter = (a: DraftDocument, b: DraftDocument): boolean =>
  a === b ||
  (isSame(canonical(a), canonical(b)) &&
    isSame(a.attrs.envelope ?? {}, b.attrs.envelope ?? {}) &&
    isSame(answersIn(a), answersIn(b)));

const answersIn = ({ attrs }: DraftDocument) => Object.values(attrs.placements).map(({ answers }) => answers);

interface Options {
  of: string;
  member: string;
  row: BatchRow;
  /** The letter as its row and wording make it, or as it was when it was changed by hand. */
  base: DraftDocument;
  document: DraftDocument;
  copy: LocalCopy | null;
  /** Hears what was saved, before it is shown anywhere. */
  saved: (document: DraftDocument) => void;
}

/** Keeps a letter that is written on as changed by hand; one that reads as it did before is not changed. */
export function useLetterKeeping({ of, member, row, base, document, copy, saved }: Options) {
  const save = async (now: DraftDocument, version: number | null) => {
    const byHand = isSameLetter(now, base) ? null : { document: now, base };
    const change = { row: row.id, byHand, ...(version !== null && { version }) };
    const { rows } = await call('changeBatchRows', { params: { case: of }, body: { changes: [change] } });
    saved(now);
    putRows(of, rows);
    return rows[0]!.version;
  };
  const on = { to: `/cases/${of}?show=letters&row=${row.id}`, called: 'letter' };
  const textIn = (current: KeptText) => (current as unknown as BatchRow).byHand?.document ?? base;
  return useTextKeeping({ member, text: row, document, copy, on, save, textIn });
}
