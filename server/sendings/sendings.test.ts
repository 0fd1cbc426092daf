import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import fc from 'fast-check';
import PostalMime from 'postal-mime';
import type { CaseSummary, Draft, Enquiry, NewSending, Problem, Sending, TakenMessage } from '#contracts';
import type { Courier, Delivery, Parcel } from '../post';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { deliverDue } from '.';

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

let server: TestServer;
let anouk: Caller;
let imke: Caller;
let now = new Date('2026-11-24T10:00:00Z');
beforeAll(async () => {
  server = await startTestServer({ courier });
  server.context.now = () => now;
  [anouk, imke] = [await server.as('anouk'), await server.as('imke')];
});
afterAll(() => server.close());
beforeEach(() => {
  taken.length = 0;
  now = new Date('2026-11-24T10:00:00Z');
  answer = () => Promise.resolve({ state: 'gone', reason: '' });
});

const later = (seconds: number) => (now = new Date(now.getTime() + seconds * 1000));
const text = (words: string) => ({ kind: 'text', text: words });
const PETRA = [
  { path: 'customer', value: text('Petra Lindow') },
  { path: 'email', value: text('petra.lindow@marsh.example') },
  { path: 'topic', value: text('An owlet') },
];
const document = (words: string, envelope?: object, more: object[] = []) => ({
  type: 'doc',
  attrs: { placements: {}, ...(envelope && { envelope }) },
  content: [{ type: 'paragraph', content: [{ type: 'text', text: words }, ...more] }],
});
/** A leaf of an enquiry with these words on it. */
async function leaf(written: object, details: object[] = PETRA): Promise<Draft> {
  const id = randomUUID();
  const body = { id, kind: 'reply', title: 'An owlet', number: null, details, given: [] };
  const { id: of } = (await anouk.post('/api/cases').send(body).expect(201)).body as CaseSummary;
  const draft = (await anouk.post(`/api/cases/${of}/drafts`)).body as Draft;
  const saving = anouk.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  return (await saving.send({ document: written }).expect(200)).body as Draft;
}
const asked = (over: Partial<NewSending> = {}): NewSending => ({
  ...{ id: randomUUID(), wait: 10, sure: false, today: '2026-11-24' },
  ...{ inReplyTo: null, references: [], ...over },
});
const send = ({ id, version }: Draft, over: Partial<NewSending> = {}) =>
  anouk.post(`/api/drafts/${id}/sendings`).set('If-Match', `"${version}"`).send(asked(over));
const stateOf = async ({ id }: Sending) =>
  ((await anouk.get('/api/sendings')).body as Sending[]).find((one) => one.id === id)!;
const change = (sending: Sending, what: string) =>
  anouk.post(`/api/sendings/${sending.id}/changes`).send({ do: what });
const sent = async (draft: Draft, over: Partial<NewSending> = {}) =>
  ((await send(draft, over).expect(201)).body as { sending: Sending }).sending;

test('a letter waits in which it can be taken back, then goes once, its words plain and rich, in the thread it answers', async () => {
  const draft = await leaf(document('Dear Petra, leave the owlet — it is well: ö.'));
  const thread = { inReplyTo: '<b@marsh.example>', references: ['<a@marsh.example>'] };
  const first = await sent(draft, thread);
  expect(first).toMatchObject({ state: 'waiting', subject: 'An owlet', goesAt: '2026-11-24T10:00:10.000Z' });
  await deliverDue(server.context);
  later(10);
  await Promise.all([deliverDue(server.context), deliverDue(server.context)]);
  await deliverDue(server.context);
  expect(taken.map(({ from, to }) => [from, to])).toEqual([
    ['care@hollin.example', ['petra.lindow@marsh.example']],
  ]);
  expect((await stateOf(first)).state).toBe('gone');
  const mail = await PostalMime.parse(taken[0]!.message);
  expect(mail).toMatchObject({
    from: { name: 'Anouk Fell', address: 'care@hollin.example' },
    to: [{ name: 'Petra Lindow', address: 'petra.lindow@marsh.example' }],
    messageId: `<${first.id}@hollin.example>`,
    inReplyTo: '<b@marsh.example>',
    references: '<a@marsh.example> <b@marsh.example>',
  });
  expect(mail.text?.trim()).toBe('Dear Petra, leave the owlet — it is well: ö.');
  expect(mail.html).toContain('<p>Dear Petra, leave the owlet — it is well: ö.</p>');
  expect(taken[0]!.message).toMatch(/^[\x00-\x7f]*$/);
  const file = await anouk.get(`/api/sendings/${first.id}/message`).expect(200);
  expect(file.get('Content-Type')).toContain('message/rfc822');
  // What one sent is nobody else's.
  await imke.get(`/api/sendings/${first.id}/message`).expect(404);
  await imke.post(`/api/sendings/${first.id}/changes`).send({ do: 'said-gone' }).expect(404);
  expect((await imke.get('/api/sendings')).body).toEqual([]);
});

