import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Case, Draft, OthersMarkings } from '#contracts';
import { MarkingOnSchema } from '#core/passage';
import { Page, settled } from '../../testing/page';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';

let server: TestServer;
let desta: Caller;
let imke: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [desta, imke] = [await server.as('desta'), await server.as('imke')];
});
afterAll(() => server.close());

const marking = (id: string, words: string) => ({
  type: 'box',
  attrs: { name: 'Marking', marking: MarkingOnSchema.parse({ id, page: 1, at: { x: 20, y: 30 } }) },
  content: [{ type: 'paragraph', ...(words && { content: [{ type: 'text', text: words }] }) }],
});
const marked = (...content: object[]) => ({ type: 'doc', attrs: { placements: {} }, content });
const newPage = async () => {
  const body = {
    id: crypto.randomUUID(),
    kind: 'marking',
    title: 'Map',
    number: null,
    details: [],
    given: [],
  };
  return ((await desta.post('/api/cases').send(body).expect(201)).body as Case).id;
};
const write = async (caller: Caller, of: string, document: object) => {
  const draft = (await caller.post(`/api/cases/${of}/drafts`).expect(200)).body as Draft;
  const saving = caller.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  await saving.send({ document }).expect(200);
};
const others = async (caller: Caller, of: string) =>
  (await caller.get(`/api/cases/${of}/markings`).expect(200)).body as OthersMarkings[];

test('two who have a page see what the other has marked on it, hear of each change, and nobody else does', async () => {
  const of = await newPage();
  await write(desta, of, marked(marking('a', 'nine reed buntings'), marking('b', '')));
  expect(await others(desta, of)).toEqual([]);
  await imke.get(`/api/cases/${of}/markings`).expect(404);
  await desta.post(`/api/cases/${of}/changes`).send({ do: 'give', to: 'imke' }).expect(200);
  const [theirs] = await others(imke, of);
  expect(theirs).toMatchObject({ author: 'desta', authorName: 'Desta Wynne', finished: false });
  expect(theirs!.markings).toMatchObject([
    { id: 'a', page: 1, at: { x: 20, y: 30 }, words: 'nine reed buntings' },
    { id: 'b', words: '' },
  ]);
  // A leaf on which nothing is marked tells nothing.
  await write(imke, of, marked({ type: 'paragraph' }));
  expect(await others(desta, of)).toEqual([]);

  const hub = server.context.events;
  const page = Page.open(hub, 'imke');
  await write(desta, of, marked(marking('a', 'ten reed buntings')));
  await settled(hub, [page]);
  expect(page.types).toContain('comments-changed');
  page.end();
});
