import { and, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Member, TakenCase } from '#contracts';
import { isSame } from '#core/difference';
import type { ReadCase } from '#core/fhir';
import { emptyRecord, mergedRecord, type CaseRecord, type ListChange, type MergedRecord } from '#core/record';
import { headOfAdmission } from '#core/work';
import { insertCase, summaryOf, tellOfCase } from '../../cases';
import type { Context } from '../../context';
import { cases, casesGiven, type Queries } from '../../db';

/** So many changes are told one by one. */
const MOST_TOLD = 200;

/** The member's open case about the same patient, the newest of several; null where there is none. */
async function caseOfPatient(db: Queries, member: string, { identifiers = [] }: CaseRecord) {
  if (identifiers.length === 0) return null;
  const isKnown = sql`exists (select 1 from jsonb_array_elements_text(${cases.record}->'identifiers') as known
    where known in ${identifiers})`;
  const given = db.select({ id: casesGiven.case }).from(casesGiven).where(eq(casesGiven.member, member));
  const [found] = await db
    .select({ id: cases.id, record: cases.record })
    .from(cases)
    .where(and(eq(cases.kind, 'admission'), isNull(cases.closedAt), inArray(cases.id, given), isKnown))
    .orderBy(desc(cases.openedAt), cases.id)
    .limit(1)
    .for('update');
  return found ?? null;
}

/** What is told of what a case became. */
function toldOf({
  added,
  changed,
  details,
  kept,
  withdrawn,
  care,
  full,
}: MergedRecord): Omit<TakenCase, 'case' | 'isNew'> {
  const counts: Record<string, number> = {};
  for (const { list } of added) counts[list] = (counts[list] ?? 0) + 1;
  return {
    added: counts,
    changed: changed.slice(0, MOST_TOLD).map(({ list, was, now }) => ({ list, had: was, now }) as ListChange),
    details: details.map(({ path, was, now }) => ({ path, was: was?.value ?? null, now: now.value })),
    ...{ kept: kept.length, withdrawn: withdrawn.length, care, full },
  };
}

/** A new case of one patient, given to the member. */
async function newAdmission(
  context: Context,
  tx: Queries,
  { title, number, record }: ReadCase,
  member: Member,
): Promise<Taken> {
  const { summary, admitted } = headOfAdmission(record);
  const openedAt = admitted ? new Date(`${admitted}T12:00:00Z`) : context.now();
  const id = context.newId();
  const row = { id, kind: 'admission' as const, title, number, summary, openedAt, record };
  await insertCase(tx, row, [member.id]);
  return { id, merged: null };
}

/** A case that was made, or brought up to date by what is told with it. */
interface Taken {
  id: string;
  merged: MergedRecord | null;
}

/** Makes a case of one patient, or brings the one up to date that the member has open about the same. */
async function takeOne(context: Context, tx: Queries, read: ReadCase, member: Member): Promise<Taken> {
  const found = await caseOfPatient(tx, member.id, read.record);
  if (!found) return newAdmission(context, tx, read, member);
  const at = context.now().toISOString();
  const merged = mergedRecord(found.record, read, { at, on: at.slice(0, 10) });
  if (!isSame(found.record, merged.record))
    await tx.update(cases).set({ record: merged.record }).where(eq(cases.id, found.id));
  return { id: found.id, merged };
}

/** Files of one member at a time: dropped twice at once, a patient is one case all the same. */
const FILES_LOCK = 7302;

const NOTHING_NEW = mergedRecord(emptyRecord(), { record: emptyRecord() }, { at: '', on: '' });

/**
 * Makes cases of what was read about patients, or brings those up to date that the member has open about them; all or nothing. Those of
 * colleagues are never looked at: that there is one is not the member's to know.
 */
export async function takeAdmissions(
  context: Context,
  reads: readonly ReadCase[],
  member: Member,
): Promise<TakenCase[]> {
  const taken = await context.db.transaction(async (tx) => {
    await tx.execute(sql`select pg_advisory_xact_lock(${FILES_LOCK}, hashtext(${member.id}))`);
    const all: Taken[] = [];
    for (const read of reads) all.push(await takeOne(context, tx, read, member));
    return all;
  });
  const told: TakenCase[] = [];
  for (const { id, merged } of taken) {
    if (merged) await tellOfCase(context, id);
    else await context.events.tell(member.id, { type: 'case-added', case: id });
    const summary = await summaryOf(context.db, member.id, id);
    told.push({ case: summary, isNew: merged === null, ...toldOf(merged ?? NOTHING_NEW) });
  }
  return told;
}
