import fs from 'node:fs';
import path from 'node:path';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Draft } from '#contracts';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  odile = await server.as('odile');
});
afterAll(() => server.close());

test('earlier answers come from own drafts about the same number alone, and only those to be offered', async () => {
  const text = (value: string) => ({ kind: 'text', text: value });
  const shared = { kind: 'text', question: '', hint: '', required: true, starting: '' };
  const place = async (caller: Caller, one: string, said: string) => {
    const draft = (await caller.post(`/api/cases/${one}/drafts`)).body as Draft;
    const placement = {
      entry: 'handling',
      revision: 1,
      title: 'x',
      cue: null,
      wording: 'main',
      language: 'en-GB',
      fields: [
        { ...shared, id: 'site', name: 'Site', offerLast: true },
        { ...shared, id: 'note', name: 'Note' },
      ],
      answers: { site: text(said), note: text('not to be offered') },
    };
    const marks = [{ type: 'placed', attrs: { placement: 'p' } }];
    const content = [{ type: 'paragraph', content: [{ type: 'text', text: said, marks }] }];
    await caller
      .put(`/api/drafts/${draft.id}`)
      .set('If-Match', `"${draft.version}"`)
      .send({ document: { type: 'doc', attrs: { placements: { p: placement } }, content } })
      .expect(200);
  };
  const bundle = JSON.parse(
    fs.readFileSync(path.join(process.cwd(), 'demo/to-drop/otter-tansy.json'), 'utf8'),
  ) as object;
  const again = async (caller: Caller) =>
    ((await caller.post('/api/cases/fhir').send(bundle)).body as { taken: [{ case: { id: string } }] })
      .taken[0].case.id;
  const stay = await again(imke);
  // Closed, it is a stay that is over: the animal that comes again has another.
  await imke.post(`/api/cases/${stay}/changes`).send({ do: 'close' }).expect(200);
  const [secondStay, hers] = [await again(imke), await again(odile)];
  await imke.post(`/api/cases/${stay}/changes`).send({ do: 'reopen' }).expect(200);
  await place(imke, stay, 'left paw');
  await place(odile, hers, 'right paw');
  await place(imke, 'hedgehog-bramble', 'another animal');
  const earlierOf = async (one: string) => {
    const { id } = (await imke.post(`/api/cases/${one}/drafts`)).body as Draft;
    return (await imke.get(`/api/drafts/${id}/earlier`)).body as unknown;
  };
  expect(await earlierOf(secondStay)).toEqual([{ entry: 'handling', answers: { site: text('left paw') } }]);
  expect(await earlierOf('swan-keel')).toEqual([]);
});
