import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type {
  Assignment,
  Case,
  CaseSubmission,
  CaseSummary,
  ClassCounts,
  Draft,
  OthersComments,
  Problem,
  SummingUp,
} from '#contracts';
import { plainPassage } from '#core/passage';
import type { Submission } from '#core/submission';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';

let server: TestServer;
let desta: Caller;
let imke: Caller;
let anouk: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [desta, imke, anouk] = [await server.as('desta'), await server.as('imke'), await server.as('anouk')];
});
afterAll(() => server.close());

const REPORT = '/api/cases/report-saltmarsh';
const submission = (...lines: string[]): Submission => ({
  version: 1,
  blocks: lines.map((text) => ({ kind: 'paragraph', spans: [{ text }] })),
  comments: [],
});
const handedIn = (...lines: string[]) => ({
  submission: submission(...lines),
  name: 'Report.docx',
  file: null,
});
const give = (to: string) => desta.post(`${REPORT}/changes`).send({ do: 'give', to });

/** A draft with one comment on the first line. */
const withComment = (words: string, id = 'c1') => ({
  type: 'doc',
  attrs: { placements: {} },
  content: [
    {
      type: 'box',
      attrs: {
        name: 'Comment',
        comment: {
          id,
          on: { from: { block: 0, at: 0 }, to: { block: 0, at: 2 } },
          words: 'We',
        },
      },
      content: [{ type: 'paragraph', content: [{ type: 'text', text: words }] }],
    },
    { type: 'paragraph' },
  ],
});
const write = async (caller: Caller, words: string) => {
  const draft = (await caller.post(`${REPORT}/drafts`).expect(200)).body as Draft;
  const saving = caller.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  return (await saving.send({ document: withComment(words) }).expect(200)).body as Draft;
};
const work = (title: string, more: object = {}) => ({
  ...{ id: randomUUID(), title, due: '2026-12-04', limits: { least: 800, most: 1200 }, criteria: [] },
  ...{ people: [{ name: 'Tomos Hale', number: 'FS-07' }], given: [], ...more },
});

test('what is handed in is kept with its case, and what is handed in again takes its place', async () => {
  expect((await desta.get(`${REPORT}/submission`).expect(200)).body).toBeNull();
  const first = (await desta.put(`${REPORT}/submission`).send(handedIn('We counted.')).expect(200))
    .body as CaseSubmission;
  expect(first).toMatchObject({ version: 1, name: 'Report.docx', assignment: null });
  await desta.put(`${REPORT}/submission`).send(handedIn('We counted.', 'Twice.')).expect(200);
  const now = (await desta.get(`${REPORT}/submission`).expect(200)).body as CaseSubmission;
  expect(now.version).toBe(2);
  expect(now.submission).toEqual(submission('We counted.', 'Twice.'));
  // To those the case is not given to it does not exist.
  await anouk.get(`${REPORT}/submission`).expect(404);
  await anouk.put(`${REPORT}/submission`).send(handedIn('Mine.')).expect(404);
});

test.each([
  ['a file that the case does not have', { ...handedIn('We.'), file: 'none' }],
  [
    'a stretch of words that is none',
    { ...handedIn('We.'), submission: { version: 1, blocks: [{ kind: 'poem', spans: [] }], comments: [] } },
  ],
  ['a form of a later Elderleaf', { ...handedIn('We.'), submission: { ...submission('We.'), version: 2 } }],
])('%s is refused, and what was there stays', async (_what, body) => {
  await desta.put(`${REPORT}/submission`).send(handedIn('We counted.')).expect(200);
  const refused = await desta.put(`${REPORT}/submission`).send(body);
  expect((refused.body as Problem).code).toBe('not-valid');
  const now = (await desta.get(`${REPORT}/submission`)).body as CaseSubmission;
  expect(now.submission).toEqual(submission('We counted.'));
});

test('two who have a case see each other’s comments, and nobody else does; one who gave it back is seen no more', async () => {
  await give('imke').expect(200);
  await write(desta, 'State the tide.');
  await write(imke, 'And the wind.');
  const seen = async (caller: Caller) =>
    (await caller.get(`${REPORT}/comments`).expect(200)).body as OthersComments[];
  const [forDesta] = await seen(desta);
  expect(forDesta).toMatchObject({ author: 'imke', authorName: 'Imke Tarrow', finished: false });
  expect(
    forDesta!.comments.map(({ words, passage }) => [
      words,
      JSON.stringify(passage).includes('And the wind.'),
    ]),
  ).toEqual([['We', true]]);
  expect((await seen(imke)).map(({ author }) => author)).toEqual(['desta']);
  await anouk.get(`${REPORT}/comments`).expect(404);
  await desta.post(`${REPORT}/changes`).send({ do: 'take-back', from: 'imke' }).expect(200);
  expect(await seen(desta)).toEqual([]);
});

