import { and, asc, count, desc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { Router } from 'express';
import type { Deletion, Member } from '#contracts';
import { announceChanges } from '../bank/announceEntry';
import { holdTree } from '../bank/changingCollections';
import { includedIds } from '../bank/soundIncludes';
import { rightsFor, visibleEntries } from '../bank/rights';
import type { Context } from '../context';
import type { Queries } from '../db/openStore';
import { collections, deletions, drafts, entries, glossaries, members, teamSettings } from '../db/schema';
import { ownDraft } from '../cases/caseAccess';
import { keepsGlossary } from '../glossaries/keepsGlossary';
import { bind } from '../http/bind';
import { notFound, Refusal } from '../http/refusal';
import { record } from '../people/trail';
import { deleteDraft, deleteEntries } from './deleting';
import { emptyWastebasket, goesAt, purge, settingsOf } from './emptying';
import { restore } from './restoring';

/** So many titles are shown of what was deleted together. */
const SHOWN = 50;

type Entries = Deletion['entries'];

/** A deletion as it is told, and all of its entries that its teller may bring back. */
interface Undoable {
  told: Deletion;
  all: Entries;
}

/** The deletions a member can undo: of what they would keep, were it there, glossaries too; and of their own drafts. Newest first. */
async function undoable(db: Queries, member: Member, only?: string): Promise<Undoable[]> {
  const rights = await rightsFor(db, member.id, { evenDeleted: true });
  const kept = [...rights].flatMap(([id, right]) => (right === 'keep' ? [id] : []));
  const rows = await db
    .select({ deletion: deletions, by: members.name })
    .from(deletions)
    .innerJoin(members, eq(members.id, deletions.by))
    .where(only === undefined ? undefined : eq(deletions.id, only))
    .orderBy(desc(deletions.at), desc(deletions.id));
  const ids = rows.map(({ deletion }) => deletion.id);
  if (ids.length === 0 || kept.length === 0) return [];
  const places = await db
    .select({ id: collections.id, parent: collections.parent, deletion: collections.deletion })
    .from(collections)
    .where(inArray(collections.deletion, ids));
  // Who keeps a collection within one that was deleted does not keep what lay around it: the outermost decides.
  const isRoot = (place: (typeof places)[number]) =>
    !places.some(({ id, deletion }) => id === place.parent && deletion === place.deletion);
  const keptRoots = new Set(
    places.flatMap((place) => (rights.get(place.id) === 'keep' && isRoot(place) ? [place.deletion] : [])),
  );
  const titles = await db
    .select({
      id: entries.id,
      deletion: entries.deletion,
      title: sql<string>`${entries.content} ->> 'title'`,
      collection: entries.collection,
    })
    .from(entries)
    .where(and(inArray(entries.deletion, ids), inArray(entries.collection, kept)))
    .orderBy(asc(entries.id));
  const own = await db
    .select({ deletion: drafts.deletion })
    .from(drafts)
    .where(and(inArray(drafts.deletion, ids), eq(drafts.author, member.id)));
  const lists = await db.select().from(glossaries).where(inArray(glossaries.deletion, ids));
  const settings = await settingsOf(db);
  return rows.flatMap(({ deletion: { id, what, title, at }, by }) => {
    const mine = titles.filter(({ deletion }) => deletion === id);
    const seen = {
      entries: mine.length > 0,
      collection: keptRoots.has(id),
      draft: own.some(({ deletion }) => deletion === id),
      glossary: lists.some((list) => list.deletion === id && keepsGlossary(list, member)),
    }[what];
    if (!seen) return [];
    // Of what was deleted together, only what this member keeps is theirs to know of.
    const shown = what === 'entries' && mine.length === 1 ? mine[0]!.title : title;
    const all = mine.map(({ deletion: _, ...entry }) => entry);
    const told = {
      id,
      what,
      title: what === 'entries' && mine.length > 1 ? `${mine.length} entries` : shown,
      by,
      at: at.toISOString(),
      until: goesAt(at, settings)?.toISOString() ?? null,
      entries: all.slice(0, SHOWN),
      count: mine.length,
    };
    return [{ told, all }];
  });
}

/** Deletes for good what was deleted in one act, with its line in the trail. Throws where others keep some of it. */
async function purgeOne(context: Context, tx: Queries, by: string, known: Undoable['told']): Promise<void> {
  const [row] = await tx.select().from(deletions).where(eq(deletions.id, known.id)).for('update');
  if (!row) throw notFound();
  const isShared = (await tx.select().from(collections).where(eq(collections.deletion, row.id))).some(
    ({ ownedBy }) => ownedBy === null,
  );
  const [all] = await tx.select({ count: count() }).from(entries).where(eq(entries.deletion, row.id));
  if (row.what === 'entries' && all!.count > known.count)
    throw new Refusal('not-allowed', 'Some of it is kept by others. It goes by itself when its time is up.');
  await purge(tx, [row.id]);
  const done = { by, act: 'wastebasket-emptied' as const, subject: known.title };
  const home = known.entries[0]?.collection;
  // One's own drafts are nobody else's to know of. A collection that is no more has nobody who may know its name.
  if (home && row.what === 'entries') await record(tx, context.now(), { ...done, collection: home });
  if (row.what === 'glossary') await record(tx, context.now(), done);
  if (row.what === 'collection' && isShared)
    await record(tx, context.now(), {
      ...done,
      subject: known.count === 1 ? 'A collection with 1 entry' : `A collection with ${known.count} entries`,
    });
}

/** Deleting, bringing back, and what is set about it. */
export function wastebasketRoutes(router: Router, context: Context): void {
  const { db, events } = context;

  const one = async (member: Member, id: string, inside: Queries = db): Promise<Undoable> => {
    const [found] = await undoable(inside, member, id);
    if (!found) throw notFound();
    return found;
  };

  bind(router, context, 'touched', async ({ member, body }) => {
    const wanted = new Set(body.entries);
    const rights = await rightsFor(db, member.id);
    const seen = await visibleEntries(db, member.id, body.entries);
    const holding = await db
      .select({ id: entries.id, collection: entries.collection, content: entries.content })
      .from(entries)
      .where(and(isNull(entries.deletion), sql`${entries.content}::text like '%"include"%'`));
    const within = holding.filter(
      ({ id, collection, content }) =>
        !wanted.has(id) && rights.has(collection) && includedIds(content).some((held) => seen.has(held)),
    );
    const held = sql<string>`placed.value ->> 'entry'`;
    const [found] = await db
      .select({ count: sql<number>`count(distinct ${drafts.id})::int` })
      .from(drafts)
      .innerJoin(sql`jsonb_each(${drafts.document} -> 'attrs' -> 'placements') as placed`, sql`true`)
      .where(and(eq(drafts.state, 'open'), isNull(drafts.deletion), inArray(held, [...seen.keys(), ''])));
    return { within: within.map(({ id, content }) => ({ id, title: content.title })), drafts: found!.count };
  });

  bind(router, context, 'deleteEntries', async ({ member, body }) => {
    const id = await deleteEntries(context, member.id, body.entries);
    const { told, all } = await one(member, id);
    await announceChanges(context, all);
    return told;
  });

  bind(router, context, 'deleteDraft', async ({ member, params, version }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    const id = await deleteDraft(context, draft, version);
    if (id === null)
      throw new Refusal(
        'moved-on',
        'This draft was saved from another window meanwhile. It was not deleted.',
      );
    await events.tell(member.id, { type: 'case-added', case: draft.case });
    return (await one(member, id)).told;
  });

  bind(router, context, 'wastebasket', async ({ member }) =>
    (await undoable(db, member)).map(({ told }) => told),
  );

  bind(router, context, 'restore', async ({ member, params, body }) => {
    await one(member, params.deletion);
    const { restored, all, lists } = await db.transaction(async (tx) => {
      await holdTree(tx);
      // Asked again now that nothing can change meanwhile.
      const { told: known, all } = await one(member, params.deletion, tx);
      const allowed = new Set(all.map(({ id }) => id));
      const lists = await tx.select().from(glossaries).where(eq(glossaries.deletion, known.id));
      const [row] = await tx.select().from(deletions).where(eq(deletions.id, known.id)).for('update');
      if (!row) throw notFound();
      const only =
        row.what === 'entries' ? (body.entries ?? [...allowed]).filter((id) => allowed.has(id)) : null;
      return { restored: await restore(context, tx, member.id, row, only), all, lists };
    });
    await events.reachChanged();
    await announceChanges(context, all);
    await events.tell(member.id, { type: 'case-added', case: '' });
    for (const { id } of lists) await events.tellAll({ type: 'glossary-changed', glossary: id });
    return restored;
  });

  bind(router, context, 'purge', async ({ member, params }) => {
    await one(member, params.deletion);
    await db.transaction(async (tx) => {
      await holdTree(tx);
      await purgeOne(context, tx, member.id, (await one(member, params.deletion, tx)).told);
    });
    return undefined;
  });

  bind(router, context, 'teamSettings', () => settingsOf(db));

  bind(router, context, 'saveTeamSettings', async ({ member, body }) => {
    await db.transaction(async (tx) => {
      await tx
        .insert(teamSettings)
        .values({ id: 'team', content: body })
        .onConflictDoUpdate({ target: teamSettings.id, set: { content: body } });
      const days = body.wastebasketDays;
      const detail = days === null ? 'never' : `after ${days} days`;
      const done = { by: member.id, act: 'settings-changed' as const, subject: 'The wastebasket is emptied' };
      await record(tx, context.now(), { ...done, detail });
    });
    await emptyWastebasket(context);
    return body;
  });
}
