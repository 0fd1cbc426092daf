import { and, eq, lt } from 'drizzle-orm';
import type { Context } from '../../server/context';
import { cases, casesGiven, enquiries, enquiryNotes } from '../../server/db';

const HOUR_MS = 3_600_000;

/** By the titles of their cases: who took what, and what is put off. */
const TAKEN: Record<string, string> = {
  'Leveret alone in the field': 'anouk',
  'Two questions about the open day': 'anouk',
  'Fledermaus in der Scheune': 'jory',
  'Owl that ate a poisoned rat?': 'jory',
};
const OTTER = 'Otter in the eel trap';

/** What the team did with its queue: what is older than six days is answered, some are taken, one has a note. */
export async function loadQueue({ db, now, newId }: Context): Promise<void> {
  const late = new Date(now().getTime() - 144 * HOUR_MS);
  await db
    .update(enquiries)
    .set({ state: 'answered', takenBy: 'anouk', changedAt: now() })
    .where(and(lt(enquiries.since, late)));
  for (const [title, member] of Object.entries(TAKEN)) {
    const [one] = await db.select({ id: cases.id }).from(cases).where(eq(cases.title, title));
    if (!one) throw new Error(`The demo has no enquiry called ${title}.`);
    await db.insert(casesGiven).values({ case: one.id, member });
    await db.update(enquiries).set({ takenBy: member }).where(eq(enquiries.case, one.id));
  }
  const [otter] = await db.select({ id: cases.id }).from(cases).where(eq(cases.title, OTTER));
  if (!otter) throw new Error(`The demo has no enquiry called ${OTTER}.`);
  const note = 'Tried to ring at noon, nobody answered. The harbour master knows the boat.';
  await db.insert(enquiryNotes).values({
    id: newId(),
    case: otter.id,
    by: 'jory',
    at: new Date(now().getTime() - 5 * HOUR_MS),
    text: note,
  });
}
