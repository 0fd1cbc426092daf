/** What the calls of the table of rights are made on: each made anew, of the keeper's own or shared with them. */
import { randomUUID } from 'node:crypto';
import type { Backup, Assignment, Collection, Draft, Entry } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import type { EntryFile } from '#core/entry';
import type { KindId } from '#core/work';
import { members } from '../db';
import { deleting, deletionIn, keep, wording } from './entryCalls';
import type { CallerName } from './rightsTable';
import type { Caller, TestServer } from './testServer';

/** Who has which right on the ward's collection, in the demo. Ruan sees nothing of it; Wilma is an owner who sees nothing. */
export const WHO: Record<Exclude<CallerName, 'nobody'>, string> = {
  stranger: 'ruan',
  reader: 'anouk',
  contributor: 'desta',
  keeper: 'odile',
  owner: 'wilma',
};

/** The server that is asked, and who asks it; filled before each test. */
export const world = {} as { server: TestServer; callers: Record<CallerName, Caller>; imke: Caller };

/** What a route is called with. */
export interface Asked {
  params?: Record<string, string>;
  body?: unknown;
  version?: number;
  headers?: Record<string, string>;
}

export const FILE = { 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': 'notes.txt' };
export const caseFile = async (): Promise<Asked> => {
  const params = { case: 'swan-keel', file: randomUUID() };
  await world.callers.keeper
    .put(`/api/cases/swan-keel/files/${params.file}`)
    .set(FILE)
    .send(Buffer.from('notes'));
  return { params };
};

/** An entry of the ward with which a file goes along. */
export const entryWithFile = async () => {
  const { keeper } = world.callers;
  const file = await bodyOf<EntryFile>(keeper.post('/api/files').set(FILE).send(Buffer.from('map')));
  return bodyOf<Entry>(keep(keeper, 'ward', { ...wording(name(), 'See the map.'), files: [file] }));
};

export const BLOCK = { kind: 'paragraph', spans: [{ text: 'We counted waders.' }] };
export const SUBMISSION = { version: 1, blocks: [BLOCK], comments: [] };
export const work = () => ({
  ...{ title: name(), due: null, limits: { least: null, most: null } },
  ...{ criteria: [], people: [], given: [] },
});
/** An assignment of the keeper's. */
export const assignment = async (): Promise<Asked> => {
  const { keeper } = world.callers;
  const { id, version } = await bodyOf<Assignment>(
    keeper.post('/api/assignments').send({ ...work(), id: randomUUID() }),
  );
  return { params: { assignment: id }, version };
};

/** A case of the keeper's own. */
export const caseOfOwn = async (kind: KindId = 'batch') => {
  const body = { id: randomUUID(), kind, title: name(), number: null, details: [], given: [] };
  await world.callers.keeper.post('/api/cases').send(body);
  return { case: body.id };
};
export const SETUP = { columns: [], rules: [], day: '2026-11-24', fileNames: '{n}', behind: '', pace: 30 };
export const BARE = { type: 'doc', attrs: { placements: {} }, content: [{ type: 'paragraph' }] };
/** A tray of the keeper's with a line. */
export const trayLine = async () => {
  const params = await caseOfOwn('naming');
  const file = { id: randomUUID(), folder: '', name: 'scan.pdf', bytes: 4, changed: '2026-11-24T10:00:00Z' };
  await world.callers.keeper.post(`/api/cases/${params.case}/tray/lines`).send({ files: [file] });
  return { params, line: file.id };
};
/** A batch of the keeper's with a row. */
export const batchRow = async () => {
  const params = await caseOfOwn();
  const { keeper } = world.callers;
  const row = randomUUID();
  await keeper.put(`/api/cases/${params.case}/batch`).set('If-Match', '"0"').send({ setup: SETUP });
  await keeper.post(`/api/cases/${params.case}/batch/rows`).send({ rows: [{ id: row, cells: ['Petra'] }] });
  return { params, row };
};

let made = 0;
export const name = () => `Made ${(made += 1)}`;
/** An address that nobody has. */
export const address = () => `guest${(made += 1)}@hollin.example`;
export const settings = () => ({
  name: name(),
  leadIn: ';',
  cueRules: DEFAULT_CUE_RULES,
  kindsOfWork: [],
  language: 'en-GB',
});
export const bodyOf = async <T>(call: PromiseLike<{ body: unknown }>) => (await call).body as T;
export const entry = () => bodyOf<Entry>(keep(world.callers.keeper, 'ward', wording(name(), 'Words.')));
export const collection = () =>
  bodyOf<Collection>(world.callers.keeper.post('/api/collections').send({ ...settings(), parent: 'ward' }));
export const idOf = async (call: PromiseLike<{ body: unknown }>) => (await bodyOf<{ id: string }>(call)).id;
export const proposal = async () =>
  idOf(
    world.callers.contributor
      .post(`/api/entries/${(await entry()).id}/proposals`)
      .send({ content: wording(name(), 'Other words.'), reason: 'why', base: 1 }),
  );
/** An import of the keeper's into a collection of theirs, begun. */
export const begunImport = async () => {
  const { id } = await collection();
  const theirs = { id: 'theirs', parent: null, ...settings() };
  return idOf(
    world.callers.keeper
      .post('/api/imports')
      .send({ name: 'Theirs', collections: [theirs], places: { theirs: id } }),
  );
};
/** An entry of an import that was begun so. */
export const importPiece = () => ({
  entries: [{ id: 'one', collection: 'theirs', content: wording('One', 'It came.'), replaces: null }],
  ...{ known: {}, coming: [] },
});
export const note = async () =>
  idOf(world.imke.post(`/api/entries/${(await entry()).id}/notes`).send({ text: 'Wrong' }));
export const deletion = async () => deletionIn(await deleting(world.callers.keeper, [(await entry()).id]));
export const invitation = () =>
  idOf(
    world.imke.post('/api/invitations').send({ name: 'Guest', email: address(), role: 'member', groups: [] }),
  );
export const group = () => idOf(world.imke.post('/api/groups').send({ name: name(), members: [] }));
export const glossary = async () =>
  idOf(
    world.imke
      .post('/api/glossaries')
      .send({ name: name(), language: 'en-GB', kindsOfWork: [], priority: 1, careful: false }),
  );
export const member = async (over: object = {}) => {
  const id = `m${(made += 1)}`;
  const row = { id, name: id, email: `${id}@hollin.example`, role: 'member' as const };
  await world.server.context.db
    .insert(members)
    .values({ ...row, createdAt: world.server.context.now(), ...over });
  return id;
};
/** A draft of the keeper's own, empty of gaps. */
export const draft = async () => {
  const { id, version } = await bodyOf<Draft>(world.callers.keeper.post('/api/cases/swan-keel/drafts'));
  const saved = await bodyOf<Draft>(
    world.callers.keeper
      .put(`/api/drafts/${id}`)
      .set('If-Match', `"${version}"`)
      .send({ document: DOCUMENT }),
  );
  return { params: { draft: id }, version: saved.version ?? version };
};
export const DOCUMENT = {
  type: 'doc',
  attrs: { placements: {} },
  content: [{ type: 'paragraph', content: [{ type: 'text', text: 'All well.' }] }],
};
/** A leaf of the keeper's own that can be sent. */
export const letter = async () => {
  const { keeper } = world.callers;
  const id = randomUUID();
  const begun = { id, title: '', copyOf: null, today: '2026-11-24' };
  const { version } = await bodyOf<Draft>(keeper.post('/api/cases/swan-keel/drafts/new').send(begun));
  const document = {
    ...DOCUMENT,
    attrs: { placements: {}, envelope: { to: 'a@marsh.example', subject: 'S' } },
  };
  const saving = keeper.put(`/api/drafts/${id}`).set('If-Match', `"${version}"`).send({ document });
  return { params: { draft: id }, version: (await bodyOf<Draft>(saving)).version };
};
export const sent = () => ({
  ...{ id: randomUUID(), wait: 60, sure: true, today: '2026-11-24' },
  ...{ inReplyTo: null, references: [] },
});
export const sending = async () => {
  const { params, version } = await letter();
  const asked = world.callers.keeper
    .post(`/api/drafts/${params.draft}/sendings`)
    .set('If-Match', `"${version}"`);
  return { params: { sending: (await bodyOf<{ sending: { id: string } }>(asked.send(sent()))).sending.id } };
};
/** An enquiry of the keeper's own, which is in the queue of the team. */
export const enquiry = async () =>
  (
    await bodyOf<{ case: { id: string } }>(
      world.callers.keeper
        .post('/api/messages')
        .set('Content-Type', 'message/rfc822')
        .send(Buffer.from(`From: a@marsh.example\r\nSubject: ${name()}\r\n\r\nHello`)),
    )
  ).case.id;
export const OTHER_DOCUMENT = {
  ...DOCUMENT,
  content: [{ type: 'paragraph', content: [{ type: 'text', text: 'Other.' }] }],
};
export const HOUSE_WORD = { language: '', use: 'hedgehog', avoid: ['hog'], why: '', together: false };
export const houseWord = async () =>
  (await bodyOf<{ id: string }>(world.callers.keeper.post('/api/house-words').send(HOUSE_WORD))).id;
export const TOKEN = 'x'.repeat(43);
export const PAGE = '6f1c2a52-7d0e-4c55-9d83-0a4b8f8b1a01';

export const onEntry = async (body?: unknown): Promise<Asked> => ({
  params: { entry: (await entry()).id },
  body,
});
let madeOnce: Promise<{ backup: string; collection: string }> | null = null;
/** The name of a backup of all that there is by now. The clock stands still here: it is called as the one before, and takes its place. */
export async function backup(): Promise<string> {
  madeOnce = null;
  return backupOf();
}
async function backupOf(): Promise<string> {
  const made = await world.imke.post('/api/backups').expect(200);
  const { result } = JSON.parse(made.text.trim().split('\n').at(-1)!) as { result: { result: Backup } };
  return result.result.name;
}
/** A backup and a collection in it, made once for all who look into one: each takes as long as a hundred other calls. */
export const backupOnce = () =>
  (madeOnce ??= collection().then(async ({ id }) => ({ collection: id, backup: await backupOf() })));
export const onCollection = async (body?: unknown): Promise<Asked> => {
  const { id, version } = await collection();
  return { params: { collection: id }, body, version };
};
export const onMember = async (body?: unknown): Promise<Asked> => ({
  params: { member: await member() },
  body,
});

/** Another session of the keeper's: their own must go on. */
export async function ownSession() {
  const elsewhere = await world.server.as(WHO.keeper);
  const own = await bodyOf<{ id: string; current: boolean }[]>(elsewhere.get('/api/own/sessions'));
  return { params: { session: own.find(({ current }) => current)!.id } };
}
