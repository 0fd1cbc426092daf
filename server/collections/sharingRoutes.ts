import { desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Context } from '../context';
import { collectionRevisions, members } from '../db';
import { bind, Refusal } from '../http';
import { changing, mustBeAt, mustRead, setGrants, sharingOf } from '../bank';

/** Who may do what in a collection, and how its settings were before. */
export function sharingRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'collectionRevisions', async ({ member, params }) => {
    await mustRead(db, member.id, params.collection);
    const rows = await db
      .select({ revision: collectionRevisions, savedBy: members.name })
      .from(collectionRevisions)
      .innerJoin(members, eq(members.id, collectionRevisions.savedBy))
      .where(eq(collectionRevisions.collection, params.collection))
      .orderBy(desc(collectionRevisions.version));
    return rows.map(({ revision: { version, settings, savedAt, reason }, savedBy }) => ({
      version,
      settings,
      savedAt: savedAt.toISOString(),
      savedBy,
      reason,
    }));
  });

  bind(router, context, 'sharing', async ({ member, params }) => {
    await mustRead(db, member.id, params.collection);
    return sharingOf(db, member.id, params.collection);
  });

  bind(router, context, 'share', async ({ member, params, body, version }) => {
    await changing(context, 'collection-shared', member.id, params.collection, async (tx, row) => {
      mustBeAt(row.sharingVersion, version);
      if (row.ownedBy !== null)
        throw new Refusal('not-valid', 'Your own wording is yours alone. Make a shared collection for it.');
      await setGrants(tx, row.id, body.grants);
    });
    await context.events.tellReaders(params.collection, { type: 'sharing-changed' });
    return sharingOf(db, member.id, params.collection);
  });
}
