import { eq, isNull } from 'drizzle-orm';
import { treeBranches, MOST_DEEP, within } from '#core/rights';
import { type Queries, collections } from '../db';
import { notFound, Refusal } from '../http';

/** Where a collection goes: within another or at the top; before one that is there, or last. */
interface Target {
  parent: string | null;
  before: string | null;
}

function mustNotBeTooDeep(all: readonly (typeof collections.$inferSelect)[]): void {
  const depth = Math.max(0, ...treeBranches(all).map((branch) => branch.depth));
  if (depth >= MOST_DEEP)
    throw new Refusal('not-valid', `Collections go ${MOST_DEEP} deep and no deeper. Nothing was changed.`);
}

/** Throws a Refusal where collections have come to lie too deep. */
export async function mustFindRoom(tx: Queries): Promise<void> {
  mustNotBeTooDeep(await tx.select().from(collections).where(isNull(collections.deletion)));
}

/**
 * Puts a collection into its place and numbers those beside it anew. Throws a Refusal where it would come to stand within
 * itself, or too deep. The tree must be held.
 */
export async function placeCollection(tx: Queries, id: string, { parent, before }: Target): Promise<void> {
  const all = await tx.select().from(collections).where(isNull(collections.deletion));
  const moving = all.find((one) => one.id === id);
  if (!moving) throw notFound();
  const inside = within(id, all);
  if (parent !== null && inside.has(parent))
    throw new Refusal('not-valid', 'A collection cannot go into itself. Nothing was moved.');
  const placed = all.map((one) => (one.id === id ? { ...one, parent } : one));
  mustNotBeTooDeep(placed);
  const beside = treeBranches(placed.filter((one) => one.parent === parent && one.id !== id))
    .map(({ node }) => node)
    // One's own stands last, whatever comes.
    .filter(({ ownedBy }) => parent !== null || ownedBy === null);
  const at = beside.findIndex((one) => one.id === before);
  const order = beside.toSpliced(at < 0 ? beside.length : at, 0, moving);
  for (const [position, one] of order.entries()) {
    if (one.id !== id && one.position === position) continue;
    await tx.update(collections).set({ position, parent }).where(eq(collections.id, one.id));
  }
}
