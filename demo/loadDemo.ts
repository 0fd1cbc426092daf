import path from 'node:path';
import { DEFAULT_CUE_MAKING, DEFAULT_CUE_RULES } from '#core/cue';
import { ownCollection, insertEntry } from '../server/bank';
import { insertCase } from '../server/cases';
import type { Context } from '../server/context';
import { collectionRevisions, collections, grants, groupMembers, groups, members } from '../server/db';
import { insertGlossary } from '../server/termLists';
import { readDemoFiles } from './demoFiles';
import { demoMessages, takeDemoMessages } from './work/reply/messages';
import { daysBefore, LIVED_DAYS, loadLived } from './lived';

type Demo = ReturnType<typeof readDemoFiles>;

async function loadMembers(context: Context, demo: Demo): Promise<void> {
  const start = context.now().getTime();
  // A second apart, so that they stay in the order of the file.
  const rows = demo.members.map((member, index) => ({
    ...member,
    passwordHash: null,
    createdAt: new Date(start + index * 1000),
  }));
  await context.db.insert(members).values(rows);
  await context.db.insert(groups).values(demo.groups.map(({ id, name }) => ({ id, name })));
  const belonging = demo.groups.flatMap(({ id, members: all }) =>
    all.map((member) => ({ group: id, member })),
  );
  await context.db.insert(groupMembers).values(belonging);
  await context.db.insert(collections).values(demo.members.map(({ id }) => ownCollection(`own-${id}`, id)));
}

async function loadCollection(
  context: Context,
  collection: Demo['bank'][number],
  position: number,
): Promise<void> {
  const { id, name, leadIn, fires, kindsOfWork } = collection;
  const cueRules = { ...DEFAULT_CUE_RULES, fires };
  await context.db
    .insert(collections)
    .values({ id, name, leadIn, cueRules, kindsOfWork, language: 'en-GB', position });
  const rights = Object.entries(collection.grants);
  await context.db
    .insert(grants)
    .values(rights.map(([member, right]) => ({ collection: id, member, right })));
  const keeper = rights.find(([, right]) => right === 'keep')![0];
  const settings = { name, leadIn, cueRules, cuesBy: DEFAULT_CUE_MAKING, kindsOfWork, language: 'en-GB' };
  const saved = { savedAt: context.now(), savedBy: keeper, reason: 'Start of the bank' };
  await context.db.insert(collectionRevisions).values({ collection: id, version: 1, settings, ...saved });
  for (const entry of collection.entries) {
    const saving = { context, member: keeper, content: entry.content, reason: 'Start of the bank' };
    await insertEntry(saving, id, entry.id);
  }
}

async function loadCases(context: Context, demo: Demo): Promise<void> {
  for (const { given, ...row } of demo.cases) await insertCase(context.db, row, given);
}

/**
 * Loads the demo into an empty store, on its first day or as it is after twelve weeks; does nothing when it has members already.
 * Returns whether it loaded.
 * Throws when a file of the demo is not right.
 */
export async function loadDemo(context: Context, folder: string, isLived = false): Promise<boolean> {
  const [someone] = await context.db.select({ id: members.id }).from(members).limit(1);
  if (someone) return false;
  const demo = readDemoFiles(folder, context.now());
  const start = isLived ? daysBefore(context, LIVED_DAYS) : context;
  await loadMembers(start, demo);
  for (const [position, collection] of demo.bank.entries()) await loadCollection(start, collection, position);
  for (const { terms, shipped, ...glossary } of demo.glossaries) {
    const row = { ...glossary, shipped: shipped ?? null, language: 'en-GB', version: 1, madeBy: 'imke' };
    await insertGlossary(context, context.db, row, terms);
  }
  await loadCases(context, demo);
  const mail = demoMessages(path.join(folder, 'work', 'reply'), context.now());
  await takeDemoMessages(context, mail, new Date(0), context.now());
  if (isLived) await loadLived(context, path.join(folder, 'lived'));
  return true;
}