test('an assignment makes cases of what comes in, for all it is given to; sent again it is one', async () => {
  const made = work('Saltmarsh transect', { given: ['imke'] });
  await desta.post('/api/assignments').send(made).expect(201);
  await desta.post('/api/assignments').send(made).expect(201);
  const at = `/api/assignments/${made.id}`;
  const coming = { case: randomUUID(), person: 'Tomos Hale', title: 'Saltmarsh transect, Tomos Hale' };
  await desta.post(`${at}/submissions`).send(coming).expect(201);
  await desta.post(`${at}/submissions`).send(coming).expect(201);
  await imke.put(`/api/cases/${coming.case}/submission`).send(handedIn('We counted waders.')).expect(200);
  const [listed] = (await imke.get('/api/assignments').expect(200)).body as Assignment[];
  expect(listed!.given).toEqual(['desta', 'imke']);
  expect(listed!.submissions).toEqual([
    expect.objectContaining({ person: 'Tomos Hale', words: 3, state: 'none', comments: 0 }),
  ]);
  const { kind, number, record } = (await imke.get(`/api/cases/${coming.case}`)).body as Case;
  expect([kind, number]).toEqual(['feedback', 'FS-07']);
  expect(record.details.map(({ path }) => path)).toEqual(['name', 'topic']);
  await anouk.get(at).expect(404);
  await anouk
    .post(`${at}/submissions`)
    .send({ ...coming, case: randomUUID() })
    .expect(404);
});

test('of two who take a class in at once each person has one submission still', async () => {
  const made = work('Owls at dusk', { given: ['imke'], people: [] });
  await desta.post('/api/assignments').send(made).expect(201);
  const at = `/api/assignments/${made.id}`;
  const coming = (person: string) => ({ case: randomUUID(), person, title: `Owls at dusk, ${person}` });
  const people = ['Tomos Hale', 'Mari Voss', 'Ida Brook'];
  const answers = await Promise.all(
    people.flatMap((person) =>
      [desta, imke].map((caller) => caller.post(`${at}/submissions`).send(coming(person)).expect(201)),
    ),
  );
  for (const { body } of answers) expect((body as Assignment).submissions.length).toBeLessThanOrEqual(3);
  const now = (await imke.get(at).expect(200)).body as Assignment;
  expect(now.submissions.map(({ person }) => person).sort()).toEqual([...people].sort());
});

test('of two who change one assignment the second is told; whom it is given to later has its submissions too', async () => {
  const { id, ...made } = work('Bat roosts');
  await desta
    .post('/api/assignments')
    .send({ id, ...made })
    .expect(201);
  const at = `/api/assignments/${id}`;
  const of = randomUUID();
  await desta.post(`${at}/submissions`).send({ case: of, person: 'Ingrid Vale', title: 'Bats' }).expect(201);
  await imke.get(`/api/cases/${of}`).expect(404);
  const change = (version: number, body: object) =>
    desta
      .put(at)
      .set('If-Match', `"${version}"`)
      .send({ ...made, ...body });
  const changed = (await change(1, { given: ['imke'] }).expect(200)).body as Assignment;
  expect(changed).toMatchObject({ version: 2, given: ['desta', 'imke'] });
  await imke.get(`/api/cases/${of}`).expect(200);
  const refused = await change(1, { title: 'Older' }).expect(412);
  expect((refused.body as Problem).current).toMatchObject({ title: 'Bat roosts', version: 2 });
  expect(((await imke.get('/api/cases')).body as CaseSummary[]).some(({ id: one }) => one === of)).toBe(true);
});

/** A draft with a comment that was placed from an entry and counts as a fault, and with a level given. */
const judged = (words: string, entry: string | null, level: string | null) => {
  const { content } = withComment(words);
  const [box, last] = content as [{ attrs: { comment: object }; content: unknown[] }, object];
  const marks = entry ? [{ type: 'placed', attrs: { placement: 'p1' } }] : [];
  const placement = {
    ...{ entry, revision: 1, title: `Title of ${entry}`, cue: null, wording: 'main', language: 'en-GB' },
    ...{ fields: [], answers: {} },
  };
  const comment = { ...box.attrs.comment, ...(entry && { counts: { criterion: 'Method', as: 'fault' } }) };
  return {
    type: 'doc',
    attrs: { placements: entry ? { p1: placement } : {}, ...(level && { levels: { m: level } }) },
    content: [
      {
        ...box,
        attrs: { ...box.attrs, comment },
        content: [{ type: 'paragraph', content: [{ type: 'text', text: words, marks }] }],
      },
      last,
    ],
  };
};

