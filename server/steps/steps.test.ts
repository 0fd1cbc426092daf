import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { Entry, Step, Stepped } from '#contracts';
import { keep, keptEntry, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
beforeEach(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
});
afterEach(() => server.close());

const send = (who: Caller, steps: readonly Step[]) => who.post('/api/entries/steps').send({ steps });
const take = async (who: Caller, steps: readonly Step[]) =>
  (await send(who, steps).expect(200)).body as Stepped;
const entryNow = async (id: string) => (await imke.get(`/api/entries/${id}`).expect(200)).body as Entry;
const change = (one: Entry, title: string): Step => ({
  do: 'change',
  changes: [{ entry: one.id, revision: one.revision, content: { ...one.content, title } }],
  reason: 'why',
});
const revert = (...all: Entry[]): Step => ({
  do: 'revert',
  entries: all.map(({ id, revision }) => ({ entry: id, revision, to: revision - 1 })),
  reason: 'Taken back',
});

test('what several steps did is taken back by one request, to the letter', async () => {
  const [one, other] = [
    await keptEntry(imke, 'ward', 'One', 'It ate.', 'o1'),
    await keptEntry(imke, 'ward', 'Other', 'It slept.', 'o2'),
  ];
  // The two change their cues: none may be in the way of the other, back and forth.
  const swapped = (entry: Entry, cue: string) => ({
    entry: entry.id,
    revision: 1,
    content: { ...entry.content, cues: [{ text: cue }] },
  });
  const { entries } = await take(
    imke,
    [
      { do: 'change', changes: [swapped(one, 'o2'), swapped(other, 'o1')], reason: 'swapped' },
      { do: 'move', entries: [one.id], to: 'own-imke' },
    ].slice(0, 1) as Step[],
  );
  expect(entries.map(({ revision }) => revision)).toEqual([2, 2]);
  await take(imke, [revert(...entries)]);
  expect((await entryNow(one.id)).content).toEqual(one.content);
  expect((await entryNow(other.id)).content).toEqual(other.content);
});

test('a piece is made and put into others in one act: where one of them moved on, nothing was made', async () => {
  const one = await keptEntry(imke, 'ward', 'One', 'It ate.');
  const held = {
    type: 'doc' as const,
    content: [
      {
        type: 'paragraph' as const,
        content: [
          { type: 'text' as const, text: 'So: ' },
          { type: 'include' as const, attrs: { entry: 'piece' } },
        ],
      },
    ],
  };
  const content = {
    ...one.content,
    wordings: one.content.wordings.map((now) => ({
      ...now,
      parts: now.parts.map((part) => ({ ...part, passage: held })),
    })),
  };
  const steps = (revision: number): Step[] => [
    { do: 'make', name: 'piece', collection: 'ward', content: wording('The piece', 'It ate.'), reason: '' },
    { do: 'change', changes: [{ entry: one.id, revision, content }], reason: 'piece' },
  ];
  expect(problem(await send(imke, steps(7)).expect(412)).code).toBe('moved-on');
  const bank = await imke.get('/api/bank');
  expect(JSON.stringify(bank.body)).not.toContain('The piece');
  const { entries } = await take(imke, steps(1));
  const piece = entries.find(({ content: { title } }) => title === 'The piece')!;
  expect(JSON.stringify((await entryNow(one.id)).content)).toContain(`"entry":"${piece.id}"`);
});

test('where one step may not be, none is taken: whoever does not keep one of two', async () => {
  const odile = await server.as('odile');
  const desta = await server.as('desta');
  const mine = await keptEntry(odile, 'ward', 'Mine', 'It ate.');
  const secret = await keptEntry(imke, 'own-imke', 'Secret', 'It slept.');
  expect((await send(odile, [change(mine, 'Changed'), { do: 'delete', entries: [secret.id] }])).status).toBe(
    404,
  );
  expect((await entryNow(mine.id)).content.title).toBe('Mine');
  // Who may only propose proposes, and does not change.
  expect((await send(desta, [change(mine, 'Changed')])).status).toBe(403);
});

test('an undo after somebody saved in between is refused whole, in words', async () => {
  const [one, other] = [
    await keptEntry(imke, 'ward', 'One', 'It ate.'),
    await keptEntry(imke, 'ward', 'Other', 'It slept.'),
  ];
  const { entries } = await take(imke, [change(one, 'One now'), change(other, 'Other now')]);
  await saveAs(await server.as('odile'), other.id, 2, { ...other.content, title: 'By Odile' }).expect(200);
  const refused = await send(imke, [revert(...entries)]).expect(412);
  expect(problem(refused).detail).toContain('“By Odile”');
  expect((await entryNow(one.id)).content.title).toBe('One now');
});

test('what was saved before an entry came here is not brought back by who could not see it there', async () => {
  const { id } = await keptEntry(imke, 'own-imke', 'Private', 'A secret.');
  await saveAs(imke, id, 1, wording('Shared', 'No secret.')).expect(200);
  await take(imke, [{ do: 'move', entries: [id], to: 'ward' }]);
  const odile = await server.as('odile');
  const steps: Step[] = [{ do: 'revert', entries: [{ entry: id, revision: 2, to: 1 }], reason: '' }];
  expect((await send(odile, steps)).status).toBe(404);
  expect((await entryNow(id)).content.title).toBe('Shared');
});

test('deleted and brought back; moved and moved back to several places; proposed and withdrawn', async () => {
  const one = await keptEntry(imke, 'ward', 'One', 'It ate.', 'o1');
  const own = await keptEntry(imke, 'own-imke', 'Own', 'It slept.');
  const { deletions } = await take(imke, [{ do: 'delete', entries: [one.id, own.id] }]);
  await take(imke, [{ do: 'restore', deletion: deletions[0]! }]);
  expect((await entryNow(one.id)).content.cues).toEqual([{ text: 'o1' }]);
  await take(imke, [{ do: 'move', entries: [own.id], to: 'ward' }]);
  expect((await entryNow(own.id)).collection).toBe('ward');

  const desta = await server.as('desta');
  const { proposals } = await take(desta, [
    { do: 'propose', entry: one.id, content: { ...one.content, title: 'Better' }, reason: 'why', base: 1 },
  ]);
  expect((await send(imke, [{ do: 'withdraw', proposal: proposals[0]! }])).status).toBe(403);
  await take(desta, [{ do: 'withdraw', proposal: proposals[0]! }]);
  expect((await send(desta, [{ do: 'withdraw', proposal: proposals[0]! }])).status).toBe(412);
});

test('two things made by one name, no steps, and a step of no kind are refused in words', async () => {
  const make: Step = {
    do: 'make',
    name: 'a',
    collection: 'ward',
    content: wording('A', 'It ate.'),
    reason: '',
  };
  expect((await send(imke, [make, make])).status).toBe(422);
  expect((await send(imke, [])).status).toBe(422);
  expect((await send(imke, [{ do: 'dance' } as unknown as Step])).status).toBe(422);
  expect((await keep(imke, 'ward', wording('A', 'It ate.'))).status).toBe(201);
});
