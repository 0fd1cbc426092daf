import path from 'node:path';
import { eq, isNull } from 'drizzle-orm';
import { DEFAULT_CUE_MAKING, DEFAULT_CUE_RULES } from '#core/cue';
import type { EntryContent } from '#core/entry';
import { readEntry, writeEntry } from '#core/notation';
import { DEFAULT_PREFERENCES } from '#core/glossary';
import { emptyRecord } from '#core/record';
import { insertEntry, ownCollection, propose, updateEntry } from '../../server/bank';
import { insertCase, newDraftRow } from '../../server/cases';
import type { Context } from '../../server/context';
import {
  preferences,
  cases,
  collectionRevisions,
  collections,
  drafts,
  entries,
  grants,
  houseWords,
  members,
  notes,
  reviews,
  uses,
  waysBrought,
} from '../../server/db';
import { countFollowings } from '../../server/usage';
import { deleteEntries } from '../../server/wastebasket';
import { readLivedFiles, type LivedCase } from './livedFiles';
import { daysBefore } from './daysBefore';
import { loadFeedback } from './loadFeedback';
import { loadBatch } from './loadBatch';
import { loadQueue } from './loadQueue';
import { loadPages } from './pages/loadPages';
import { loadTray } from './tray/loadTray';
import { loadTranscripts } from './loadTranscripts';
import { weeksOfUse, type Used } from './weeksOfUse';
import { writtenDraft } from './writtenDraft';

/** How long the demo's team has been at it, in days. */
export const LIVED_DAYS = 84;

const ROWS_AT_ONCE = 1000;
type Lived = ReturnType<typeof readLivedFiles>;

const dayOf = (at: Date) => at.toISOString().slice(0, 10);

/** An entry with some of its words replaced. Throws where they are not there. */
function withWords(content: EntryContent, [from, to]: readonly [string, string]): EntryContent {
  const text = writeEntry(content);
  const read = text.includes(from) ? readEntry(text.replace(from, to)) : null;
  if (!read?.ok) throw new Error(`“${from}” is not in “${content.title}”`);
  return read.value;
}

async function loadPeople(context: Context, { members: joined, grants: given }: Lived): Promise<void> {
  const { db } = context;
  const start = context.now().getTime();
  const rows = joined.map((one, at) => ({
    ...one,
    ...{ passwordHash: null, createdAt: new Date(start + at * 1000) },
  }));
  await db.insert(members).values(rows);
  await db.insert(collections).values(joined.map(({ id }) => ownCollection(`own-${id}`, id)));
  const all = Object.entries(given).flatMap(([collection, rights]) =>
    Object.entries(rights).map(([member, right]) => ({ collection, member, right })),
  );
  await db.insert(grants).values(all);
}

async function loadCollections(context: Context, lived: Lived): Promise<void> {
  const { db } = context;
  for (const [position, { entries: held, grants: given, fires, id, ...one }] of lived.collections.entries()) {
    const cueRules = { ...DEFAULT_CUE_RULES, fires };
    const settings = { ...one, cueRules, language: 'en-GB' };
    await db.insert(collections).values({ id, ...settings, position: 10 + position });
    const rights = Object.entries(given).map(([member, right]) => ({ collection: id, member, right }));
    await db.insert(grants).values(rights);
    const keeper = rights.find(({ right }) => right === 'keep')!.member;
    const { parent: _, ...kept } = { ...settings, cuesBy: DEFAULT_CUE_MAKING };
    const saved = { savedAt: context.now(), savedBy: keeper, reason: 'Start of the bank' };
    await db.insert(collectionRevisions).values({ collection: id, version: 1, settings: kept, ...saved });
    await loadEntries(context, keeper, id, held);
  }
  await loadEntries(context, 'imke', 'ward', lived.more.ward);
}

async function loadEntries(
  context: Context,
  member: string,
  collection: string,
  held: readonly { id: string; content: EntryContent }[],
): Promise<void> {
  for (const { id, content } of held)
    await insertEntry({ context, member, content, reason: 'Start of the bank' }, collection, id);
}

/** All entries that are there, by their ids. */
async function entriesThere({ db }: Context) {
  const rows = await db.select().from(entries).where(isNull(entries.deletion));
  return new Map(rows.map((row) => [row.id, row]));
}

/** What was done, the longest ago first: the trail tells it in the order in which it was written down. */
const inTime = <Done extends { daysAgo: number }>(all: readonly Done[]): Done[] =>
  [...all].sort((a, b) => b.daysAgo - a.daysAgo);