test('a class is counted over all its tutors: levels, points, slips over the term, what was written by hand for several', async () => {
  const levels = [
    { id: 'good', name: 'good', words: '', points: 2 },
    { id: 'poor', name: 'poor', words: '', points: 0.5 },
  ];
  const criteria = [{ id: 'm', name: 'Method', levels }];
  const handIn = async (title: string) => {
    const made = work(title, { given: ['imke'], criteria });
    await desta.post('/api/assignments').send(made).expect(201);
    const of = { tomos: randomUUID(), ingrid: randomUUID() };
    for (const [person, id] of [
      ['Tomos Hale', of.tomos],
      ['Ingrid Vale', of.ingrid],
    ])
      await desta
        .post(`/api/assignments/${made.id}/submissions`)
        .send({ case: id, person, title: `${title}, ${person}` })
        .expect(201);
    return { id: made.id, of };
  };
  const say = async (caller: Caller, of: string, document: object) => {
    const draft = (await caller.post(`/api/cases/${of}/drafts`).expect(200)).body as Draft;
    const saving = caller.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
    await saving.send({ document }).expect(200);
  };
  const first = await handIn('Owls, block 1');
  await say(desta, first.of.tomos, judged('Name the place.', 'place', null));
  const second = await handIn('Owls, block 2');
  await say(desta, second.of.tomos, judged('Name the place.', 'place', 'poor'));
  // A colleague's level does not stand before one's own, and what they told is counted too.
  await say(imke, second.of.tomos, judged('Name your source.', 'source', 'good'));
  await say(desta, second.of.ingrid, judged('A fine sketch, keep it.', null, null));
  await say(imke, second.of.ingrid, judged('Keep it.', null, 'good'));
  const third = await handIn('Owls, block 3');
  await say(desta, third.of.tomos, judged('A fine sketch, keep it.', null, null));
  await say(desta, third.of.ingrid, judged('A fine sketch,  keep it.', null, null));

  const counts = async (caller: Caller, id: string) =>
    (await caller.get(`/api/assignments/${id}/counts`).expect(200)).body as ClassCounts;
  const { people, mostPoints, term, entriesPlaced, writtenOften } = await counts(desta, second.id);
  expect(mostPoints).toBe(2);
  expect(people).toEqual([
    expect.objectContaining({
      person: 'Ingrid Vale',
      points: 2,
      criteria: [{ criterion: 'Method', praise: 0, faults: 0, level: 'good' }],
    }),
    expect.objectContaining({
      person: 'Tomos Hale',
      points: 0.5,
      criteria: [{ criterion: 'Method', praise: 0, faults: 2, level: 'poor' }],
    }),
  ]);
  // Beside those of the term this one is the last.
  expect(term.at(-1)!.title).toBe('Owls, block 2');
  expect(term.map(({ title }) => title)).toContain('Owls, block 1');
  expect(term.at(-1)!.slips.map(({ title, person, count }) => [title, person, count])).toEqual([
    ['Title of place', 'Tomos Hale', 1],
    ['Title of source', 'Tomos Hale', 1],
  ]);
  expect(entriesPlaced.map(({ title, comments, people: on }) => [title, comments, on])).toEqual([
    ['Title of place', 1, 1],
    ['Title of source', 1, 1],
  ]);
  expect(writtenOften).toEqual([]);
  expect((await counts(desta, third.id)).writtenOften).toEqual([
    { words: 'A fine sketch, keep it.', people: ['Ingrid Vale', 'Tomos Hale'] },
  ]);
  expect((await counts(imke, second.id)).people[1]).toMatchObject({ points: 2 });

  // What one wrote beneath the same person's work before, and not what a colleague did, or what is of this assignment.
  const earlier = async (caller: Caller, of: string) =>
    (await caller.get(`/api/cases/${of}/summings-up`).expect(200)).body as SummingUp[];
  const summedUp = {
    type: 'doc',
    attrs: { placements: {} },
    content: plainPassage('Better than before.').content,
  };
  await say(desta, first.of.ingrid, summedUp);
  expect(await earlier(desta, second.of.ingrid)).toEqual([
    { assignment: 'Owls, block 1', savedAt: expect.any(String), text: 'Better than before.' },
  ]);
  expect(await earlier(desta, first.of.ingrid)).toEqual([]);
  expect(await earlier(imke, second.of.ingrid)).toEqual([]);
  await anouk.get(`/api/cases/${second.of.ingrid}/summings-up`).expect(404);
  await anouk.get(`/api/assignments/${second.id}/counts`).expect(404);
});

test.each([
  ['no title', { title: ' ' }],
  ['a limit turned round', { limits: { least: 900, most: 300 } }],
  [
    'two criteria of one name',
    {
      criteria: [
        { id: 'a', name: 'Method', levels: [] },
        { id: 'b', name: 'method', levels: [] },
      ],
    },
  ],
  ['somebody who is not of the team', { given: ['nobody'] }],
])('an assignment with %s is refused', async (_what, more) => {
  const refused = await desta.post('/api/assignments').send(work('Owls', more));
  expect([refused.status, (refused.body as Problem).code]).toEqual([422, 'not-valid']);
});
