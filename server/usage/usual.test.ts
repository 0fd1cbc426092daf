import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Draft, Entry, Usual } from '#contracts';
import { keep, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let anouk: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, anouk] = await Promise.all([server.as('imke'), server.as('anouk')]);
});
afterAll(() => server.close());

const kept = async (collection: string, title: string) =>
  (await keep(imke, collection, wording(title, `${title}.`)).expect(201)).body as Entry;

/** Writes a leaf of entries in this order, and finishes it. */
async function finished(entries: readonly Entry[]): Promise<Draft> {
  const begin = { id: randomUUID(), title: '', copyOf: null, today: '2026-11-27' };
  const begun = (await imke.post('/api/cases/swan-keel/drafts/new').send(begin).expect(201)).body as Draft;
  const placements = entries.map(({ id, revision, content }, at) => [
    `p${at}`,
    {
      entry: id,
      revision,
      title: content.title,
      cue: null,
      wording: 'main',
      language: 'en-GB',
      fields: [],
      answers: {},
    },
  ]);
  const content = entries.map((entry, at) => ({
    type: 'paragraph',
    content: [
      {
        type: 'text',
        text: entry.content.title,
        marks: [{ type: 'placed', attrs: { placement: `p${at}` } }],
      },
    ],
  }));
  const byId = Object.fromEntries(placements) as Record<string, unknown>;
  const document = { type: 'doc', attrs: { placements: byId }, content };
  const at = (version: number) => `"${version}"`;
  const put = imke.put(`/api/drafts/${begun.id}`).set('If-Match', at(begun.version)).send({ document });
  const saved = (await put.expect(200)).body as Draft;
  const finish = imke.post(`/api/drafts/${saved.id}/finish`).set('If-Match', at(saved.version));
  return (await finish.expect(200)).body as Draft;
}

const told = async (who: Caller, kind = 'admission') =>
  (await who.get(`/api/usual/${kind}`).expect(200)).body as Usual;
const usual = async (who: Caller, kind?: string) => (await told(who, kind)).after;

test('what came after what at least twice in finished drafts is usual there, the most frequent first', async () => {
  const [a, b, c] = [
    await kept('ward', 'Arrived'),
    await kept('ward', 'Bathed'),
    await kept('ward', 'Cared for'),
  ];
  await finished([a, b]);
  expect(await usual(imke)).toEqual({});
  await finished([a, c]);
  const last = await finished([a, b, c]);
  await finished([a, c, b]);
  await finished([a, c]);
  expect(await usual(imke)).toEqual({ '': [a.id], [a.id]: [c.id, b.id] });
  expect((await told(imke)).often).toEqual([a.id, c.id, b.id]);
  expect(await told(imke, 'reply')).toEqual({ after: {}, often: [] });
  await imke.get('/api/usual/nothing').expect(404);

  // Finished again it counts once; open or deleted it does not.
  const at = (version: number) => `"${version}"`;
  const open = await imke.post(`/api/drafts/${last.id}/reopen`).set('If-Match', at(last.version)).expect(200);
  expect((await usual(imke))[a.id]).toEqual([c.id]);
  const { version } = open.body as Draft;
  await imke.post(`/api/drafts/${last.id}/finish`).set('If-Match', at(version)).expect(200);
  expect((await usual(imke))[a.id]).toEqual([c.id, b.id]);
});

test('nobody is told of entries that they do not see, before or after', async () => {
  const [own, shared] = [await kept('own-imke', 'Mine'), await kept('ward', 'Shared')];
  for (let times = 0; times < 2; times += 1) await finished([own, shared, own]);
  expect((await usual(imke))[own.id]).toEqual([shared.id]);
  const seen = JSON.stringify(await told(anouk));
  expect(seen).not.toContain(own.id);
});