test('opening the leaf again takes the letter back; with the mail server it cannot be', async () => {
  const draft = await leaf(document('Dear Petra, leave it.'));
  const first = await sent(draft);
  const open = async (version: number) =>
    anouk.post(`/api/drafts/${draft.id}/reopen`).set('If-Match', `"${version}"`);
  const reopened = (await open(draft.version + 1)).body as Draft;
  expect(reopened.state).toBe('open');
  later(60);
  await deliverDue(server.context);
  expect([taken.length, (await stateOf(first)).state]).toEqual([0, 'taken-back']);
  let done: (delivery: Delivery) => void;
  answer = () => new Promise((resolve) => (done = resolve));
  const second = await sent(reopened, { wait: 0 });
  while (taken.length === 0) await new Promise((resolve) => setImmediate(resolve));
  expect(((await open(reopened.version + 1)).body as Problem).code).toBe('not-allowed');
  expect(((await change(second, 'taken-back')).body as Problem).code).toBe('moved-on');
  done!({ state: 'gone', reason: '' });
});

test('nothing with a gap, to nobody or without words leaves, whatever is said', async () => {
  const blank = {
    type: 'blank',
    attrs: { placement: 'p', field: 'f', form: 'as-is', state: 'gap', text: '' },
  };
  const placement = {
    ...{ entry: 'e', revision: 1, title: 'E', cue: null, wording: 'w', language: 'en-GB', answers: {} },
    fields: [{ id: 'f', name: 'Day', kind: 'text', question: 'Which day?' }],
  };
  const gap = document('Come on ', undefined, [blank]);
  gap.attrs.placements = { p: placement };
  const cases: [object, object[], RegExp][] = [
    [gap, PETRA, /required answers/],
    [document('Leave it.'), PETRA.slice(0, 1), /Nobody is named/],
    [document('Leave it.', { to: 'petra at marsh' }), PETRA, /“petra at marsh” is not an address/],
    [document('Leave it.', { cc: 'a@b.example, Ilse' }), PETRA, /“Ilse” is not an address/],
    [
      { type: 'doc', attrs: { placements: {} }, content: [{ type: 'paragraph' }] },
      PETRA,
      /nothing on the leaf/,
    ],
  ];
  for (const [written, details, words] of cases) {
    const problem = (await send(await leaf(written, details), { sure: true })).body as Problem;
    expect([problem.code, problem.detail]).toEqual(['not-finished', expect.stringMatching(words)]);
  }
  expect(taken).toEqual([]);
});

test('what is doubtful is told, and goes where its writer says so', async () => {
  const others = await leaf(document('x'), [{ path: 'customer', value: text('Tomos Orrick') }]);
  await imke
    .post('/api/house-words')
    .send({ language: '', use: 'sett', avoid: ['burrow'], why: '', together: false })
    .expect(201);
  const draft = await leaf(
    document('Dear Ilse, as Tomos Orrick wrote, the form for the burrow is attached.', { subject: '' }),
  );
  const problem = (await send(draft)).body as Problem;
  expect(problem).toMatchObject({ code: 'doubtful', status: 409 });
  expect(problem.faults?.map(({ place }) => place)).toEqual([
    'no-subject',
    'no-attachment',
    'other-name',
    'other-name',
    'house-word',
  ]);
  expect(((await anouk.get(`/api/drafts/${draft.id}`)).body as Draft).state).toBe('open');
  const letter = await sent(draft, { sure: true });
  expect(letter.state).toBe('waiting');
  expect(others.id).not.toBe(draft.id);
});

test('asked for again by the same id it is one letter; from another window, while it is on its way, none', async () => {
  const draft = await leaf(document('Dear Petra, leave it.'));
  const id = randomUUID();
  const [one, other] = [await sent(draft, { id }), await sent(draft, { id })];
  expect(other).toEqual(one);
  const again = await anouk
    .post(`/api/drafts/${draft.id}/sendings`)
    .set('If-Match', `"${draft.version + 1}"`)
    .send(asked());
  expect((again.body as Problem).detail).toBe('It is on its way already.');
  const stale = await leaf(document('Dear Petra, leave it.'));
  const [a, b] = await Promise.all([send(stale), send(stale)]);
  expect([a.status, b.status].sort()).toEqual([201, expect.any(Number)]);
  expect((await anouk.get(`/api/drafts/${stale.id}/sendings`)).body).toHaveLength(1);
});

test('what the mail server refuses comes back with its reason and goes again when told; sent after that, it is said so', async () => {
  answer = () => Promise.resolve({ state: 'refused', reason: '550 no such mailbox' });
  const draft = await leaf(document('Dear Petra, leave it.'));
  const letter = await sent(draft, { wait: 0 });
  await deliverDue(server.context);
  await expectState(letter, { state: 'refused', reason: '550 no such mailbox' });
  answer = () => Promise.resolve({ state: 'gone', reason: '' });
  await change(letter, 'sent-again').expect(200);
  await deliverDue(server.context);
  await expectState(letter, { state: 'gone', reason: '' });
  expect(new Set(taken.map(({ message }) => message)).size).toBe(1);
  const open = await anouk.post(`/api/drafts/${draft.id}/reopen`).set('If-Match', `"${draft.version + 1}"`);
  const problem = (await send(open.body as Draft)).body as Problem;
  expect(problem.faults?.map(({ place }) => place)).toEqual(['sent-before']);
});

