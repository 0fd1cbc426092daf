import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import PostalMime from 'postal-mime';
import type { Batch, CaseSummary, Enquiry, LetterFault, Problem, TakenMessage } from '#contracts';
import type { BatchSetup } from '#core/batch';
import { batchRows, sendings } from '../../db';
import type { Courier, Delivery, Parcel } from '../../post';
import { deliverDue } from '../../sendings';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';

/** A mail server that does as it is told, and keeps what it was handed. */
const taken: Parcel[] = [];
let answer: () => Promise<Delivery>;
const courier: Courier = {
  byServer: true,
  from: 'Hollin Marsh <care@hollin.example>',
  deliver: (parcel) => {
    taken.push(parcel);
    return answer();
  },
};

const START = new Date('2026-11-24T10:00:00Z');
let now = START;
let server: TestServer;
let anouk: Caller;
let imke: Caller;
beforeAll(async () => {
  server = await startTestServer({ courier });
  server.context.now = () => now;
  // Nothing goes but when a test says so.
  server.context.pause = () => new Promise(() => undefined);
  [anouk, imke] = [await server.as('anouk'), await server.as('imke')];
});
afterAll(() => server.close());
beforeEach(async () => {
  // What another test left on its way.
  await server.context.db.delete(sendings);
  taken.length = 0;
  now = START;
  answer = () => Promise.resolve({ state: 'gone', reason: '' });
});
const later = (seconds: number) => (now = new Date(now.getTime() + seconds * 1000));

const column = (id: string, head: string, fills: string | null) => ({
  ...{ id, head, fills, kind: 'text' as const, monthFirst: false, decimalComma: false },
});
const SETUP: BatchSetup = {
  columns: [column('c1', 'Name', 'customer'), column('c2', 'Email', 'email'), column('c3', 'About', 'topic')],
  ...{ rules: [], day: '2026-11-24', fileNames: '{n} {Name}', behind: '', pace: 60 },
};
const PEOPLE = [
  ['Petra Lindow', 'petra.lindow@marsh.example', 'Volunteering'],
  ['Owen Marl', 'owen.marl@marsh.example', 'Volunteering'],
  ['Sena Brook', 'sena.brook@marsh.example', 'Volunteering'],
];
const letter = (words: string, more: object[] = []) => ({
  type: 'doc',
  attrs: { placements: {} },
  content: [{ type: 'paragraph', content: [{ type: 'text', text: words }, ...more] }],
});
const GAP = {
  type: 'blank',
  attrs: { field: 'begins', form: 'as-is', placement: 'letter', text: '', state: 'gap', dropped: 'none' },
};
const withGap = {
  ...letter('You begin on ', [GAP]),
  attrs: {
    placements: {
      letter: {
        ...{ entry: 'volunteer', revision: 1, title: 'x', cue: null, wording: 'main', language: 'en-GB' },
        fields: [{ id: 'begins', name: 'Begins', kind: 'date', required: true, starting: 'none' }],
        answers: {},
      },
    },
  },
};

interface Made {
  of: string;
  rows: string[];
}
async function batchOf(people: string[][] = PEOPLE, setup: BatchSetup = SETUP): Promise<Made> {
  const id = randomUUID();
  const body = { id, kind: 'batch', title: 'Volunteers', number: null, details: [], given: ['imke'] };
  const { id: of } = (await anouk.post('/api/cases').send(body).expect(201)).body as CaseSummary;
  await anouk.put(`/api/cases/${of}/batch`).set('If-Match', '"0"').send({ setup }).expect(200);
  const rows = people.map((cells) => ({ id: randomUUID(), cells }));
  if (rows.length > 0) await anouk.post(`/api/cases/${of}/batch/rows`).send({ rows }).expect(200);
  return { of, rows: rows.map((row) => row.id) };
}
const read = async ({ of }: Pick<Made, 'of'>, who = anouk) =>
  (await who.get(`/api/cases/${of}/batch`).expect(200)).body as Batch;
const states = async (made: Made) =>
  (await read(made)).rows.map(({ sending, gone }) => sending?.state ?? gone);
const send = async (made: Made, documents: object[], over: object = {}, who = anouk) =>
  (
    await who
      .post(`/api/cases/${made.of}/batch/sendings`)
      .send({
        letters: documents.map((document, at) => ({ row: made.rows[at], document })),
        ...{ wait: 0, sure: [], today: '2026-11-24', ...over },
      })
      .expect(200)
  ).body as { sent: string[]; faults: LetterFault[] };
