import { isDeepStrictEqual } from 'node:util';
import { and, eq } from 'drizzle-orm';
import type { Proposal } from '#contracts';
import type { Context } from '../context';
import { type Queries, entries, proposals } from '../db';
import { notFound, Refusal } from '../http';
import { holdEntryFiles } from './entryFiles';
import { rightOn, visibleEntry } from './rights';
import { mustBeSound } from './saveEntry';

type Proposing = Pick<Proposal, 'base' | 'content' | 'reason'>;

/** The open proposal of just this by the member: it is sent again, because the answer to the first was lost. */
async function proposedBefore(
  db: Queries,
  member: string,
  entry: string,
  { base, content }: Pick<Proposal, 'base' | 'content'>,
): Promise<string | undefined> {
  const open = await db
    .select({ id: proposals.id, content: proposals.content })
    .from(proposals)
    .where(
      and(
        eq(proposals.entry, entry),
        eq(proposals.proposedBy, member),
        eq(proposals.base, base),
        eq(proposals.state, 'open'),
      ),
    );
  return open.find((one) => isDeepStrictEqual(one.content, content))?.id;
}

/** Proposes a change of an entry; returns the proposal's id. Throws a Refusal where the member may not. */
export async function propose(
  context: Context,
  tx: Queries,
  member: string,
  entryId: string,
  body: Proposing,
): Promise<string> {
  const entry = await visibleEntry(tx, member, entryId);
  if ((await rightOn(tx, member, entry.collection)) === 'read')
    throw new Refusal(
      'not-allowed',
      'You may use this wording, but not propose changes to it. Ask one of its keepers for that.',
    );
  mustBeSound(body.content);
  if (body.base > entry.revision)
    throw new Refusal('bad-request', 'The change was made to a revision that is not there.');
  const before = await proposedBefore(tx, member, entry.id, body);
  if (before !== undefined) return before;
  const { content, reason, base } = body;
  await holdEntryFiles(tx, member, [{ entry: entry.id, content }]);
  const row = { id: context.newId(), entry: entry.id, content, reason, base, state: 'open' as const };
  await tx.insert(proposals).values({ ...row, proposedBy: member, proposedAt: context.now() });
  return row.id;
}

/** The proposal, held for this transaction, so that of two answers at once the second sees the first. */
export async function heldOpen(tx: Queries, id: string) {
  const [row] = await tx.select().from(proposals).where(eq(proposals.id, id)).for('update');
  if (!row) throw notFound();
  return row;
}

/** Refuses what is done to a proposal that is not open any more. */
export function mustBeOpen(state: string): void {
  if (state !== 'open')
    throw new Refusal('moved-on', 'It was answered, or taken back, a moment ago. Nothing was changed.');
}

/** Takes back what the member proposed; returns the entry it was for. Of what others proposed nothing is told. */
export async function withdraw(tx: Queries, member: string, id: string): Promise<string> {
  const row = await heldOpen(tx, id);
  await visibleEntry(tx, member, row.entry);
  if (row.proposedBy !== member) throw new Refusal('not-allowed', 'Only who proposed it takes it back.');
  mustBeOpen(row.state);
  await tx.update(proposals).set({ state: 'withdrawn' }).where(eq(proposals.id, id));
  return row.entry;
}

/** Tells the open pages of who may answer what was proposed for an entry, and of who made it. */
export async function tellOfProposal({ db, events }: Context, entry: string, by: string): Promise<void> {
  const [row] = await db
    .select({ collection: entries.collection })
    .from(entries)
    .where(eq(entries.id, entry));
  if (row) await events.tellKeepers(row.collection, { type: 'proposals-changed' });
  await events.tell(by, { type: 'proposals-changed' });
}
