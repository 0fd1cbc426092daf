import { eq } from 'drizzle-orm';
import { entriesInOrder, type DraftDocument } from '#core/draft';
import { followings, type Queries } from '../db';

/** Of a text with more placements the first so many count. */
const MOST_COUNTED = 500;

/** Counts what came after what in a draft that is finished now, in place of what was counted when it was finished before. */
export async function countFollowings(tx: Queries, draft: string, document: DraftDocument): Promise<void> {
  await tx.delete(followings).where(eq(followings.draft, draft));
  const order = entriesInOrder(document).slice(0, MOST_COUNTED);
  if (order.length === 0) return;
  const rows = order.map((after, position) => ({
    draft,
    position,
    before: order[position - 1] ?? null,
    after,
  }));
  await tx.insert(followings).values(rows);
}
