import { DEFAULT_CUE_RULES } from '#core/cue';
import { newEntry, type EntryContent } from '#core/entry';
import { ownCollection, writeWords } from '../server/bank';
import {
  type Store,
  collectionRevisions,
  collections,
  cues,
  entries,
  grants,
  groupMembers,
  groups,
  members,
  revisions,
} from '../server/db';
import { commonWords } from './commonWords';
import { numbers } from './numbers';

/** Of the 2,000 collections 500 are members' own; the others stand in 30 branches of 50. */
export const SIZES = { entries: 100_000, collections: 2000, members: 500, branches: 30, groups: 50 };
const AT_ONCE = 500;
/** Shared by the whole team; each of the other branches by one group and the librarian, who keeps them all. */
const TEAM_BRANCHES = 6;
const LIBRARIAN = 'imke';

const next = numbers(7);
const pick = (count: number) => Math.floor(next() * count);

const sentence = (word: () => string, length: number) => {
  const text = Array.from({ length }, word).join(' ');
  return text[0]!.toUpperCase() + text.slice(1);
};

function content(word: () => string, at: number): EntryContent {
  const paragraphs = Array.from({ length: 1 + pick(2) }, () => ({
    type: 'paragraph' as const,
    content: [{ type: 'text' as const, text: `${sentence(word, 12 + pick(30))}.` }],
  }));
  return {
    ...newEntry(sentence(word, 2 + pick(4)), 'en-GB', { type: 'doc', content: paragraphs }),
    purpose: pick(3) === 0 ? sentence(word, 5) : '',
    tags: pick(4) === 0 ? [word()] : [],
    cues: pick(5) < 3 ? [{ text: `k${at.toString(36)}` }] : [],
  };
}

async function seedPeople({ db }: Store): Promise<string[]> {
  const ids = Array.from({ length: SIZES.members - 5 }, (_, at) => `member-${at}`);
  const at = new Date();
  await db.insert(members).values(
    ids.map((id) => ({
      id,
      name: `Member ${id.slice(7)}`,
      email: `${id}@hollin.example`,
      role: 'member' as const,
      createdAt: at,
    })),
  );
  const all = Array.from({ length: SIZES.groups }, (_, one) => ({
    id: `group-${one}`,
    name: `Group ${one}`,
  }));
  await db.insert(groups).values(all);
  await db
    .insert(groupMembers)
    .values(ids.map((member, one) => ({ member, group: `group-${one % SIZES.groups}` })));
  await db.insert(collections).values(ids.map((id) => ownCollection(`own-${id}`, id)));
  return ids;
}

async function seedCollections({ db }: Store): Promise<string[]> {
  const each = (SIZES.collections - SIZES.members) / SIZES.branches;
  const settings = {
    leadIn: ';',
    cueRules: DEFAULT_CUE_RULES,
    cuesBy: 'initials' as const,
    kindsOfWork: [],
    language: 'en-GB',
  };
  const rows = Array.from({ length: SIZES.branches }, (_, branch) =>
    Array.from({ length: each }, (_unused, at) => ({
      ...settings,
      id: `c-${branch}-${at}`,
      name: at === 0 ? `Branch ${branch}` : `Collection ${branch}.${at}`,
      parent: at === 0 ? null : `c-${branch}-0`,
      position: at === 0 ? 100 + branch : at,
    })),
  ).flat();
  await db.insert(collections).values(rows);
  const saved = { version: 1, savedAt: new Date(), savedBy: LIBRARIAN, reason: 'Seeded' };
  await db
    .insert(collectionRevisions)
    .values(rows.map(({ id, name }) => ({ collection: id, settings: { ...settings, name }, ...saved })));
  const tops = rows.filter(({ parent }) => parent === null);
  await db
    .insert(grants)
    .values([
      ...tops.map(({ id }) => ({ collection: id, member: LIBRARIAN, right: 'keep' as const })),
      ...tops.map(({ id }, at) =>
        at < TEAM_BRANCHES
          ? { collection: id, right: 'read' as const }
          : { collection: id, group: `group-${at % SIZES.groups}`, right: 'contribute' as const },
      ),
    ]);
  return rows.map(({ id }) => id);
}

/** Adds a bank of 100,000 entries in 2,000 collections, for 500 members, to a store with the demo's team. Always the same. */
export async function seedLargeBank(store: Store): Promise<void> {
  const { db } = store;
  const own = (await seedPeople(store)).map((id) => `own-${id}`);
  const shared = await seedCollections(store);
  const word = commonWords(next);
  const saved = { savedAt: new Date(), savedBy: LIBRARIAN, reason: 'Seeded', revision: 1 };
  for (let from = 0; from < SIZES.entries; from += AT_ONCE) {
    const rows = Array.from({ length: AT_ONCE }, (_, one) => {
      const at = from + one;
      // One in ten is someone's own.
      const collection = at % 10 === 0 ? own[(at / 10) % own.length]! : shared[at % shared.length]!;
      return { id: `e-${at}`, collection, content: content(word, at), ...saved, change: 1 };
    });
    await db.insert(entries).values(rows);
    await db.insert(revisions).values(rows.map(({ id, ...row }) => ({ entry: id, ...row })));
    const typed = rows.flatMap(({ id, collection, content: { cues: all } }) =>
      all.map(({ text }) => ({ collection, typed: text, entry: id })),
    );
    await db.insert(cues).values(typed);
    await writeWords(db, rows);
  }
  await db.update(collections).set({ changes: 1 });
}
