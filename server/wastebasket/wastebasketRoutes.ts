import { count, eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Deletion, TeamSettings } from '#contracts';
import { announceChanges, holdTree, writeWordsLeft } from '../bank';
import type { Context } from '../context';
import { type Queries, collections, deletions, entries, teamSettings } from '../db';
import { ownDraft, tellOfCase } from '../cases';
import { bind, notFound, Refusal } from '../http';
import { writeTrail } from '../trail';
import { deleteDraft } from './deleting';
import { emptyWastebasket, purge, settingsOf } from './emptying';
import { settingsInWords } from './settingsInWords';
import { touchedBy } from './touched';
import { oneUndoable, restoreFor, undoable } from './undoable';

/** Sets what is given of the team's settings, with its lines in the trail; gives all of them as they are then. */
async function saveSettings(
  context: Context,
  tx: Queries,
  by: string,
  changed: Partial<TeamSettings>,
): Promise<TeamSettings> {
  const content = { ...(await settingsOf(tx)), ...changed };
  await tx
    .insert(teamSettings)
    .values({ id: 'team', content })
    .onConflictDoUpdate({ target: teamSettings.id, set: { content } });
  for (const [subject, detail] of settingsInWords(changed))
    await writeTrail(tx, context.now(), { by, act: 'settings-changed', subject, detail });
  return content;
}

/** Deletes for good what was deleted in one act, with its line in the trail. Throws where others keep some of it. */
async function purgeOne(context: Context, tx: Queries, by: string, known: Deletion): Promise<void> {
  const [row] = await tx.select().from(deletions).where(eq(deletions.id, known.id)).for('update');
  if (!row) throw notFound();
  const isShared = (await tx.select().from(collections).where(eq(collections.deletion, row.id))).some(
    ({ ownedBy }) => ownedBy === null,
  );
  const [all] = await tx.select({ count: count() }).from(entries).where(eq(entries.deletion, row.id));
  if (row.what === 'entries' && all!.count > known.count)
    throw new Refusal('not-allowed', 'Others keep some of it. It is deleted when its time is up.');
  await purge(tx, [row.id]);
  const done = { by, act: 'wastebasket-emptied' as const, subject: known.title };
  const home = known.entries[0]?.collection;
  // One's own drafts are nobody else's to know of. A collection that is no more has nobody who may know its name.
  if (home && row.what === 'entries') await writeTrail(tx, context.now(), { ...done, collection: home });
  if (row.what === 'glossary') await writeTrail(tx, context.now(), done);
  if (row.what === 'collection' && isShared)
    await writeTrail(tx, context.now(), {
      ...done,
      subject: known.count === 1 ? 'A collection with 1 entry' : `A collection with ${known.count} entries`,
    });
}

/** Deleting, bringing back, and what is set about it. */
export function wastebasketRoutes(router: Router, context: Context): void {
  const { db, events } = context;

  bind(router, context, 'touched', ({ member, body }) => touchedBy(db, member.id, body.entries));

  bind(router, context, 'deleteDraft', async ({ member, params, version }) => {
    const draft = await ownDraft(db, member.id, params.draft);
    const id = await deleteDraft(context, draft, version);
    if (id === null)
      throw new Refusal(
        'moved-on',
        'This draft was saved from another window meanwhile. It was not deleted.',
      );
    await events.tell(member.id, { type: 'case-added', case: draft.case });
    return (await oneUndoable(db, member, id)).told;
  });

  bind(router, context, 'wastebasket', async ({ member }) =>
    (await undoable(db, member)).map(({ told }) => told),
  );

  bind(router, context, 'restore', async ({ member, params, body }) => {
    await oneUndoable(db, member, params.deletion);
    const { restored, all, lists, cases } = await db.transaction((tx) =>
      restoreFor(context, tx, member, params.deletion, body.entries),
    );
    await writeWordsLeft(
      db,
      all.map(({ id }) => id),
    );
    await events.reachChanged();
    await announceChanges(context, all);
    await events.tell(member.id, { type: 'case-added', case: '' });
    for (const id of cases) await tellOfCase(context, id);
    for (const id of lists) await events.tellAll({ type: 'glossary-changed', glossary: id });
    return restored;
  });

  bind(router, context, 'purge', async ({ member, params }) => {
    await oneUndoable(db, member, params.deletion);
    await db.transaction(async (tx) => {
      await holdTree(tx);
      await purgeOne(context, tx, member.id, (await oneUndoable(tx, member, params.deletion)).told);
    });
    return undefined;
  });

  bind(router, context, 'teamSettings', () => settingsOf(db));

  bind(router, context, 'saveTeamSettings', async ({ member, body }) => {
    const content = await db.transaction((tx) => saveSettings(context, tx, member.id, body));
    await emptyWastebasket(context);
    await events.tellAll({ type: 'people-changed' });
    return content;
  });
}
