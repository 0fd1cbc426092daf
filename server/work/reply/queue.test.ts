import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Case, CaseSummary, Draft, Enquiry, EnquiryChange, Problem, TakenMessage } from '#contracts';
import { startTestServer, type Caller, type TestServer } from '../../testing/testServer';
import { takeMessage } from './takeMessage';

let server: TestServer;
let anouk: Caller;
let desta: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [anouk, desta] = [await server.as('anouk'), await server.as('desta')];
});
afterAll(() => server.close());

let made = 0;
interface Mail {
  id?: string;
  subject?: string;
  from?: string;
  answers?: string;
  date?: string;
  body?: string;
}
const mail = ({ id = `<m${(made += 1)}@marsh.example>`, ...over }: Mail = {}) => {
  const { subject = `Toad ${made}`, from = `Tam ${made} <tam${made}@marsh.example>` } = over;
  return Buffer.from(
    [
      `From: ${from}`,
      'To: ask@hollin.example',
      `Subject: ${subject}`,
      `Date: ${over.date ?? 'Mon, 23 Nov 2026 08:00:00 +0000'}`,
      ...(id === '' ? [] : [`Message-ID: ${id}`]),
      ...(over.answers ? [`In-Reply-To: ${over.answers}`] : []),
      '',
      over.body ?? 'Is the toad at home here?\r\n> earlier words',
    ].join('\r\n'),
  );
};
const send = (caller: Caller, bytes: Buffer) =>
  caller.post('/api/messages').set('Content-Type', 'message/rfc822').send(bytes);
const taken = async (caller: Caller, bytes: Buffer) =>
  (await send(caller, bytes).expect(200)).body as TakenMessage;
const queue = async (caller: Caller) => (await caller.get('/api/queue').expect(200)).body as Enquiry[];
const inQueue = async (caller: Caller, of: string) => (await queue(caller)).find((one) => one.case === of);
const change = (caller: Caller, of: string, body: EnquiryChange) =>
  caller.post(`/api/enquiries/${of}/changes`).send(body);
const changed = async (caller: Caller, of: string, body: EnquiryChange) =>
  (await change(caller, of, body).expect(200)).body as Enquiry;
/** An enquiry as a mailbox brings it. */
const delivered = async (over: Mail = {}) => (await takeMessage(server.context, mail(over), null)).case;

test('a message that is brought is one’s own enquiry, once, however often it is brought; its record is of its head', async () => {
  const bytes = mail({ subject: 'Re: Kröte', from: 'Tam Ord <tam@marsh.example>' });
  const first = await taken(anouk, bytes);
  expect(first).toMatchObject({ came: 'made', case: { title: 'Kröte', kind: 'reply' }, remarks: [] });
  const again = await taken(anouk, bytes);
  expect([again.came, again.case?.id]).toEqual(['known', first.case!.id]);
  const one = (await anouk.get(`/api/cases/${first.case!.id}`).expect(200)).body as Case;
  expect(one.files.map(({ name, media }) => [name, media])).toEqual([['Kröte.eml', 'message/rfc822']]);
  const said = Object.fromEntries(
    one.record.details.map(({ path, value }) => [path, value.kind === 'text' ? value.text : '']),
  );
  expect(said).toMatchObject({ customer: 'Tam Ord', email: 'tam@marsh.example', topic: 'Kröte' });
  expect(await inQueue(desta, one.id)).toMatchObject({
    ...{ takenByName: 'Anouk Fell', isMine: false, state: 'open', excerpt: 'Is the toad at home here?' },
    since: '2026-11-23T08:00:00.000Z',
  });
  // To another it is known, and told who has it.
  const others = await taken(desta, bytes);
  expect(others).toMatchObject({ came: 'known', case: null, remarks: ['Anouk Fell answers it.'] });
  await desta.get(`/api/cases/${one.id}`).expect(404);
});

test('two who bring one message in the same moment have one enquiry', async () => {
  const bytes = mail({ id: '' });
  const came = await Promise.all([1, 2, 3].map(() => taken(anouk, bytes)));
  expect(new Set(came.map(({ case: one }) => one!.id)).size).toBe(1);
  expect(came.filter((one) => one.came === 'made')).toHaveLength(1);
});

test('what is no message makes nothing; one without a name, a subject or words is an enquiry all the same', async () => {
  const before = (await queue(anouk)).length;
  const refused = (await send(anouk, Buffer.from('Nothing of a message.'))).body as Problem;
  expect([refused.code, refused.detail]).toEqual([
    'not-valid',
    expect.stringContaining('not an email message'),
  ]);
  expect((await queue(anouk)).length).toBe(before);
  const bare = await taken(anouk, Buffer.from('From: tam@marsh.example\r\n\r\n'));
  expect(bare.case?.title).toBe('tam@marsh.example');
  const odd = await taken(
    anouk,
    Buffer.from('From: T <t@marsh.example>\r\nSubject: a\u0000b\r\n\r\nx\u0000y'),
  );
  expect(odd.came).toBe('made');
});

