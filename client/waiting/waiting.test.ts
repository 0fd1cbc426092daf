import { beforeEach, afterEach, expect, test } from '@jest/globals';
import type { Case, Member, NewCase, NewEntry } from '#contracts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { newEntry } from '#core/entry';
import { plainPassage, plainText } from '#core/passage';
import { emptyRecord } from '#core/record';
import { ANSWERS_AT_HAND, openStore, ownComputer } from '#client/atHand';
import { answersAreKept, call } from '#client/api';
import { alsoSent, copiesOf, keepCopy, readCopy } from '#client/drafts';
import { newLeaf } from '#client/cases';
import { answering, refusal, type Sent as Asked } from '../testing/answering';
import { keptHere } from '../testing/keptHere';
import { locksHere } from '../testing/locksHere';
import { emptyStore } from '../testing/storedHere';
import {
  beginLeafHere,
  closeLeaf,
  keepEntry,
  makeCaseOrWait,
  openLeaf,
  sendFirst,
  sendWaiting,
  waitingActs,
} from '.';

const RUAN: Member = {
  ...{ id: 'ruan', name: 'Ruan Pellow', email: 'ruan@wold.example', role: 'member', job: '', phone: '' },
};
const textOf = (words: string): DraftDocument => ({ ...plainPassage(words), attrs: { placements: {} } });
const entry = (title: string, key = crypto.randomUUID()): NewEntry & { key: string } => ({
  collection: 'own',
  content: newEntry(title, 'en-GB', plainPassage(`${title}.`)),
  reason: '',
  key,
});

interface StandIn {
  isDown: boolean;
  /** What is refused, by "METHOD path". */
  refuses: Map<string, string>;
  sent: Asked[];
  /** Versions of drafts that were begun. */
  drafts: Map<string, number>;
  /** What the next text of a draft is refused for, once: another one is there. */
  texts: Map<string, DraftDocument>;
}
let server: StandIn;
let restore: () => void;

const instant = '2026-11-30T08:00:00.000Z';
const draftNow = (id: string, version: number, document = emptyDraft()) => ({
  ...{ id, case: 'bramble', author: 'ruan', title: '', begunAt: instant, state: 'open', version },
  ...{ savedAt: instant, excerpt: '', document },
});
const line = { summary: '', openedAt: instant, closed: false, draft: null, unfinished: 0, finished: 0 };

function answerOf(to: string, body: unknown) {
  if (server.isDown) throw new Error('no connection');
  const refused = server.refuses.get(to);
  if (refused) return refusal('not-valid', refused);
  const id = to.split('/')[3]!;
  if (to === 'POST /api/cases') {
    const { id: of, kind, title, number } = body as NewCase;
    return { json: { id: of, kind, title, number, ...line } };
  }
  if (to.endsWith('/drafts/new')) {
    const { id: draft } = body as { id: string };
    server.drafts.set(draft, server.drafts.get(draft) ?? 1);
    return { json: draftNow(draft, 1) };
  }
  if (to === 'POST /api/entries') {
    const { collection, content } = body as NewEntry;
    const saved = { savedAt: instant, savedBy: 'ruan', reason: '', varies: null };
    return { json: { id: 'made', collection, revision: 1, content, ...saved } };
  }
  const { document } = body as { document: DraftDocument };
  const version = server.drafts.get(id);
  if (version === undefined) return refusal('not-found', 'It is not there.');
  const there = server.texts.get(id);
  if (there) {
    server.texts.delete(id);
    return refusal('moved-on', 'It was changed.', { current: draftNow(id, version, there) });
  }
  server.drafts.set(id, version + 1);
  return { json: draftNow(id, version + 1, document) };
}

beforeEach(async () => {
  await emptyStore();
  keptHere();
  locksHere();
  server = { isDown: false, refuses: new Map(), sent: [], drafts: new Map(), texts: new Map() };
  ({ sent: server.sent, restore } = answering(answerOf));
  answersAreKept(ANSWERS_AT_HAND);
  await ownComputer(RUAN);
});
afterEach(() => {
  answersAreKept(null);
  restore();
});

const asked = () => server.sent.map(({ to }) => to.replace(/[0-9a-f]{8}-[0-9a-f-]+/g, '*'));
const waiting = async () => (await waitingActs('ruan')).map(({ name, refused }) => [name, refused]);

test('what is made while the server is there is made there, and nothing waits', async () => {
  expect(await keepEntry('ruan', entry('Fed'))).toMatchObject({ waits: false, entry: { id: 'made' } });
  expect((await makeCaseOrWait(RUAN, newLeaf())).here).toBeNull();
  expect(await waiting()).toEqual([]);
});

test('what was begun without the server can be opened at once, and is sent in its order, each once', async () => {
  server.isDown = true;
  const { id, here } = await makeCaseOrWait(RUAN, newLeaf({ title: 'Night watch' }));
  const kept = await keepEntry('ruan', entry('Fed'));
  const second = await beginLeafHere('ruan', here!.one, textOf('A copy.'));
  expect(kept).toMatchObject({ waits: true, entry: { revision: 1, content: { title: 'Fed' } } });
  expect(await call('case', { params: { case: id } })).toMatchObject({ title: 'Night watch', unfinished: 2 });
  expect(await call('cases')).toMatchObject([{ id, title: 'Night watch' }]);
  expect(await call('draft', { params: { draft: second.draft.id } })).toMatchObject({ version: 1 });
  await sendWaiting('ruan');
  expect(await waiting()).toHaveLength(3);

  server.isDown = false;
  await sendWaiting('ruan');
  const order = ['POST /api/cases', 'POST /api/cases/*/drafts/new', 'POST /api/entries'];
  expect(asked()).toEqual([...order, 'POST /api/cases/*/drafts/new', 'PUT /api/drafts/*']);
  expect(await waiting()).toEqual([]);
  expect(copiesOf('ruan')).toEqual([]);
  await sendWaiting('ruan');
  expect(server.sent).toHaveLength(5);
});

