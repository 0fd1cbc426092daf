import { afterAll, beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Bank, Collection, Deletion, Entry, Sharing } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';

import { deleting, keep, moving, wording } from './testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from './testing/testServer';

/**
 * Sequences of acts by one member, and deletions by another, over trees and grants at random: whoever could not see or change a
 * thing before cannot after it, and no answer on the way held a word of it.
 */
let server: TestServer;
let imke: Caller;
let desta: Caller;
let trees = 0;

beforeAll(async () => {
  server = await startTestServer();
  [imke, desta] = [await server.as('imke'), await server.as('desta')];
});
afterAll(() => server.close());

const RIGHTS = ['none', 'none', 'read', 'contribute', 'keep'] as const;
type Granted = (typeof RIGHTS)[number];
const STRENGTH: Record<string, number> = { read: 1, contribute: 2, keep: 3 };

/** A node of a tree: within which earlier one it is, none for the top; and what Desta is granted there. */
interface Node {
  parent: number;
  grant: Granted | null;
}

interface Tree {
  collections: Collection[];
  entries: Entry[];
}

const tokenOf = (tree: number, at: number) => `token-${tree}-${at}-end`;

async function plant(nodes: readonly Node[]): Promise<Tree> {
  trees += 1;
  const collections: Collection[] = [];
  const entries: Entry[] = [];
  for (const [at, { parent, grant }] of nodes.entries()) {
    const around = at === 0 || parent < 0 ? null : collections[parent % at]!.id;
    const settings = { leadIn: ';', cueRules: DEFAULT_CUE_RULES, kindsOfWork: [], language: 'en-GB' };
    const made = await imke
      .post('/api/collections')
      .send({ name: `Tree ${trees} node ${at}`, parent: around, ...settings })
      .expect(201);
    const collection = made.body as Collection;
    collections.push(collection);
    if (grant !== null) {
      const at = `/api/collections/${collection.id}/sharing`;
      const { version, grants } = (await imke.get(at)).body as Sharing;
      await imke
        .put(at)
        .set('If-Match', `"${version}"`)
        .send({ grants: [...grants, { to: { kind: 'member', id: 'desta' }, right: grant }] })
        .expect(200);
    }
    const words = wording(`Entry ${tokenOf(trees, at)}`, `Words ${tokenOf(trees, at)}.`);
    entries.push((await keep(imke, collection.id, words).expect(201)).body as Entry);
  }
  return { collections, entries };
}

/** An act of Desta's: what kind, and on which of what there is. */
interface DestasAct {
  kind: number;
  a: number;
  b: number;
}

/** Imke deletes a collection; of what comes back to her Desta sees nothing. */
async function imkeDrops(id: string): Promise<{ text: string }> {
  await imke.delete(`/api/collections/${id}`).set('If-Match', '"1"');
  return { text: '' };
}

/** Each act asks for anything there is, whether Desta knows of it or not; a refusal is as good as the deed. */
const ACTS: ((tree: Tree, act: DestasAct, deletions: string[]) => Promise<{ text: string }>)[] = [
  ({ entries }, { a, b }) =>
    deleting(desta, [entries[a % entries.length]!.id, entries[b % entries.length]!.id]),
  ({ entries, collections }, { a, b }) =>
    moving(desta, [entries[a % entries.length]!.id], collections[b % collections.length]!.id),
  ({ collections }, { a, b }) =>
    desta
      .post(`/api/collections/${collections[a % collections.length]!.id}/place`)
      .send({ parent: b % 3 === 0 ? null : collections[b % collections.length]!.id, before: null }),
  ({ collections }, { a }) =>
    desta.delete(`/api/collections/${collections[a % collections.length]!.id}`).set('If-Match', '"1"'),
  (_tree, { a }, deletions) =>
    desta
      .post(`/api/wastebasket/${deletions.at(a % Math.max(1, deletions.length)) ?? 'none'}/restored`)
      .send({ entries: null }),
  ({ entries }, { a, b }) => {
    const [into, other] = [entries[a % entries.length]!, entries[b % entries.length]!];
    return desta.post('/api/entries/merged').send({
      into: { entry: into.id, revision: into.revision, content: into.content, reason: 'one' },
      entries: [{ entry: other.id, revision: other.revision }],
    });
  },
  ({ collections }, { a }) => desta.post(`/api/collections/${collections[a % collections.length]!.id}/file`),
  ({ entries, collections }, { a, b }) =>
    desta.post('/api/entries/steps').send({
      steps: [
        {
          do: 'move',
          entries: [entries[a % entries.length]!.id],
          to: collections[b % collections.length]!.id,
        },
        {
          do: 'revert',
          entries: [{ entry: entries[b % entries.length]!.id, revision: 1, to: 1 }],
          reason: '',
        },
      ],
    }),
  ({ entries }, { a }) => desta.get(`/api/entries/${entries[a % entries.length]!.id}/revisions`),
  ({ entries }, { a }) => desta.get(`/api/entries/${entries[a % entries.length]!.id}`),
  ({ collections }, { a }) =>
    desta.get(`/api/collections/${collections[a % collections.length]!.id}/sharing`),
  () => desta.get('/api/wastebasket'),
  // What somebody else does in between opens nothing either.
  ({ collections }, { a }) => imkeDrops(collections[a % collections.length]!.id),
];

const bankOf = async () => (await desta.get('/api/bank').expect(200)).body as Bank;
/** What Desta may do with each collection, and which entries there are to her. */
async function known() {
  const bank = await bankOf();
  return {
    rights: new Map(bank.collections.map(({ id, right }) => [id, STRENGTH[right] ?? 0])),
    entries: new Map(bank.entries.map(({ id, collection }) => [id, collection])),
  };
}

const node = fc.record({
  parent: fc.integer({ min: -1, max: 5 }),
  grant: fc.constantFrom<Granted | null>(null, ...RIGHTS),
});
const act = fc.record({
  kind: fc.nat(ACTS.length - 1),
  a: fc.nat(11),
  b: fc.nat(11),
});

test('no sequence of one’s own acts shows or hands one anything that was not one’s own to see or to keep', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(node, { minLength: 3, maxLength: 5 }),
      fc.array(act, { minLength: 4, maxLength: 9 }),
      async (nodes, acts) => {
        const tree = await plant(nodes);
        const before = await known();
        const hidden = tree.entries.flatMap(({ id }, at) =>
          before.entries.has(id) ? [] : [tokenOf(trees, at)],
        );
        const deletions: string[] = [];
        for (const one of acts) {
          const { text } = await ACTS[one.kind]!(tree, one, deletions);
          for (const token of hidden) expect(text).not.toContain(token);
          const basket = (await desta.get('/api/wastebasket').expect(200)).body as Deletion[];
          deletions.splice(0, deletions.length, ...basket.map(({ id }) => id));
        }
        const after = await known();
        for (const [id, right] of after.rights) {
          if (!tree.collections.some((collection) => collection.id === id)) continue;
          expect(right).toBeLessThanOrEqual(before.rights.get(id) ?? 0);
        }
        for (const { id } of tree.entries)
          if (!before.entries.has(id)) expect(after.entries.has(id)).toBe(false);
        const { text } = await desta.get('/api/wastebasket');
        for (const token of hidden) expect(text).not.toContain(token);
      },
    ),
    { numRuns: 20, endOnFailure: true },
  );
});
