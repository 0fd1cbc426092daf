import { and, desc, eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Context } from '../context';
import { members, revisions } from '../db';
import { bind, notFound } from '../http';
import { announceEntry } from './announceEntry';
import { readBank, readCollection } from './readBank';
import { mustSeeHistory } from './history';
import { visibleEntry } from './rights';
import { makeEntry } from './makeEntry';
import { holdAgainst, toEntry, updateEntry } from './saveEntry';
import { nearestTo } from './nearestTo';
import { search } from './search';

const revisionColumns = {
  revision: revisions.revision,
  savedAt: revisions.savedAt,
  savedBy: members.name,
  reason: revisions.reason,
};

/** The bank: reading it, keeping entries, their history. */
export function bankRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'bank', ({ member }) => readBank(context, member.id, { had: {}, loose: [] }));

  bind(router, context, 'bankChanges', ({ member, body }) => readBank(context, member.id, body));

  bind(router, context, 'collectionChanges', ({ member, params, body }) =>
    readCollection(context, member.id, params.collection, body.had),
  );

  bind(router, context, 'search', ({ member, body }) => search(db, member.id, body.query));

  bind(router, context, 'nearest', ({ member, body }) => nearestTo(db, member.id, body.text));

  bind(router, context, 'makeEntry', async ({ member, body }) => {
    const entry = await makeEntry(context, member.id, body);
    await announceEntry(context, member, entry);
    return entry;
  });

  bind(router, context, 'entry', async ({ member, params }) =>
    toEntry(await visibleEntry(db, member.id, params.entry)),
  );

  bind(router, context, 'saveEntry', async ({ member, params, body, version }) => {
    const { content, reason } = body;
    const entry = await updateEntry({ context, member: member.id, content, reason }, params.entry, version);
    await announceEntry(context, member, entry);
    return entry;
  });

  bind(router, context, 'heldAgainst', async ({ member, params, body }) => {
    const entry = await holdAgainst(context, member.id, params.entry, body.revision);
    await announceEntry(context, member, entry);
    return entry;
  });

  bind(router, context, 'revisions', async ({ member, params }) => {
    const maySee = await mustSeeHistory(db, member.id, params.entry);
    const rows = await db
      .select(revisionColumns)
      .from(revisions)
      .innerJoin(members, eq(members.id, revisions.savedBy))
      .where(eq(revisions.entry, params.entry))
      .orderBy(desc(revisions.revision));
    return rows
      .filter(({ revision }) => maySee(revision))
      .map((row) => ({ ...row, savedAt: row.savedAt.toISOString() }));
  });

  bind(router, context, 'revision', async ({ member, params }) => {
    const maySee = await mustSeeHistory(db, member.id, params.entry);
    const number = /^\d{1,9}$/.test(params.revision) ? Number(params.revision) : 0;
    const [row] = await db
      .select({ ...revisionColumns, entry: revisions.entry, content: revisions.content })
      .from(revisions)
      .innerJoin(members, eq(members.id, revisions.savedBy))
      .where(and(eq(revisions.entry, params.entry), eq(revisions.revision, number)));
    if (!row || !maySee(number)) throw notFound();
    return { ...row, savedAt: row.savedAt.toISOString() };
  });
}