test('an answer that was lost does not make a thing twice: the same is sent again', async () => {
  server.isDown = true;
  const { id } = await makeCaseOrWait(RUAN, newLeaf());
  server.isDown = false;
  server.refuses.set(`POST /api/cases/${id}/drafts/new`, 'Not now.');
  await sendWaiting('ruan');
  server.refuses.clear();
  const [act] = await waitingActs('ruan');
  const store = (await openStore())!;
  await store.put('waiting', { ...act!, refused: null });
  await sendWaiting('ruan');
  const made = server.sent.filter(({ to }) => to === 'POST /api/cases').map(({ body }) => body);
  expect(made).toHaveLength(2);
  expect(made[0]).toEqual(made[1]);
});

test('what the server refuses stays with the reason, and holds up nothing behind it', async () => {
  server.isDown = true;
  await keepEntry('ruan', entry('Fed'));
  await makeCaseOrWait(RUAN, newLeaf({ title: 'Night watch' }));
  server.isDown = false;
  server.refuses.set('POST /api/entries', 'Somebody keeps this cue.');
  await sendWaiting('ruan');
  expect(await waiting()).toEqual([['Fed', 'Somebody keeps this cue.']]);
  await sendWaiting('ruan');
  expect(asked().filter((to) => to === 'POST /api/entries')).toHaveLength(1);
});

test("another member's things wait for their own member", async () => {
  server.isDown = true;
  await keepEntry('ruan', entry('Fed'));
  server.isDown = false;
  await sendWaiting('odile');
  expect(server.sent).toEqual([]);
  expect(await waiting()).toHaveLength(1);
});

test('texts of leaves that are open nowhere are sent; of one that is open its own page sends it', async () => {
  server.drafts.set('d1', 3).set('d2', 1);
  keepCopy('ruan', 'd1', { version: 3, document: textOf('Seen at dusk.') });
  keepCopy('ruan', 'd2', { version: 1, document: textOf('Still written.') });
  keepCopy('odile', 'd3', { version: 1, document: textOf('Hers.') });
  await openLeaf('d2');
  await sendWaiting('ruan');
  expect(asked()).toEqual(['PUT /api/drafts/d1']);
  expect(plainText((server.sent[0]!.body as { document: DraftDocument }).document)).toBe('Seen at dusk.');
  expect(copiesOf('ruan')).toEqual(['d2']);
  closeLeaf('d2');
  await new Promise((done) => setTimeout(done));
  await sendWaiting('ruan');
  expect(copiesOf('ruan')).toEqual([]);
  expect(copiesOf('odile')).toEqual(['d3']);
});

test('what arrived though its answer was lost is gone on from; what another computer saved is not', async () => {
  for (const [id, sent] of [
    ['own', alsoSent([], textOf('Seen'))],
    ['other', alsoSent([], textOf('Other words'))],
  ] as const) {
    server.drafts.set(id, 4);
    server.texts.set(id, textOf('Seen'));
    keepCopy('ruan', id, { version: 3, document: textOf('Seen at dusk.'), sent });
  }
  await sendWaiting('ruan');
  expect(copiesOf('ruan')).toEqual(['other']);
  expect([server.drafts.get('own'), server.drafts.get('other')]).toEqual([5, 4]);
  // What was sent now may have arrived as well, for all that this computer knows.
  expect(readCopy('ruan', 'other')!.sent).toHaveLength(2);
});

test('a text that the server refuses stays on this computer, word for word', async () => {
  keepCopy('ruan', 'gone', { version: 1, document: textOf('Seen at dusk.') });
  await sendWaiting('ruan');
  expect(plainText(readCopy('ruan', 'gone')!.document)).toBe('Seen at dusk.');
});

test('a text that is no draft is sent where it is written, and is nothing of a leaf', async () => {
  const on = { to: '/cases/c?line=l', called: 'name' };
  keepCopy(RUAN.id, 'l', { version: 1, document: textOf('Ferry ticket'), on });
  await sendWaiting(RUAN.id);
  expect(copiesOf(RUAN.id)).toEqual(['l']);
  expect(asked()).toEqual([]);
});

test('the text of a leaf that was begun here goes after the leaf itself', async () => {
  server.isDown = true;
  const { here } = await makeCaseOrWait(RUAN, newLeaf());
  const { id } = here!.draft;
  server.isDown = false;
  expect(await sendFirst('ruan', 'd1')).toBeNull();
  await sendFirst('ruan', id);
  expect(server.drafts.get(id)).toBe(1);
});

test('where the team lets no case stay on computers none is begun on one, and it is said', async () => {
  const one: Case = {
    id: 'bramble',
    kind: 'leaf',
    title: 'Bramble',
    number: null,
    ...line,
    record: emptyRecord(),
    drafts: [],
    given: [],
    files: [],
  };
  ANSWERS_AT_HAND.keep('teamSettings', '/api/settings', { casesOnComputers: 'none' });
  server.isDown = true;
  await expect(makeCaseOrWait(RUAN, newLeaf())).rejects.toThrow(/saves no cases on computers/);
  await expect(beginLeafHere('ruan', one, emptyDraft())).rejects.toThrow(/Nothing was begun/);
  expect(await waiting()).toEqual([]);
});

test('where this browser keeps nothing nothing is begun, and it is said', async () => {
  server.isDown = true;
  const store = (await openStore())!;
  store.add = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
  await expect(keepEntry('ruan', entry('Fed'))).rejects.toThrow(/no room .+ Nothing was begun/);
  expect(await waiting()).toEqual([]);
});
