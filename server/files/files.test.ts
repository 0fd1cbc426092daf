import { createHash, randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import type { Case, CaseFile, Deletion, Problem } from '#contracts';
import { caseFiles, fileContents, filePieces } from '../db';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { emptyWastebasket } from '../wastebasket';
import { dropUnusedFiles } from './dropUnusedFiles';

let server: TestServer;
let odile: Caller;
let imke: Caller;
let ruan: Caller;
const CASE = '/api/cases/swan-keel';
const PNG = Buffer.concat([
  Buffer.from('89504e470d0a1a0a0000000d49484452000000010000000108060000001f15c489', 'hex'),
  Buffer.alloc(40),
]);

beforeAll(async () => {
  server = await startTestServer({ fileBytes: 2_000_000 });
  [odile, imke, ruan] = await Promise.all([server.as('odile'), server.as('imke'), server.as('ruan')]);
});
afterAll(() => server.close());

const send = (who: Caller, content: Buffer, name = 'notes.txt', id: string = randomUUID()) =>
  who
    .put(`${CASE}/files/${id}`)
    .set({ 'Content-Type': 'application/octet-stream', 'Elderleaf-Name': encodeURIComponent(name) })
    .send(content);
const kept = async (content: Buffer, name?: string) =>
  (await send(odile, content, name).expect(201)).body as CaseFile;
const addressOf = ({ id }: CaseFile) => `${CASE}/files/${id}`;
const filesNow = async () => ((await odile.get(CASE)).body as Case).files;
const rowsOf = (content: Buffer) =>
  server.context.db
    .select()
    .from(fileContents)
    .where(eq(fileContents.hash, createHash('sha256').update(content).digest('hex')));
const bytesOf = async (file: CaseFile) =>
  (await odile.get(addressOf(file)).buffer(true).parse(binary).expect(200)).body as Buffer;
/** Reads an answer as the bytes it is. */
const binary = (response: unknown, done: (error: Error | null, body: Buffer) => void) => {
  const parts: Buffer[] = [];
  const stream = response as NodeJS.ReadableStream;
  stream.on('data', (part: Buffer) => parts.push(part));
  stream.on('end', () => done(null, Buffer.concat(parts)));
};

describe('a file kept with a case', () => {
  test('comes back byte for byte, is told with the case, and stands once however often it was added', async () => {
    const content = Buffer.from(Array.from({ length: 1_500_000 }, (_, at) => (at * 31) % 251));
    const one = await kept(content, 'sound.bin');
    const other = await kept(content, 'sound again.bin');
    expect((await bytesOf(one)).equals(content)).toBe(true);
    expect((await bytesOf(other)).equals(content)).toBe(true);
    expect(await filesNow()).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ name: 'sound.bin', bytes: 1_500_000, addedBy: 'Odile Brandt' }),
      ]),
    );
    expect(await rowsOf(content)).toHaveLength(1);
    const coming = (await server.context.db.select().from(filePieces)).filter(({ content: of }) =>
      of.startsWith('coming'),
    );
    expect(coming).toEqual([]);
  });

  test('sent again under its id, since the answer was lost, is one file', async () => {
    const id = randomUUID();
    await send(odile, Buffer.from('twice'), 'twice.txt', id).expect(201);
    await send(odile, Buffer.from('twice'), 'twice.txt', id).expect(201);
    expect((await filesNow()).filter(({ name }) => name === 'twice.txt')).toHaveLength(1);
  });

  test('of no bytes is kept too', async () => {
    const empty = await kept(Buffer.alloc(0), 'empty.txt');
    expect(empty.bytes).toBe(0);
    expect(await bytesOf(empty)).toHaveLength(0);
  });

  test('is told to all the case is given to, and is nobody else’s to see, add to or delete', async () => {
    const file = await kept(Buffer.from('private'));
    await send(ruan, Buffer.from('mine')).expect(404);
    await ruan.get(addressOf(file)).expect(404);
    await ruan.delete(addressOf(file)).expect(404);
    // Of another case it is not there, whoever asks.
    await imke.get(`/api/cases/hedgehog-bramble/files/${file.id}`).expect(404);
  });

  test.each([
    ['..\\..\\etc\\swan.txt', 'swan.txt'],
    ['/home/odile/ring list.csv', 'ring list.csv'],
    ['line\nbreak.txt', 'line break.txt'],
    [`${'long'.repeat(100)}.txt`, 'long'.repeat(50)],
  ])('called %j is called %j', async (name, wanted) => {
    expect((await kept(Buffer.from(name), name)).name).toBe(wanted);
  });

  test.each([
    ['no name', '', 'not-valid'],
    ['nothing but a folder', '/', 'not-valid'],
    ['a sign that cannot be kept', 'a\u0000b', 'not-valid'],
  ])('with %s is refused in words', async (_what, name, code) => {
    const body = (await send(odile, Buffer.from('x'), name).expect(422)).body as Problem;
    expect(body.code).toBe(code);
  });

  test('larger than is allowed is refused, and nothing of it stays', async () => {
    const content = Buffer.alloc(2_000_001, 7);
    const body = (await send(odile, content, 'film.mp4').expect(413)).body as Problem;
    expect(body.detail).toBe('film.mp4 is larger than 2 MB. It was not saved.');
    expect(await rowsOf(content)).toEqual([]);
    const pieces = await server.context.db.select({ content: filePieces.content }).from(filePieces);
    expect(pieces.filter(({ content: of }) => of.startsWith('coming'))).toEqual([]);
  });
});