test('an answer in a thread belongs to its enquiry, and who waits already waits since the first', async () => {
  const of = await delivered({ id: '<thread-1@marsh.example>' });
  await delivered({
    id: '<thread-2@marsh.example>',
    answers: '<thread-1@marsh.example>',
    date: 'Mon, 23 Nov 2026 20:00:00 +0000',
    body: 'And newts?',
  });
  expect(await inQueue(anouk, of)).toMatchObject({
    ...{ messages: 2, excerpt: 'And newts?', since: '2026-11-23T08:00:00.000Z', takenBy: null },
  });
  await changed(anouk, of, { do: 'take' });
  await changed(anouk, of, { do: 'set', state: 'awaiting' });
  await changed(anouk, of, { do: 'put-off', to: '2026-12-01' });
  await delivered({ answers: '<thread-2@marsh.example>', date: 'Tue, 24 Nov 2026 09:00:00 +0000' });
  expect(await inQueue(anouk, of)).toMatchObject({
    ...{ messages: 3, state: 'open', putOffTo: null, takenBy: 'anouk', since: '2026-11-24T09:00:00.000Z' },
  });
});

test('what answers a letter of ours belongs to the case it went from', async () => {
  const of = await delivered();
  await changed(anouk, of, { do: 'take' });
  const draft = (await anouk.post(`/api/cases/${of}/drafts`)).body as Draft;
  const document = {
    ...{ type: 'doc', attrs: { placements: {} } },
    content: [{ type: 'paragraph', content: [{ type: 'text', text: 'It is. Where did you see it?' }] }],
  };
  const saved = await anouk
    .put(`/api/drafts/${draft.id}`)
    .set('If-Match', `"${draft.version}"`)
    .send({ document });
  const id = randomUUID();
  const letter = { id, wait: 60, sure: true, today: '2026-11-24', inReplyTo: null, references: [] };
  await anouk
    .post(`/api/drafts/${draft.id}/sendings`)
    .set('If-Match', `"${(saved.body as Draft).version}"`)
    .send(letter)
    .expect(201);
  expect((await inQueue(desta, of))?.state).toBe('answered');
  await delivered({ answers: `<${id}@hollin.example>` });
  expect(await inQueue(desta, of)).toMatchObject({ state: 'open', messages: 2, takenBy: 'anouk' });
});

test('one alone answers an enquiry: of two who take it the second is told, till it is put back or handed on with a word', async () => {
  const of = await delivered();
  await anouk.get(`/api/cases/${of}`).expect(404);
  const both = await Promise.all([change(anouk, of, { do: 'take' }), change(desta, of, { do: 'take' })]);
  expect(both.map(({ status }) => status).sort()).toEqual([200, 412]);
  const [mine, other] = both[0].status === 200 ? [anouk, desta] : [desta, anouk];
  const refused = both.find(({ status }) => status !== 200)!.body as Problem;
  expect(refused.detail).toMatch(/answers it already\.$/);
  await mine.get(`/api/cases/${of}`).expect(200);
  for (const body of [
    { do: 'put-back' },
    { do: 'set', state: 'answered' },
    { do: 'put-off', to: null },
  ] as const)
    expect((await change(other, of, body)).status).toBe(412);
  await changed(mine, of, { do: 'put-back' });
  await mine.get(`/api/cases/${of}`).expect(404);
  await changed(other, of, { do: 'take' });
  const [me, them] = other === desta ? ['desta', 'anouk'] : ['anouk', 'desta'];
  const handed = await changed(other, of, { do: 'hand-on', to: them, word: 'You know toads.' });
  expect(handed).toMatchObject({
    takenBy: them,
    isMine: false,
    notes: [{ by: me, text: 'You know toads.' }],
  });
  expect(((await mine.get('/api/cases')).body as CaseSummary[]).some(({ id }) => id === of)).toBe(true);
  expect((await change(mine, of, { do: 'hand-on', to: 'nobody', word: '' })).status).toBe(422);
});

