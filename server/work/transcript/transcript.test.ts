import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Draft, EarlierCast, OthersTranscript } from '#contracts';
import { NEW_TRANSCRIPT, withSpeaker } from '#core/transcript';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';

let server: TestServer;
let ruan: Caller;
let imke: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [ruan, imke] = [await server.as('ruan'), await server.as('imke')];
});
afterAll(() => server.close());

const TAPE = '/api/cases/tape-warden';
const CAST = withSpeaker(withSpeaker([], 'w', 'Wilf Ambry'), 'r', 'Ruan Pellow');
/** A text in which one turn is said; none without words. */
const said = (words: string, at = 0) => ({
  type: 'doc',
  attrs: { placements: {}, transcript: { ...NEW_TRANSCRIPT, cast: CAST, part: { from: at, to: null } } },
  content: [
    words === ''
      ? { type: 'paragraph' }
      : { type: 'turn', attrs: { speaker: 'w', at }, content: [{ type: 'text', text: words }] },
  ],
});
const write = async (caller: Caller, document: object) => {
  const draft = (await caller.post(`${TAPE}/drafts`).expect(200)).body as Draft;
  const saving = caller.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  return (await saving.send({ document }).expect(200)).body as Draft;
};
const others = async (caller: Caller) =>
  (await caller.get(`${TAPE}/transcripts`).expect(200)).body as OthersTranscript[];

test('two who have a case see what the other has written down, and nobody else does', async () => {
  await write(ruan, said('So the water came.'));
  expect(await others(ruan)).toEqual([]);
  await imke.get(`${TAPE}/transcripts`).expect(404);
  await ruan.post(`${TAPE}/changes`).send({ do: 'give', to: 'imke' }).expect(200);
  const [his] = await others(imke);
  expect(his).toMatchObject({
    ...{ author: 'ruan', authorName: 'Ruan Pellow', finished: false },
    document: said('So the water came.'),
  });
  // A leaf without turns is no part of the recording.
  await write(imke, said(''));
  expect(await others(ruan)).toEqual([]);
  await write(imke, said('Eleven.', 60_000));
  expect(
    (await others(ruan)).map(({ authorName, document }) => [authorName, document.attrs.transcript?.part]),
  ).toEqual([['Imke Tarrow', { from: 60_000, to: null }]]);
  // Who has the case no more keeps what is theirs to themselves.
  await ruan.post(`${TAPE}/changes`).send({ do: 'take-back', from: 'imke' }).expect(200);
  expect(await others(ruan)).toEqual([]);
});

test('the casts of one’s own recordings are told, and nobody else’s', async () => {
  const casts = (await ruan.get('/api/casts').expect(200)).body as EarlierCast[];
  expect(casts.map(({ title, cast }) => [title, cast.map(({ name }) => name)])).toEqual([
    [expect.stringContaining('Wilf Ambry'), ['Wilf Ambry', 'Ruan Pellow']],
  ]);
  expect((await (await server.as('desta')).get('/api/casts').expect(200)).body).toEqual([]);
});