describe('what is served', () => {
  test.each([
    ['picture.png', PNG, 'image/png', 'inline'],
    // As scanners write it: what tells of it stands at its end.
    ['scan.tif', Buffer.from('49492a00ffffff0011223344', 'hex'), 'image/tiff', 'attachment'],
    [
      'really a page.png',
      Buffer.from('<!doctype html><script>alert(1)</script>'),
      'text/plain',
      'attachment',
    ],
    [
      'drawing.svg',
      Buffer.from('<svg xmlns="http://www.w3.org/2000/svg"><script/></svg>'),
      'text/plain',
      'attachment',
    ],
    ['feed.xml', Buffer.from('<?xml version="1.0"?><a/>'), 'text/plain', 'attachment'],
    ['table.csv', Buffer.from('name,weight\nBramble,540\n'), 'text/csv', 'attachment'],
    ['letter.pdf', Buffer.from('%PDF-1.7\n%âãÏÓ\n1 0 obj'), 'application/pdf', 'attachment'],
    ['mystery', Buffer.from([0, 1, 2, 3, 255, 254]), 'application/octet-stream', 'attachment'],
  ])('%s is told by what is in it, and can run nothing', async (name, content, media, how) => {
    const file = await kept(content, name);
    expect(file.media).toBe(media);
    const { headers } = await odile.get(addressOf(file)).expect(200);
    expect(headers['content-disposition']).toMatch(new RegExp(`^${how}`));
    expect(headers['content-security-policy']).toBe("default-src 'none'; sandbox; frame-ancestors 'none'");
    expect(headers['x-content-type-options']).toBe('nosniff');
    expect(headers['content-type']).not.toMatch(/html|svg|xml|script/);
  });

  test('ranges, as players ask for them', async () => {
    const file = await kept(Buffer.from('0123456789'), 'ten.bin');
    const asked = async (range: string) => {
      const response = await odile.get(addressOf(file)).set('Range', range).buffer(true).parse(binary);
      return [response.status, response.headers['content-range'], (response.body as Buffer).toString()];
    };
    expect(await asked('bytes=2-4')).toEqual([206, 'bytes 2-4/10', '234']);
    expect(await asked('bytes=7-')).toEqual([206, 'bytes 7-9/10', '789']);
    expect(await asked('bytes=-3')).toEqual([206, 'bytes 7-9/10', '789']);
    expect(await asked('bytes=4-400')).toEqual([206, 'bytes 4-9/10', '456789']);
    expect((await asked('bytes=10-'))[0]).toBe(416);
    expect(await asked('bytes=0-1,5-6')).toEqual([200, undefined, '0123456789']);
    expect(await asked('pages=1')).toEqual([200, undefined, '0123456789']);
  });

  test('a range across two pieces of a store in pieces is whole', async () => {
    const content = Buffer.from(Array.from({ length: 1_200_000 }, (_, at) => at % 256));
    const file = await kept(content, 'pieces.bin');
    const response = await odile
      .get(addressOf(file))
      .set('Range', 'bytes=524280-1048590')
      .buffer(true)
      .parse(binary);
    expect((response.body as Buffer).equals(content.subarray(524_280, 1_048_591))).toBe(true);
  });

  test('what a browser has already is not sent again', async () => {
    const file = await kept(Buffer.from('the same'));
    const { headers } = await odile.get(addressOf(file));
    await odile.get(addressOf(file)).set('If-None-Match', headers.etag!).expect(304);
    const { status } = await odile.get(addressOf(file)).set({ Range: 'bytes=0-2', 'If-Range': '"another"' });
    expect(status).toBe(200);
  });
});

describe('deleted', () => {
  test('it lies in the wastebasket for all the case is given to, comes back from there, and goes for good with its bytes', async () => {
    const content = Buffer.from('gone one day');
    const file = await kept(content, 'gone.txt');
    const deletion = (await odile.delete(addressOf(file)).expect(200)).body as Deletion;
    expect(deletion).toMatchObject({ what: 'file', title: 'gone.txt' });
    await odile.get(addressOf(file)).expect(404);
    expect((await filesNow()).map(({ id }) => id)).not.toContain(file.id);
    const seenBy = async (who: Caller) =>
      ((await who.get('/api/wastebasket')).body as Deletion[]).some(({ id }) => id === deletion.id);
    expect([await seenBy(odile), await seenBy(imke), await seenBy(ruan)]).toEqual([true, true, false]);

    await odile.post(`/api/wastebasket/${deletion.id}/restored`).send({ entries: null }).expect(200);
    expect((await bytesOf(file)).toString()).toBe('gone one day');

    const again = (await odile.delete(addressOf(file)).expect(200)).body as Deletion;
    await odile.delete(`/api/wastebasket/${again.id}`).expect(204);
    const later = { ...server.context, now: () => new Date(server.context.now().getTime() + 2 * 3_600_000) };
    await dropUnusedFiles(later);
    expect(await rowsOf(content)).toEqual([]);
  });

  test('of two files that hold the same the other keeps its bytes', async () => {
    const content = Buffer.from('held twice');
    const [one, other] = [await kept(content, 'one.txt'), await kept(content, 'other.txt')];
    await odile.delete(addressOf(one)).expect(200);
    await server.context.db.delete(caseFiles).where(eq(caseFiles.id, one.id));
    const later = { ...server.context, now: () => new Date(server.context.now().getTime() + 2 * 3_600_000) };
    await dropUnusedFiles(later);
    await emptyWastebasket(server.context);
    expect((await bytesOf(other)).toString()).toBe('held twice');
  });
});