const toEach = (words: string) => PEOPLE.map(([name]) => letter(`Dear ${name}, ${words}`));
const change = (made: Made, changes: object[], who = anouk) =>
  who.post(`/api/cases/${made.of}/batch/rows/changes`).send({ changes });

describe('rows', () => {
  test('stand in their order; sent again they are the ones they were; nobody else sees them', async () => {
    const made = await batchOf();
    const [first] = made.rows;
    const again = { rows: [{ id: first, cells: ['Somebody else'] }] };
    expect((await anouk.post(`/api/cases/${made.of}/batch/rows`).send(again)).body).toEqual({ rows: 3 });
    const { rows, setup, version } = await read(made);
    expect([rows.map(({ cells }) => cells[0]), setup, version]).toEqual([
      PEOPLE.map(([name]) => name),
      SETUP,
      1,
    ]);
    await (await server.as('ruan')).get(`/api/cases/${made.of}/batch`).expect(404);
    expect((await read(made, imke)).rows).toHaveLength(3);
  });

  test('two who add at the same moment give no place twice', async () => {
    const made = await batchOf();
    const add = (who: Caller) =>
      who
        .post(`/api/cases/${made.of}/batch/rows`)
        .send({
          rows: [
            { id: randomUUID(), cells: ['New'] },
            { id: randomUUID(), cells: ['New'] },
          ],
        })
        .expect(200);
    await Promise.all([add(anouk), add(imke), add(anouk)]);
    const { rows } = await read(made);
    expect(rows.map(({ position }) => position)).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8]);
  });

  test('are taken out, but for those whose letter has gone; what comes later has numbers of its own', async () => {
    const made = await batchOf();
    const [a, b, c] = made.rows;
    await change(made, [{ row: c, gone: { way: 'docx', document: letter('x') } }]).expect(200);
    await change(made, [
      { row: a, drop: true },
      { row: c, drop: true },
    ]).expect(403);
    await change(made, [
      { row: a, drop: true },
      { row: b, isHeld: true },
    ]).expect(200);
    const more = { rows: [{ id: randomUUID(), cells: ['New'] }] };
    expect((await anouk.post(`/api/cases/${made.of}/batch/rows`).send(more)).body).toEqual({ rows: 3 });
    expect(
      (await read(made)).rows.map(({ position, cells, isHeld }) => [position, cells[0], isHeld]),
    ).toEqual([
      [1, 'Owen Marl', true],
      [2, 'Sena Brook', false],
      [3, 'New', false],
    ]);
  });

  test('how letters are made is kept once: who comes second is told', async () => {
    const made = await batchOf();
    const keep = (who: Caller, pace: number) =>
      who
        .put(`/api/cases/${made.of}/batch`)
        .set('If-Match', '"1"')
        .send({ setup: { ...SETUP, pace } });
    await keep(anouk, 10).expect(200);
    expect(((await keep(imke, 20).expect(412)).body as Problem).code).toBe('moved-on');
    expect((await read(made)).setup?.pace).toBe(10);
  });

  test('a letter that somebody else changed meanwhile is not overwritten; all changes come or none', async () => {
    const made = await batchOf();
    const [a, b] = made.rows;
    const byHand = { document: letter('By hand'), base: letter('As it was') };
    await change(made, [{ row: a, version: 1, byHand }]).expect(200);
    const other = { document: letter('Mine'), base: letter('As it was') };
    const refused = await change(
      made,
      [
        { row: b, isHeld: true },
        { row: a, version: 1, byHand: other },
      ],
      imke,
    );
    expect(refused.status).toBe(412);
    expect((refused.body as { current: { byHand: object } }).current.byHand).toEqual(byHand);
    const { rows } = await read(made);
    expect(rows.map(({ isHeld, version }) => [isHeld, version])).toEqual([
      [false, 2],
      [false, 1],
      [false, 1],
    ]);
    await change(made, [{ row: randomUUID(), isHeld: true }]).expect(404);
  });
});