test('an enquiry is answered by the letter that goes from it, and open again where that is refused or taken back', async () => {
  const mail = 'From: Tam <tam@marsh.example>\r\nSubject: Newts\r\n\r\nAre they here?';
  const came = await anouk
    .post('/api/messages')
    .set('Content-Type', 'message/rfc822')
    .send(Buffer.from(mail));
  const of = (came.body as TakenMessage).case!.id;
  const draft = (await anouk.post(`/api/cases/${of}/drafts`)).body as Draft;
  const saving = anouk.put(`/api/drafts/${draft.id}`).set('If-Match', `"${draft.version}"`);
  const saved = (await saving.send({ document: document('They are.') })).body as Draft;
  const state = async () =>
    ((await anouk.get('/api/queue')).body as Enquiry[]).find((one) => one.case === of)?.state;
  answer = () => Promise.resolve({ state: 'refused', reason: 'no' });
  const letter = await sent(saved, { wait: 5 });
  expect(await state()).toBe('answered');
  later(5);
  await deliverDue(server.context);
  expect(await state()).toBe('open');
  answer = () => Promise.resolve({ state: 'perhaps-gone', reason: 'lost' });
  await change(letter, 'sent-again').expect(200);
  await expectState(letter, { state: 'perhaps-gone' });
  expect(await state()).toBe('answered');
  await change(letter, 'taken-back').expect(200);
  expect(await state()).toBe('open');
});

async function expectState(letter: Sending, state: object): Promise<void> {
  // Handing over is nobody's request: it has ended once nothing is going.
  for (;;) {
    const one = await stateOf(letter);
    if (one.state !== 'going' && one.state !== 'waiting') return expect(one).toMatchObject(state);
    await new Promise((resolve) => setImmediate(resolve));
  }
}

test('a letter never goes twice by itself, and none is forgotten, whatever ends in whatever order', async () => {
  const act = fc.constantFrom(
    'deliver',
    'deliver both',
    'killed before',
    'killed behind',
    'refused',
    'time',
    'much time',
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 8 }), async (acts) => {
      taken.length = 0;
      const letter = await sent(await leaf(document('Dear Petra, leave it.')), { wait: 5 });
      const went: string[] = [];
      const never = () => new Promise<Delivery>(() => undefined);
      const isOurs = () => taken.at(-1)!.message.includes(letter.id);
      for (const one of acts) {
        answer = () => {
          if (one === 'killed before') return never();
          if (one === 'refused') return Promise.resolve({ state: 'refused', reason: 'no' });
          if (isOurs()) went.push(letter.id);
          return one === 'killed behind' ? never() : Promise.resolve({ state: 'gone', reason: '' });
        };
        if (one === 'time') later(6);
        else if (one === 'much time') later(3600);
        else if (one.startsWith('killed')) {
          // The process is gone in the middle: nothing of what it does afterwards is waited for.
          const before = taken.length;
          const dying = deliverDue(server.context);
          for (let at = 0; at < 400 && taken.length === before; at += 1)
            await Promise.race([dying, new Promise((resolve) => setImmediate(resolve))]);
        } else if (one === 'deliver both')
          await Promise.all([deliverDue(server.context), deliverDue(server.context)]);
        else await deliverDue(server.context);
      }
      expect(went.length).toBeLessThanOrEqual(1);
      expect(taken.filter(({ message }) => message.includes(letter.id)).length).toBeLessThanOrEqual(1);
      // In the end each is gone, came back, or is a person's to decide.
      answer = () => Promise.resolve({ state: 'gone', reason: '' });
      later(3600);
      await deliverDue(server.context);
      const { state } = await stateOf(letter);
      expect(['gone', 'refused', 'perhaps-gone']).toContain(state);
      if (went.length === 0 && state === 'gone')
        expect(taken.some(({ message }) => message.includes(letter.id))).toBe(true);
    }),
    { numRuns: 25 },
  );
});

test('heads of a message can hold no line of another', async () => {
  const draft = await leaf(
    document('Dear Petra, leave it.', {
      subject: 'An owlet\r\nBcc: all@marsh.example',
      to: '"Petra\r\nBcc: x@marsh.example" <p@marsh.example>',
    }),
  );
  const problem = (await send(draft, { sure: true, inReplyTo: '<a@b>\r\nBcc: c@d.example' })).body as Problem;
  expect(problem.code).toBe('not-valid');
  const answered = await send(draft, { sure: true, wait: 0 });
  if (answered.status === 201) {
    await expectState((answered.body as { sending: Sending }).sending, { state: 'gone' });
    const mail = await PostalMime.parse(taken.at(-1)!.message);
    expect([mail.bcc, mail.subject]).toEqual([undefined, 'An owlet Bcc: all@marsh.example']);
  } else expect((answered.body as Problem).code).toBe('not-finished');
});
