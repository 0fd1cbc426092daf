import { createHash, randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import type { Bank, CollectionFile, Draft, Entry } from '#contracts';
import type { EntryFile } from '#core/entry';
import { place } from '#core/fill';
import { emptyRecord } from '#core/record';
import { entryFiles, fileContents } from '../db';
import { deleting, deletionIn, keep, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { dropUnusedFiles } from './dropUnusedFiles';

let server: TestServer;
/** Odile keeps the ward's collection, Anouk reads it, Desta may propose; to Ruan it does not exist. */
let odile: Caller;
let anouk: Caller;
let desta: Caller;
let ruan: Caller;

beforeAll(async () => {
  server = await startTestServer({ fileBytes: 30_000_000 });
  [odile, anouk, desta, ruan] = await Promise.all([
    server.as('odile'),
    server.as('anouk'),
    server.as('desta'),
    server.as('ruan'),
  ]);
});
afterAll(() => server.close());

let made = 0;
const send = (who: Caller, words: string, name = 'first aid.txt') =>
  who
    .post('/api/files')
    .set({ 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': encodeURIComponent(name) })
    .send(Buffer.from(words));
const sent = async (who: Caller, words: string, name?: string) =>
  (await send(who, words, name).expect(201)).body as EntryFile;
const contentWith = (...files: EntryFile[]) => ({
  ...wording(`With files ${(made += 1)}`, 'See what goes along.'),
  ...(files.length > 0 && { files }),
});
const kept = async (...files: EntryFile[]) =>
  (await keep(odile, 'ward', contentWith(...files)).expect(201)).body as Entry;
const read = async (who: Caller, address: string) => (await who.get(address).expect(200)).text;
const addressIn = ({ id }: Pick<Entry, 'id'>, { hash }: EntryFile) => `/api/entries/${id}/files/${hash}`;
const isThere = async ({ hash }: EntryFile) =>
  (await server.context.db.select().from(fileContents).where(eq(fileContents.hash, hash))).length === 1;
const afterDays = (days: number) =>
  dropUnusedFiles({
    ...server.context,
    now: () => new Date(server.context.now().getTime() + days * 86_400_000),
  });

/** The collection that is a member's alone. */
const ownOf = async (who: Caller) =>
  ((await who.get('/api/bank')).body as Bank).collections.find(({ own }) => own)!.id;

/** A draft of a member's own in which an entry was placed. */
async function draftWith(who: Caller, { id, revision, content }: Entry): Promise<Draft> {
  const body = { id: randomUUID(), kind: 'leaf', title: 'A leaf', number: null, details: [], given: [] };
  await who.post('/api/cases').send(body).expect(201);
  const begun = (await who.post(`/api/cases/${body.id}/drafts`)).body as Draft;
  const placed = place({
    entry: { id, revision, content },
    ...{ id: 'p', cue: null, record: emptyRecord(), today: '2026-11-27' },
  });
  const document = { ...placed.passage, attrs: { placements: { p: placed.placement } } };
  const response = await who
    .put(`/api/drafts/${begun.id}`)
    .set('If-Match', `"${begun.version}"`)
    .send({ document });
  expect(response.status).toBe(200);
  return response.body as Draft;
}

describe('a file that goes along with an entry', () => {
  test('is told by what is in it, and is to be had by all who see the entry and by nobody else', async () => {
    const file = await sent(odile, 'Keep it warm.', '/home/odile/first aid.txt');
    expect(file).toEqual({
      hash: createHash('sha256').update('Keep it warm.').digest('hex'),
      name: 'first aid.txt',
      media: 'text/plain',
      bytes: 13,
    });
    const entry = await kept(file);
    expect(entry.content.files).toEqual([file]);
    expect(await read(anouk, addressIn(entry, file))).toBe('Keep it warm.');
    await ruan.get(addressIn(entry, file)).expect(404);
    await anouk.get(`/api/entries/${(await kept()).id}/files/${file.hash}`).expect(404);
  });

  test('stays with every revision that had it, though a later one lets it go', async () => {
    const file = await sent(odile, 'A map of the marsh.', 'map.txt');
    const entry = await kept(file);
    const { files: _, ...without } = entry.content;
    await saveAs(odile, entry.id, 1, without).expect(200);
    await afterDays(30);
    expect(await read(anouk, addressIn(entry, file))).toBe('A map of the marsh.');
    const again = (await saveAs(odile, entry.id, 2, entry.content).expect(200)).body as Entry;
    expect(again.content.files).toEqual([file]);
  });

  test('of which only the hash is known opens nothing: who may not see it cannot name it', async () => {
    const file = await sent(odile, 'For the ward alone.', 'ward.txt');
    await kept(file);
    const response = await keep(ruan, await ownOf(ruan), contentWith(file)).expect(422);
    expect(problem(response).detail).toBe(
      'The file “ward.txt” is not here any more. Remove it from the entry and add it again; nothing was saved.',
    );
    // Who sees it may have it in an entry of their own.
    await keep(anouk, await ownOf(anouk), contentWith(file)).expect(201);
  });

  test('proposed by one is accepted by another, who never sent it', async () => {
    const entry = await kept();
    const file = await sent(desta, 'A leaflet.', 'leaflet.txt');
    const proposal = (
      await desta
        .post(`/api/entries/${entry.id}/proposals`)
        .send({ content: { ...entry.content, files: [file] }, reason: 'They ask for it', base: 1 })
        .expect(201)
    ).body as { id: string };
    await afterDays(30);
    await saveAs(odile, entry.id, 1, { ...entry.content, files: [file] }).expect(200);
    expect(proposal.id).toBeDefined();
    expect(await read(anouk, addressIn(entry, file))).toBe('A leaflet.');
  });

  test('goes along with a draft it was placed in, and stays there when the entry was deleted for good', async () => {
    const file = await sent(odile, 'Opening hours.', 'hours.txt');
    const entry = await kept(file);
    const draft = await draftWith(anouk, entry);
    const address = `/api/drafts/${draft.id}/files/${file.hash}`;
    expect(await read(anouk, address)).toBe('Opening hours.');
    await odile.get(address).expect(404);
    const deletion = deletionIn(await deleting(odile, [entry.id]).expect(200));
    await odile.delete(`/api/wastebasket/${deletion}`).expect(204);
    expect(await server.context.db.select().from(entryFiles).where(eq(entryFiles.entry, entry.id))).toEqual(
      [],
    );
    await afterDays(30);
    expect(await read(anouk, address)).toBe('Opening hours.');
    // A copy of the leaf has it too, though nobody sees the entry any more.
    const copy = { id: randomUUID(), title: '', copyOf: draft.id, today: '2026-11-28' };
    await anouk.post(`/api/cases/${draft.case}/drafts/new`).send(copy).expect(201);
    expect(await read(anouk, `/api/drafts/${copy.id}/files/${file.hash}`)).toBe('Opening hours.');
  });

  test('a draft that names what its author may not see is saved, and opens nothing', async () => {
    const file = await sent(odile, 'Not for the archive.', 'ward only.txt');
    const entry = await kept(file);
    const draft = await draftWith(ruan, entry);
    await ruan.get(`/api/drafts/${draft.id}/files/${file.hash}`).expect(404);
  });

  test('that no entry came to hold goes after some days, and not before', async () => {
    const file = await sent(odile, 'Never saved.', 'lost.txt');
    await afterDays(7);
    expect(await isThere(file)).toBe(true);
    await afterDays(15);
    expect(await isThere(file)).toBe(false);
    const response = await keep(odile, 'ward', contentWith(file)).expect(422);
    expect(problem(response).detail).toContain('add it again');
  });

  test('of an entry deleted for good goes with it', async () => {
    const file = await sent(odile, 'Gone with it.', 'gone.txt');
    const entry = await kept(file);
    const deletion = deletionIn(await deleting(odile, [entry.id]).expect(200));
    await odile.delete(`/api/wastebasket/${deletion}`).expect(204);
    await afterDays(15);
    expect(await isThere(file)).toBe(false);
  });

  test.each([
    [
      'too large',
      Buffer.alloc(20_000_001),
      'film.mp4',
      413,
      'film.mp4 is larger than 20 MB. It was not saved.',
    ],
    ['without a name', Buffer.from('x'), '', 422, 'Say what the file is called. It was not saved.'],
  ])('%s is refused in words', async (_what, content, name, status, detail) => {
    const response = await odile
      .post('/api/files')
      .set({ 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': encodeURIComponent(name) })
      .send(content)
      .expect(status);
    expect(problem(response).detail).toBe(detail);
  });
});

test('is in what is handed on, and is taken over from there by who sent it', async () => {
  const file = await sent(odile, 'How to hold an owl.', 'owl.txt');
  const entry = await kept(file);
  const handed = (await odile.post('/api/collections/ward/file').expect(200)).body as CollectionFile;
  expect(handed.entries.find(({ id }) => id === entry.id)!.content.files).toEqual([file]);
});