describe('letters', () => {
  test('go one behind the other by the pace, each to its own row, with the words that were checked', async () => {
    const made = await batchOf();
    expect((await send(made, toEach('welcome.'))).sent).toEqual(made.rows);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'waiting', 'waiting']);
    later(1);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'gone', 'waiting']);
    later(1);
    await deliverDue(server.context);
    expect(taken.map(({ to }) => to)).toEqual(PEOPLE.map(([, address]) => [address]));
    const read = await PostalMime.parse(taken[1]!.message);
    expect([read.subject, read.to?.[0]?.name, read.text?.trim()]).toEqual([
      'Volunteering',
      'Owen Marl',
      'Dear Owen Marl, welcome.',
    ]);
  });

  test('with a gap, without an address, held back or naming somebody of another row stay, and it is said why', async () => {
    const people = [...PEOPLE, ['Nils Fenn', '', 'Volunteering'], ['Ada Rook', 'ada.rook@marsh', 'x']];
    const made = await batchOf(people);
    await change(made, [{ row: made.rows[2], isHeld: true }]).expect(200);
    const documents = [
      withGap,
      letter('Dear Petra Lindow, welcome.'),
      letter('Dear Sena Brook, welcome.'),
      letter('Dear Nils Fenn, welcome.'),
      letter('Dear Ada Rook, welcome.'),
    ];
    const { sent, faults } = await send(made, documents);
    expect(sent).toEqual([]);
    expect(faults.map(({ isDoubt, words }) => [isDoubt, words.join(' ')])).toEqual([
      [false, '“Begins” is not answered.'],
      [true, 'It names Petra Lindow, who is somebody else.'],
      [false, 'It is held back.'],
      [false, 'Nobody is named to whom it goes.'],
      [false, '“Ada Rook ada.rook@marsh” is not an address that mail can be sent to.'],
    ]);
    // A doubt goes away by saying so; a gap by no route.
    const sure = await send(made, documents, { sure: made.rows });
    expect(sure.sent).toEqual([made.rows[1]]);
    const { messages } = (
      await anouk
        .post(`/api/cases/${made.of}/batch/messages`)
        .send({ letters: [{ row: made.rows[0], document: withGap }], today: '2026-11-24' })
    ).body as { messages: unknown[] };
    expect(messages).toEqual([]);
  });

  test('that went out stay as they went: neither words nor row are changed, and it is not sent again', async () => {
    const made = await batchOf();
    await send(made, toEach('welcome.'));
    await deliverDue(server.context);
    const [first] = made.rows;
    await change(made, [{ row: first, cells: ['Another', 'other@marsh.example', 'x'] }]).expect(403);
    await change(made, [{ row: first, gone: { way: 'docx', document: letter('x') } }]).expect(403);
    expect((await send(made, [letter('Dear Petra Lindow, again.')])).sent).toEqual([first]);
    later(600);
    await deliverDue(server.context);
    await deliverDue(server.context);
    expect(taken.filter(({ to }) => to[0] === PEOPLE[0]![1])).toHaveLength(1);
    const kept = await anouk.get(`/api/cases/${made.of}/batch/rows/${first}`).expect(200);
    expect(kept.body).toEqual({ document: letter('Dear Petra Lindow, welcome.') });
  });

  test('that wait are stopped by whoever has the batch, and sent later, each once', async () => {
    const made = await batchOf();
    await send(made, toEach('welcome.'));
    await deliverDue(server.context);
    expect((await imke.post(`/api/cases/${made.of}/batch/stop`).expect(200)).body).toEqual({ stopped: 2 });
    later(600);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', null, null]);
    await send(made, toEach('welcome.'));
    for (let turn = 0; turn < 3; turn += 1) {
      later(1);
      await deliverDue(server.context);
    }
    expect(taken.map(({ to }) => to[0])).toEqual(PEOPLE.map(([, address]) => address));
  });

  test('late after a night without a server still go by their pace', async () => {
    const made = await batchOf();
    await send(made, toEach('welcome.'));
    later(36_000);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'waiting', 'waiting']);
    later(1);
    await deliverDue(server.context);
    expect(await states(made)).toEqual(['gone', 'gone', 'waiting']);
  });

  test('taken away as files are gone, and can be said not to have gone; what was changed by hand stays so', async () => {
    const made = await batchOf();
    const [a, b] = made.rows;
    const byHand = { document: letter('By hand'), base: letter('As it was') };
    await change(made, [{ row: a, byHand }]).expect(200);
    const gone = { way: 'docx', document: letter('By hand') };
    await change(made, [
      { row: a, gone },
      { row: b, gone },
    ]).expect(200);
    expect(await states(made)).toEqual(['docx', 'docx', null]);
    const { sent, faults } = await send(made, toEach('welcome.'));
    expect([sent, faults.map(({ words }) => words)]).toEqual([
      [made.rows[2]],
      [['It has gone out already.'], ['It has gone out already.']],
    ]);
    await change(made, [
      { row: a, gone: null },
      { row: b, gone: null },
    ]).expect(200);
    const { rows } = await read(made);
    expect(rows.map((row) => row.byHand?.document ?? null)).toEqual([letter('By hand'), null, null]);
  });

  test('answer enquiries in their threads, which are answered then, and open again where they are stopped', async () => {
    const handed = taken;
    const came = await anouk
      .post('/api/messages')
      .set('Content-Type', 'message/rfc822')
      .send(
        Buffer.from(
          `From: Petra Lindow <petra@marsh.example>\r\nSubject: Helping\r\nMessage-ID: <${randomUUID()}@marsh.example>\r\n\r\nMay I help?`,
        ),
      );
    const { case: asked } = came.body as TakenMessage;
    const made = await batchOf([]);
    const row = { id: randomUUID(), cells: PEOPLE[0], enquiry: asked!.id };
    await anouk
      .post(`/api/cases/${made.of}/batch/rows`)
      .send({ rows: [row] })
      .expect(200);
    const state = async () =>
      ((await anouk.get('/api/queue')).body as Enquiry[]).find((one) => one.case === asked!.id)?.state;
    const whole = { of: made.of, rows: [row.id] };
    const document = [letter('Dear Petra Lindow, you may.')];
    await send(whole, document, { wait: 60 });
    expect(await state()).toBe('answered');
    await anouk.post(`/api/cases/${made.of}/batch/stop`).expect(200);
    expect(await state()).toBe('open');
    await send(whole, document);
    await deliverDue(server.context);
    expect(await state()).toBe('answered');
    const { inReplyTo, subject } = await PostalMime.parse(handed[0]!.message);
    expect([inReplyTo, subject]).toEqual([expect.stringContaining('@marsh.example>'), 'Re: Volunteering']);
    // Of somebody else's case nothing is told, nor made.
    const others = { rows: [{ id: randomUUID(), cells: ['x'], enquiry: 'owl-sorrel' }] };
    await anouk.post(`/api/cases/${made.of}/batch/rows`).send(others).expect(404);
  });

  test('have no head with a line break in it, whatever a cell holds', async () => {
    const made = await batchOf([['Eve\r\nBcc: all@marsh.example', 'eve@marsh.example', 'Hello\nX-Other: 1']]);
    await send(made, [letter('Hello.')], { sure: made.rows });
    await deliverDue(server.context);
    const { headers, to } = await PostalMime.parse(taken[0]!.message);
    const names = headers.map(({ key }) => key);
    expect(names).not.toContain('bcc');
    expect(names).not.toContain('x-other');
    expect(to).toHaveLength(1);
  });
});

