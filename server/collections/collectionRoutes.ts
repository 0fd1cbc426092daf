import { eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Collection } from '#contracts';
import type { Context } from '../context';
import { type Queries, collections } from '../db';
import { bind, notFound, Refusal } from '../http';
import { dropHeld } from '../wastebasket';
import {
  mustFindRoom,
  placeCollection,
  changing,
  changingReach,
  holdTree,
  mustBeAt,
  mustKeepIt,
  rightOn,
  keepSettings,
  makeCollection,
  letKeep,
  handOn,
  visibleCollections,
} from '../bank';

async function asSeen(db: Queries, member: string, id: string): Promise<Collection> {
  const found = (await visibleCollections(db, member)).find((one) => one.id === id);
  if (!found) throw notFound();
  return found;
}

/** Puts a collection in another place, as its keeper may. Throws a Refusal where what is around it forbids that. */
async function moveCollection(
  tx: Queries,
  member: string,
  row: typeof collections.$inferSelect,
  to: { parent: string | null; before: string | null },
): Promise<void> {
  const seen = await asSeen(tx, member, row.id);
  // Seen at the top because what is around it is not seen, it stays in that when it is put in order.
  const parent = to.parent === seen.parent ? row.parent : to.parent;
  const around = to.parent === null ? null : await mustKeepIt(tx, member, to.parent);
  const isTakenOut = parent !== row.parent && row.parent !== null;
  if (isTakenOut && (await rightOn(tx, member, row.parent!)) !== 'keep')
    throw new Refusal(
      'not-allowed',
      'Only keepers of the collection around it take it out of there. Nothing was moved.',
    );
  if (parent !== row.parent && (around?.ownedBy ?? null) !== row.ownedBy)
    throw new Refusal(
      'not-valid',
      row.ownedBy === null
        ? 'What is shared stays shared: it cannot go into your own wording. Nothing was moved.'
        : 'Your own wording stays yours. Make a shared collection, and move entries there. Nothing was moved.',
    );
  await placeCollection(tx, row.id, { parent, before: to.before });
  // Taken out of what its keepers kept it by, it stays in the hands of the one who took it out.
  if ((await rightOn(tx, member, row.id)) !== 'keep') await letKeep(tx, member, row.id);
}

/** Collections: who sees them, how their cues are, where they stand. */
export function collectionRoutes(router: Router, context: Context): void {
  const { db } = context;
  bind(router, context, 'makeCollection', ({ member, body }) =>
    changingReach(context, async () => {
      const { parent, ...settings } = body;
      const id = context.newId();
      await db.transaction(async (tx) => {
        await holdTree(tx);
        await makeCollection(context, tx, member.id, { id, parent, settings });
        await mustFindRoom(tx);
      });
      return asSeen(db, member.id, id);
    }),
  );

  bind(router, context, 'saveCollection', async ({ member, params, body, version }) => {
    await changing(context, 'collection-changed', member.id, params.collection, async (tx, row) => {
      mustBeAt(row.version, version);
      const { reason, ...settings } = body;
      await tx
        .update(collections)
        .set({ ...settings, version: version + 1 })
        .where(eq(collections.id, row.id));
      await keepSettings(context, tx, {
        collection: row.id,
        version: version + 1,
        settings,
        savedBy: member.id,
        reason,
      });
    });
    return asSeen(db, member.id, params.collection);
  });

  bind(router, context, 'moveCollection', async ({ member, params, body }) => {
    await changing(context, 'collection-moved', member.id, params.collection, (tx, row) =>
      moveCollection(tx, member.id, row, body),
    );
    return asSeen(db, member.id, params.collection);
  });

  bind(router, context, 'dropCollection', ({ member, params, version }) =>
    changingReach(context, async () => {
      await db.transaction(async (tx) => {
        await holdTree(tx);
        const row = await mustKeepIt(tx, member.id, params.collection);
        mustBeAt(row.version, version);
        await dropHeld(context, tx, member.id, row);
      });
      return undefined;
    }),
  );

  bind(router, context, 'handOn', ({ member, params }) => handOn(context, member.id, params.collection));
}
