import { eq, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Act, Collection } from '#contracts';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { collections } from '../db/schema';
import { bind } from '../http/bind';
import { notFound, Refusal } from '../http/refusal';
import { record } from '../people/trail';
import { deleteCollection } from '../wastebasket/deleting';
import { placeCollection } from './placeCollection';
import { mustRead, rightOn } from './rights';
import { letKeep, setGrants, sharingOf } from './sharing';
import { visibleCollections } from './visibleCollections';

type Row = typeof collections.$inferSelect;

/** One change of the tree at a time: two moves could each be right alone and make a ring together. */
const TREE_LOCK = 7301;
/** Holds the tree of collections until the transaction ends. */
export const holdTree = (tx: Queries) => tx.execute(sql`select pg_advisory_xact_lock(${TREE_LOCK})`);

/** Throws unless the member may change the collection itself: who only uses it is told so, others that it is not there. */
async function mustKeepIt(tx: Queries, member: string, collection: string): Promise<Row> {
  const right = await rightOn(tx, member, collection);
  const [row] = await tx.select().from(collections).where(eq(collections.id, collection));
  if (right === null || !row) throw notFound();
  if (right === 'keep') return row;
  throw new Refusal('not-allowed', 'Only its keepers change this collection. Nothing was changed.');
}

function mustBeAt(stands: number, version: number): void {
  if (stands !== version)
    throw new Refusal('moved-on', 'Someone changed this collection meanwhile. Look again, then change it.');
}

async function asSeen(db: Queries, member: string, id: string): Promise<Collection> {
  const found = (await visibleCollections(db, member)).find((one) => one.id === id);
  if (!found) throw notFound();
  return found;
}

/** Collections: who sees them, how their cues are, where they stand. */
export function collectionRoutes(router: Router, context: Context): void {
  const { db, events } = context;
  /** Does what changes collections or their sharing, and tells those whose bank is another by it. */
  const changingReach = async <T>(work: () => Promise<T>): Promise<T> => {
    const done = await work();
    await events.reachChanged();
    return done;
  };
  /** A change by a keeper of a collection, told to whom it concerns. */
  const changing = (
    act: Act,
    member: string,
    id: string,
    change: (tx: Queries, row: Row) => Promise<unknown>,
  ): Promise<void> =>
    changingReach(() =>
      db.transaction(async (tx) => {
        await holdTree(tx);
        const row = await mustKeepIt(tx, member, id);
        await change(tx, row);
        const done = { by: member, act, subject: row.name, collection: id };
        await record(tx, context.now(), done);
      }),
    );

  bind(router, context, 'makeCollection', ({ member, body }) =>
    changingReach(async () => {
      const { parent, ...settings } = body;
      const id = context.newId();
      await db.transaction(async (tx) => {
        await holdTree(tx);
        const around = parent === null ? null : await mustKeepIt(tx, member.id, parent);
        const ownedBy = around?.ownedBy ?? null;
        await tx.insert(collections).values({ id, parent, ownedBy, ...settings });
        await placeCollection(tx, id, { parent, before: null });
        // At the top it is for its maker alone, until they share it.
        if (parent === null)
          await setGrants(tx, id, [{ to: { kind: 'member', id: member.id }, right: 'keep' }]);
        const done = {
          by: member.id,
          act: 'collection-made' as const,
          subject: settings.name,
          collection: id,
        };
        await record(tx, context.now(), done);
      });
      return asSeen(db, member.id, id);
    }),
  );

  bind(router, context, 'saveCollection', async ({ member, params, body, version }) => {
    await changing('collection-changed', member.id, params.collection, async (tx, row) => {
      mustBeAt(row.version, version);
      await tx
        .update(collections)
        .set({ ...body, version: version + 1 })
        .where(eq(collections.id, row.id));
    });
    return asSeen(db, member.id, params.collection);
  });

  bind(router, context, 'moveCollection', async ({ member, params, body }) => {
    await changing('collection-moved', member.id, params.collection, async (tx, row) => {
      const seen = await asSeen(tx, member.id, row.id);
      // Seen at the top because what is around it is not seen, it stays in that when it is put in order.
      const parent = body.parent === seen.parent ? row.parent : body.parent;
      const around = body.parent === null ? null : await mustKeepIt(tx, member.id, body.parent);
      if (parent !== row.parent && (around?.ownedBy ?? null) !== row.ownedBy)
        throw new Refusal(
          'not-valid',
          row.ownedBy === null
            ? 'What is shared stays shared: it cannot go into your own wording. Nothing was moved.'
            : 'Your own wording stays yours. Make a shared collection, and move entries there. Nothing was moved.',
        );
      await placeCollection(tx, row.id, { parent, before: body.before });
      // Taken out of what its keepers kept it by, it stays in the hands of who took it out.
      const right = await rightOn(tx, member.id, row.id);
      if (right !== 'keep') await letKeep(tx, member.id, row.id);
    });
    return asSeen(db, member.id, params.collection);
  });

  bind(router, context, 'dropCollection', ({ member, params, version }) =>
    changingReach(async () => {
      await db.transaction(async (tx) => {
        await holdTree(tx);
        const row = await mustKeepIt(tx, member.id, params.collection);
        mustBeAt(row.version, version);
        if (row.ownedBy !== null && row.parent === null)
          throw new Refusal('not-valid', 'Everyone has a collection of their own. Nothing was deleted.');
        await deleteCollection(context, tx, member.id, row);
        const done = { by: member.id, act: 'collection-deleted' as const, subject: row.name };
        await record(tx, context.now(), { ...done, collection: row.id });
      });
      return undefined;
    }),
  );

  bind(router, context, 'sharing', async ({ member, params }) => {
    await mustRead(db, member.id, params.collection);
    return sharingOf(db, member.id, params.collection);
  });

  bind(router, context, 'share', async ({ member, params, body, version }) => {
    await changing('collection-shared', member.id, params.collection, async (tx, row) => {
      mustBeAt(row.sharingVersion, version);
      if (row.ownedBy !== null)
        throw new Refusal('not-valid', 'Your own wording is yours alone. Make a shared collection for it.');
      await setGrants(tx, row.id, body.grants);
    });
    return sharingOf(db, member.id, params.collection);
  });
}