test('a letter never goes twice by itself and none is forgotten, whatever is asked again, stopped, killed and by two servers', async () => {
  const act = fc.constantFrom(
    'send',
    'send-other',
    'deliver',
    'two-servers',
    'stop',
    'killed',
    'later',
    'refused',
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { minLength: 2, maxLength: 9 }), async (acts) => {
      taken.length = 0;
      now = START;
      const made = await batchOf();
      const documents = toEach('welcome.');
      for (const one of acts) {
        answer = () => Promise.resolve({ state: one === 'refused' ? 'refused' : 'gone', reason: '' });
        if (one === 'send') await send(made, documents);
        if (one === 'send-other') await Promise.all([send(made, documents, {}, imke), send(made, documents)]);
        if (one === 'stop') await imke.post(`/api/cases/${made.of}/batch/stop`).expect(200);
        if (one === 'later') later(1);
        if (one === 'deliver' || one === 'refused') await deliverDue(server.context);
        if (one === 'two-servers')
          await Promise.all([deliverDue(server.context), deliverDue(server.context)]);
        if (one === 'killed') {
          // Till the letter is with the mail server, which never answers; or there is none to go.
          const handed = new Promise<void>((resolve) => {
            answer = () => {
              resolve();
              return new Promise(() => undefined);
            };
          });
          await Promise.race([handed, deliverDue(server.context)]);
          later(301);
        }
      }
      for (const [, address] of PEOPLE) {
        const handed = taken.filter(({ to }) => to[0] === address).length;
        expect(handed).toBeLessThanOrEqual(1);
      }
      // What is not gone is either free to be sent, or told as waiting, refused or perhaps gone.
      const { rows } = await read(made);
      for (const [at, { sending }] of rows.entries()) {
        const handed = taken.some(({ to }) => to[0] === PEOPLE[at]![1]);
        if (handed) expect(['gone', 'refused', 'going', 'perhaps-gone']).toContain(sending?.state);
        else expect([undefined, 'waiting']).toContain(sending?.state);
      }
      await server.context.db.delete(sendings);
      await server.context.db.delete(batchRows);
    }),
    { numRuns: 25 },
  );
});