test('two of one sender are joined: messages, files and notes are in one, the other is closed, and its thread goes on there', async () => {
  const from = 'Tam <one@marsh.example>';
  const [old, newer] = [
    await delivered({ id: '<old@marsh.example>', from }),
    await delivered({ from, date: 'Tue, 24 Nov 2026 07:00:00 +0000' }),
  ];
  await changed(desta, old, { do: 'note', text: 'Asked before.' });
  const stranger = await delivered();
  expect((await change(anouk, old, { do: 'join', to: stranger })).status).toBe(422);
  expect((await change(anouk, old, { do: 'join', to: old })).status).toBe(422);
  const joined = await changed(anouk, old, { do: 'join', to: newer });
  expect(joined).toMatchObject({ case: newer, messages: 2, since: '2026-11-23T08:00:00.000Z' });
  expect(joined.notes.map(({ text }) => text)).toEqual(['Asked before.']);
  expect(await inQueue(anouk, old)).toBeUndefined();
  expect((await change(anouk, old, { do: 'take' })).status).toBe(412);
  await delivered({ from, answers: '<old@marsh.example>' });
  expect((await changed(anouk, newer, { do: 'take' })).messages).toBe(3);
  expect(((await anouk.get(`/api/cases/${newer}`)).body as Case).files).toHaveLength(3);
});

test('an enquiry begun by hand is its maker’s alone till they do something with it in the queue', async () => {
  const id = randomUUID();
  const details = [{ path: 'customer', value: { kind: 'text', text: 'Tam, by telephone' } }];
  await anouk
    .post('/api/cases')
    .send({ id, kind: 'reply', title: 'Newts', number: null, details, given: [] })
    .expect(201);
  expect(await inQueue(anouk, id)).toMatchObject({
    fromName: 'Tam, by telephone',
    isMine: true,
    state: 'open',
  });
  expect(await inQueue(desta, id)).toBeUndefined();
  await change(desta, id, { do: 'take' }).expect(404);
  await changed(anouk, id, { do: 'put-back' });
  expect(await inQueue(desta, id)).toMatchObject({ takenBy: null });
});

test('who waits longest is first, what was answered is last', async () => {
  const all = await queue(anouk);
  const open = all.filter(({ state }) => state !== 'answered');
  expect(all.slice(0, open.length)).toEqual(open);
  expect(open.map(({ since }) => since)).toEqual(open.map(({ since }) => since).sort());
});

test('what the same sender asked before is told with what was answered, to who has the case', async () => {
  const from = 'Ord <Ord@marsh.example>';
  const [first, second] = [
    await delivered({ from, subject: 'Eels', body: 'Are eels welcome in your pond?' }),
    await delivered({ from: from.toLowerCase(), subject: 'Newts' }),
  ];
  await delivered({ from: 'Ord <other@marsh.example>' });
  await changed(anouk, first, { do: 'take' });
  const draft = (await anouk.post(`/api/cases/${first}/drafts`)).body as Draft;
  const content = [{ type: 'paragraph', content: [{ type: 'text', text: 'Eels are welcome.' }] }];
  const document = { type: 'doc', attrs: { placements: {} }, content };
  const saved = await anouk
    .put(`/api/drafts/${draft.id}`)
    .set('If-Match', `"${draft.version}"`)
    .send({ document });
  await anouk
    .post(`/api/drafts/${draft.id}/sendings`)
    .set('If-Match', `"${(saved.body as Draft).version}"`)
    .send({ id: randomUUID(), wait: 0, sure: true, today: '2026-11-24', inReplyTo: null, references: [] })
    .expect(201);
  await desta.get(`/api/cases/${second}/earlier-enquiries`).expect(404);
  await changed(desta, second, { do: 'take' });
  const earlier = async () =>
    (await desta.get(`/api/cases/${second}/earlier-enquiries`).expect(200)).body as { letter: unknown }[];
  // The letter is handed over by nobody's request.
  while ((await earlier())[0]?.letter === null) await new Promise((resolve) => setImmediate(resolve));
  expect(await earlier()).toEqual([
    expect.objectContaining({
      ...{ case: first, title: 'Eels', state: 'answered', takenByName: 'Anouk Fell', isMine: false },
      letter: expect.objectContaining({ excerpt: 'Eels are welcome.', byName: 'Anouk Fell' }),
    }),
  ]);
  expect((await anouk.get(`/api/cases/${first}/earlier-enquiries`)).body).toEqual([
    expect.objectContaining({ case: second, letter: null }),
  ]);

  // Somebody else who asks the like sees what was answered; of something else nothing is told.
  const like = async (body: string) => {
    const asked = await taken(anouk, mail({ from: 'Sena <sena@marsh.example>', body }));
    return (await anouk.get(`/api/cases/${asked.case!.id}/like-enquiries`)).body as unknown[];
  };
  expect(await like('Hello! Are eels welcome in the pond at your hospital?')).toEqual([
    expect.objectContaining({
      case: first,
      letter: expect.objectContaining({ excerpt: 'Eels are welcome.', byName: 'Anouk Fell' }),
    }),
  ]);
  expect(await like('When does the bus leave on Sundays?')).toEqual([]);
});