async function loadTalk(context: Context, { talk }: Lived): Promise<void> {
  const { db } = context;
  for (const { entry, by, daysAgo: ago, reason, replace } of inTime(talk.changes)) {
    const now = (await entriesThere(context)).get(entry)!;
    const content = withWords(now.content, replace);
    await updateEntry(
      { context: daysBefore(context, ago), member: by, content, reason },
      entry,
      now.revision,
    );
  }
  const there = await entriesThere(context);
  const of = (id: string) => there.get(id)!;
  for (const { entry, by, daysAgo: ago, reason, replace } of talk.proposals) {
    const { content, revision } = of(entry);
    const body = { base: revision, content: withWords(content, replace), reason };
    await propose(daysBefore(context, ago), db, by, entry, body);
  }
  for (const { daysAgo: ago, ...note } of talk.notes)
    await db.insert(notes).values({ id: context.newId(), ...note, at: daysBefore(context, ago).now() });
  for (const { inDays, ...review } of talk.reviews)
    await db.insert(reviews).values({ ...review, due: dayOf(daysBefore(context, -inDays).now()) });
  const words = talk.houseStyle.map((word) => ({
    ...{ ...word, id: context.newId(), language: '', together: false, at: context.now() },
  }));
  await db.insert(houseWords).values(words);
  for (const { entry, by, replace } of talk.variations) {
    const { content, revision } = of(entry);
    const varied = { ...withWords(content, replace), cues: [] };
    const saving = { context, member: by, content: varied, reason: 'My own way of saying it' };
    await insertEntry(saving, `own-${by}`, context.newId(), { entry, revision });
  }
  for (const { entry, by, daysAgo: ago } of inTime(talk.deleted))
    await deleteEntries(daysBefore(context, ago), by, [entry]);
}

async function loadCase(
  context: Context,
  one: LivedCase,
  there: Awaited<ReturnType<typeof entriesThere>>,
): Promise<void> {
  const then = daysBefore(context, one.daysAgo);
  const asOf = dayOf(then.now());
  const details = one.details.map(({ path, text }) => ({
    ...{ path, value: { kind: 'text' as const, text }, source: 'Case details', asOf },
  }));
  const record = { ...emptyRecord(), details };
  const { id, kind, title, number, summary } = one;
  await insertCase(context.db, { id, kind, title, number, summary, record, openedAt: then.now() }, one.given);
  const [author] = await context.db.select().from(members).where(eq(members.id, one.author));
  const desk = { record, today: asOf, writer: author!, find: (of: string) => there.get(of) };
  const document = writtenDraft(one.draft, desk, one.isFinished);
  const row = newDraftRow(then, one.author, id, { id: `${id}-1`, title: '', document });
  await context.db.insert(drafts).values({ ...row, state: one.isFinished ? 'finished' : 'open' });
  if (one.isFinished) await countFollowings(context.db, row.id, document);
  if (one.isClosed) await context.db.update(cases).set({ closedAt: then.now() }).where(eq(cases.id, id));
}

/** Members who let colleagues see their figures by name. */
const SHOW_THEIR_USAGE = ['odile', 'desta', 'corin', 'anouk'];

/** Who uses what: the entries of the collections that a member keeps or contributes to. */
async function usedBy({ db }: Context, there: Awaited<ReturnType<typeof entriesThere>>) {
  const kindOf = new Map(
    (await db.select().from(collections)).map(({ id, kindsOfWork }) => [id, kindsOfWork[0] ?? 'leaf']),
  );
  const used = new Map<string, Used[]>();
  for (const { collection, member, right } of await db.select().from(grants)) {
    if (right === 'read' || member === null) continue;
    const inIt = [...there.values()].filter((entry) => entry.collection === collection);
    const all = inIt.map(({ id, content }) => ({ id, content, kind: kindOf.get(collection)! }));
    used.set(member, [...(used.get(member) ?? []), ...all]);
  }
  return used;
}

/**
 * What the demo's team did in twelve weeks: more people and collections, changes by several hands, proposals, notes and reviews,
 * cases with drafts, a wastebasket, and what was used. To be loaded into a store that has the demo's first day. Throws where a
 * file of it is not right.
 */
export async function loadLived(context: Context, folder: string): Promise<void> {
  const lived = readLivedFiles(folder);
  const start = daysBefore(context, LIVED_DAYS);
  await loadPeople(start, lived);
  await loadCollections(start, lived);
  const before = await entriesThere(context);
  for (const one of lived.cases) await loadCase(context, one, before);
  await loadFeedback(context, path.join(folder, 'feedback'), (id) => before.get(id));
  await loadTranscripts(context, path.join(folder, 'transcripts'));
  await loadQueue(context);
  await loadBatch(context, path.join(folder, '../to-drop/volunteers.csv'));
  await loadTray(context, path.join(folder, 'tray'), (id) => before.get(id));
  await loadPages(context, path.join(folder, 'pages'), (id) => before.get(id));
  await loadTalk(context, lived);
  const used = weeksOfUse(await usedBy(context, before), { until: context.now(), days: LIVED_DAYS });
  const counted = used.uses.map((row) => ({ ...row, source: 'entry' as const, term: '' }));
  for (let at = 0; at < counted.length; at += ROWS_AT_ONCE)
    await context.db.insert(uses).values(counted.slice(at, at + ROWS_AT_ONCE));
  await context.db.insert(waysBrought).values(used.ways);
  const content = { ...DEFAULT_PREFERENCES, showsUsage: true };
  await context.db.insert(preferences).values(SHOW_THEIR_USAGE.map((member) => ({ member, content })));
}
