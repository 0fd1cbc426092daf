import { isNull } from 'drizzle-orm';
import type { Collection } from '#contracts';
import { treeBranches, type Right } from '#core/rights';
import { type Queries, collections } from '../db';
import { rightsFor } from './rights';

type Row = typeof collections.$inferSelect;

/** A collection as the API shows it; around it stands what the member may see, however far out. */
function toCollection(
  { ownedBy, sharingVersion: _sharing, deletion: _deletion, ...row }: Row,
  right: Right,
  around: ReadonlyMap<string, Row>,
  rights: ReadonlyMap<string, Right>,
): Collection {
  let parent = row.parent;
  while (parent !== null && !rights.has(parent)) parent = around.get(parent)?.parent ?? null;
  return { ...row, parent, own: ownedBy !== null, right };
}

/** All collections a member may see, from top to bottom, each followed by those within it. */
export async function visibleCollections(db: Queries, member: string): Promise<Collection[]> {
  const rights = await rightsFor(db, member);
  const rows = await db.select().from(collections).where(isNull(collections.deletion));
  const byId = new Map(rows.map((row) => [row.id, row]));
  const visible = rows.flatMap((row) => {
    const right = rights.get(row.id);
    return right ? [toCollection(row, right, byId, rights)] : [];
  });
  return treeBranches(visible).map(({ node }) => node);
}
