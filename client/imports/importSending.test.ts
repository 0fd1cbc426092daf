import { afterEach, expect, test } from '@jest/globals';
import { MOST_SENT_BYTES, type ImportPiece } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { newEntry } from '#core/entry';
import { plainPassage, type Passage } from '#core/passage';
import type { TakeOverBody } from '#core/takeover';
import { isProblem, Unreachable } from '#client/api';
import { answering, refusal, type Sent } from '../testing/answering';
import { ImportSending } from './importSending';

let sent: Sent[];
let restore = () => {};
afterEach(() => restore());

const COLLECTION = {
  ...{ id: 'c', name: 'Wing', parent: null, leadIn: ',', language: 'en-GB', kindsOfWork: [] },
  ...{ cueRules: DEFAULT_CUE_RULES, cuesBy: 'initials' as const },
};
const BEGUN = {
  ...{ id: 'i1', name: 'wing.json', at: '2026-11-24T10:00:00Z', collection: 'ward', made: 0, changed: 0 },
};

/** A server that takes what comes; `instead` answers in its place, or throws where nobody answers. */
function server(instead: (to: string, body: ImportPiece) => ReturnType<typeof refusal> | null = () => null) {
  const stood = answering((to, body) => {
    const other = instead(to, body as ImportPiece);
    if (other) return other;
    if (to.startsWith('DELETE')) return { status: 204, json: null };
    return { json: { ...BEGUN, state: to.endsWith('finish') ? 'here' : 'arriving' } };
  });
  ({ sent, restore } = stood);
}

/** What is brought in: entries with some words each, of which one may stand within another. */
function bringing(
  count: number,
  words: (at: number) => Passage = () => plainPassage('It was fed.'),
): TakeOverBody {
  return {
    collections: [COLLECTION],
    places: { c: 'ward' },
    entries: Array.from({ length: count }, (_, at) => ({
      ...{ id: `e${at}`, collection: 'c', replaces: null },
      content: newEntry(`Entry ${at}`, 'en-GB', words(at)),
    })),
    known: {},
  };
}

const acts = () => sent.map(({ to }) => to.replace('/api/imports', ''));
/** What is asked where 450 entries are brought in. */
const IN_THREE_PIECES = ['POST ', ...Array<string>(3).fill('POST /i1/pieces'), 'POST /i1/finish'];
const pieces = () => sent.filter(({ to }) => to.endsWith('/pieces')).map(({ body }) => body as ImportPiece);
const idsSent = () => pieces().flatMap(({ entries }) => entries.map(({ id }) => id));

test('many entries go in pieces, each once and in their order, and how far it is is told', async () => {
  server();
  const told: number[] = [];
  const made = await new ImportSending(bringing(450), 'wing.json').run((done) => told.push(done));
  expect(made).toMatchObject({ id: 'i1', state: 'here' });
  expect(acts()).toEqual(IN_THREE_PIECES);
  expect(idsSent()).toEqual(Array.from({ length: 450 }, (_, at) => `e${at}`));
  expect(told).toEqual([0, 200, 400, 450]);
});

test('long entries go in more pieces: none is larger than the server takes, in whatever script they are', async () => {
  server();
  await new ImportSending(
    bringing(30, (at) => plainPassage((at % 2 ? 'ж' : 'w').repeat(180_000))),
    'wing.json',
  ).run();
  expect(idsSent()).toHaveLength(30);
  expect(pieces().length).toBeGreaterThan(1);
  for (const piece of pieces())
    expect(new TextEncoder().encode(JSON.stringify(piece)).length).toBeLessThan(MOST_SENT_BYTES);
});

test('with each piece goes what its entries have within them: what comes too, and what is here already', async () => {
  server();
  const including = (entry: string): Passage => ({
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'include', attrs: { entry } }] }],
  });
  const body = bringing(3, (at) =>
    at === 0 ? including('e2') : at === 1 ? including('there') : plainPassage('x'),
  );
  await new ImportSending({ ...body, known: { there: 'here', other: 'unused' } }, 'wing.json').run();
  expect(pieces()[0]).toMatchObject({ known: { there: 'here' }, coming: ['e2'] });
});

test('after a lost connection it goes on where it was: nothing is begun twice, and no piece that came is sent again', async () => {
  let isAway = true;
  server((to, body) => {
    if (isAway && to.endsWith('/pieces') && body.entries[0]!.id === 'e200') throw new Error('away');
    return null;
  });
  const sending = new ImportSending(bringing(450), 'wing.json');
  await expect(sending.run()).rejects.toBeInstanceOf(Unreachable);
  expect(acts()).toEqual(['POST ', 'POST /i1/pieces']);
  isAway = false;
  expect(await sending.run()).toMatchObject({ state: 'here' });
  expect(acts()).toEqual(IN_THREE_PIECES);
  expect(new Set(idsSent()).size).toBe(450);
});

test('of what is refused nothing stays behind; brought in anew it begins at the beginning', async () => {
  let isRefused = true;
  server((to, body) =>
    isRefused && to.endsWith('/pieces') && body.entries[0]!.id === 'e200'
      ? refusal('not-valid', 'Entry 200 has a fault.')
      : null,
  );
  const sending = new ImportSending(bringing(250), 'wing.json');
  const error: unknown = await sending.run().catch((one: unknown) => one);
  expect(isProblem(error, 'not-valid')).toBe(true);
  expect(acts().at(-1)).toBe('DELETE /i1');
  isRefused = false;
  sent.length = 0;
  await sending.run();
  expect(idsSent()).toHaveLength(250);
});

test.each([
  ['kept, it ends with what had come', 'keep', 'POST /i1/finish'],
  ['dropped, nothing of it is left', 'drop', 'DELETE /i1'],
] as const)('stopped and %s', async (_what, how, last) => {
  server();
  const sending = new ImportSending(bringing(450), 'wing.json');
  const made = await sending.run((done) => {
    if (done === 200) sending.stop(how);
  });
  expect(made === null).toBe(how === 'drop');
  expect(acts().at(-1)).toBe(last);
  // The piece that was on its way came.
  expect(pieces()).toHaveLength(2);
});
