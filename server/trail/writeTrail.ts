import { sql } from 'drizzle-orm';
import type { Act } from '#contracts';
import { cutTo } from '#core/language';
import { type Queries, members, trail } from '../db';

const DETAIL_LENGTH = 500;

/** Something that was done, to be written down with it. */
export interface Done {
  by: string;
  act: Act;
  subject: string;
  detail?: string;
  /** Where only those who see a collection may know of it. */
  collection?: string;
}

/** Writes down what is done, in the transaction that does it. */
export async function writeTrail(tx: Queries, now: Date, done: Done): Promise<void> {
  await writeTrailLines(tx, now, [done]);
}

/** Writes down what is done to many things at once, in the transaction that does it. */
export async function writeTrailLines(tx: Queries, now: Date, all: readonly Done[]): Promise<void> {
  if (all.length === 0) return;
  const rows = all.map(({ by, act, subject, detail = '', collection = null }) => ({
    by,
    act,
    subject,
    detail: cutTo(detail, DETAIL_LENGTH),
    collection,
  }));
  // One value and one statement, however many they are.
  await tx.execute(sql`
    insert into ${trail} (at, by, by_name, act, subject, detail, collection)
    select ${now.toISOString()}::timestamptz, line.by, ${members.name}, line.act, line.subject, line.detail, line.collection
    from jsonb_to_recordset(${JSON.stringify(rows)}::jsonb)
      as line(by text, act text, subject text, detail text, collection text)
    join ${members} on ${members.id} = line.by`);
}
