import { and, eq, inArray } from 'drizzle-orm';
import type { PractisedNow } from '#contracts';
import { asked, type CueKnowledge } from '#core/practice';
import { rightsFor, visibleEntries } from '../bank';
import { type Database, type Queries, entries, practised } from '../db';

/** How well a member knows the cues of the entries that they see, by the entry's id. */
export async function practisedBy(
  db: Queries,
  member: string,
): Promise<{ known: Record<string, CueKnowledge> }> {
  const rights = await rightsFor(db, member);
  const rows = await db
    .select({
      entry: practised.entry,
      box: practised.box,
      due: practised.due,
      collection: entries.collection,
    })
    .from(practised)
    .innerJoin(entries, eq(entries.id, practised.entry))
    .where(eq(practised.member, member));
  const seen = rows.filter(({ collection }) => rights.has(collection));
  return { known: Object.fromEntries(seen.map(({ entry, box, due }) => [entry, { box, due }])) };
}

/** Takes in what was answered, one after the other; entries that are not there for the member are passed over. */
export async function practise(
  db: Database,
  member: string,
  { day, answers }: PractisedNow,
): Promise<{ known: Record<string, CueKnowledge> }> {
  return db.transaction(async (tx) => {
    const ids = [...new Set(answers.map(({ entry }) => entry))];
    const seen = await visibleEntries(tx, member, ids);
    const before = await tx
      .select()
      .from(practised)
      .where(and(eq(practised.member, member), inArray(practised.entry, ids)))
      .for('update');
    const now = new Map<string, CueKnowledge>(before.map(({ entry, box, due }) => [entry, { box, due }]));
    for (const { entry, known } of answers)
      if (seen.has(entry)) now.set(entry, asked(now.get(entry) ?? null, known, day));
    for (const [entry, { box, due }] of now)
      await tx
        .insert(practised)
        .values({ member, entry, box, due })
        .onConflictDoUpdate({ target: [practised.member, practised.entry], set: { box, due } });
    return practisedBy(tx, member);
  });
}
