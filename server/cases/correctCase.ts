import { eq } from 'drizzle-orm';
import type { Case, Correction, Member, RecordListChange } from '#contracts';
import { isSame } from '#core/difference';
import {
  changedList,
  correctedRecord,
  putBack,
  valueInWords,
  writtenDetail,
  type CaseRecord,
} from '#core/record';
import type { Context } from '../context';
import { cases } from '../db';
import { Refusal } from '../http';
import { givenCase, readCase, tellOfCase } from './caseAccess';

/** What says who writes into a record, and when. */
function writtenBy(context: Context, member: Member) {
  const at = context.now().toISOString();
  return { by: `Written by ${member.name}`, at, on: at.slice(0, 10) };
}

/** Changes the record of a case by `change`, and tells all it is given to; unless it comes out as it was. */
async function changeRecord(
  context: Context,
  member: Member,
  id: string,
  change: (record: CaseRecord) => CaseRecord,
): Promise<Case> {
  const { db } = context;
  await givenCase(db, member.id, id);
  const isChanged = await db.transaction(async (tx) => {
    const [row] = await tx.select({ record: cases.record }).from(cases).where(eq(cases.id, id)).for('update');
    const record = change(row!.record);
    if (record === row!.record) return false;
    await tx.update(cases).set({ record }).where(eq(cases.id, id));
    return true;
  });
  if (isChanged) await tellOfCase(context, id);
  return readCase(db, member.id, id);
}

/**
 * Corrects a detail of a case's record by hand, for all it is given to. Throws a Refusal where somebody else corrected it since it
 * was looked at: what they wrote stands.
 */
export const correctCase = (
  context: Context,
  member: Member,
  id: string,
  { path, had, value }: Correction,
): Promise<Case> =>
  changeRecord(context, member, id, (record) => {
    const now = writtenDetail(record, path)?.value ?? null;
    // Sent again, since the answer was lost, it is done already.
    if (isSame(now, value)) return record;
    if (!isSame(now, had)) {
      const says = now ? `It says “${valueInWords(now, 'en-GB')}” now` : 'It was taken away';
      throw new Refusal('moved-on', `Somebody corrected this meanwhile. ${says}; nothing was changed.`);
    }
    return correctedRecord(record, { path, value }, writtenBy(context, member));
  });

const REFUSED = {
  'moved-on': ['moved-on', 'Somebody changed this meanwhile. Look at what it says now; nothing was changed.'],
  full: ['not-valid', 'This record holds as many of these as it can. Nothing was changed.'],
} as const;

/**
 * Adds, corrects or takes out a measurement, a medicine or a problem of a record by hand, or puts one back. Throws a Refusal where
 * somebody else changed it since it was looked at, or no more of them can be kept.
 */
export const changeRecordList = (
  context: Context,
  member: Member,
  id: string,
  change: RecordListChange,
): Promise<Case> =>
  changeRecord(context, member, id, (record) => {
    const changed =
      change.list === 'removed'
        ? putBack(record, change.back)
        : changedList(record, change, writtenBy(context, member));
    if (typeof changed === 'object') return changed;
    const [code, words] = REFUSED[changed];
    throw new Refusal(code, words);
  });
