import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Draft, Entry, NewerWordings } from '#contracts';
import { keep, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = await Promise.all([server.as('imke'), server.as('odile')]);
});
afterAll(() => server.close());

const told = async (who: Caller) => (await who.get('/api/newer-wordings').expect(200)).body as NewerWordings;
const at = (version: number) => `"${version}"`;

/** Saves a leaf on which an entry was placed, of which older words may be kept. */
async function placed(who: Caller, { id, revision }: Entry, more: object = {}): Promise<Draft> {
  const draft = (await who.post('/api/cases/swan-keel/drafts').expect(200)).body as Draft;
  const placement = {
    ...{
      entry: id,
      revision,
      title: 'Flushed',
      cue: null,
      wording: 'main',
      language: 'en-GB',
      fields: [],
      answers: {},
    },
    ...more,
  };
  const marks = [{ type: 'placed', attrs: { placement: 'p' } }];
  const content = [{ type: 'paragraph', content: [{ type: 'text', text: 'Flushed.', marks }] }];
  const document = { type: 'doc', attrs: { placements: { p: placement } }, content };
  const put = who.put(`/api/drafts/${draft.id}`).set('If-Match', at(draft.version)).send({ document });
  return (await put.expect(200)).body as Draft;
}

test('an unfinished leaf tells of a wording saved anew since, to its writer alone, until it is taken, kept or finished', async () => {
  const entry = (await keep(imke, 'ward', wording('Flushed', 'Flushed.')).expect(201)).body as Entry;
  await placed(imke, entry);
  expect(await told(imke)).toEqual([]);
  const newer = (
    await saveAs(imke, entry.id, entry.revision, wording('Flushed', 'Flushed twice.')).expect(200)
  ).body as Entry;
  const [one] = await told(imke);
  expect(one).toMatchObject({ case: 'swan-keel', placements: 1 });
  expect(await told(odile)).toEqual([]);
  await placed(imke, entry, { keptAgainst: newer.revision });
  expect(await told(imke)).toEqual([]);
  await placed(imke, newer);
  expect(await told(imke)).toEqual([]);
  const last = await placed(imke, entry);
  expect(await told(imke)).toHaveLength(1);
  await imke.post(`/api/drafts/${last.id}/finish`).set('If-Match', at(last.version)).expect(200);
  expect(await told(imke)).toEqual([]);
});
