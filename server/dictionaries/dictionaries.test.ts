import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let caller: Caller;
const folder = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'dictionaries-')), 'of-team');
beforeAll(async () => {
  server = await startTestServer({ dictionaryFolder: folder });
  caller = await server.as('odile');
});
beforeEach(() => {
  fs.rmSync(folder, { recursive: true, force: true });
});
afterAll(async () => {
  fs.rmSync(path.dirname(folder), { recursive: true, force: true });
  await server.close();
});

const put = (name: string, words: string | Buffer) => {
  fs.mkdirSync(folder, { recursive: true });
  fs.writeFileSync(path.join(folder, name), words);
};

test('where there is no folder there is no dictionary', async () => {
  expect((await caller.get('/api/dictionaries')).body).toEqual([]);
  expect((await caller.get('/api/dictionaries/cy')).status).toBe(404);
});

test('a dictionary of the team is both of its files, by its language', async () => {
  put('cy_GB.aff', 'SET UTF-8\n');
  put('cy_GB.dic', '2\ntŷ\nafon\n');
  put('de.aff', 'SET UTF-8\n');
  put('README.txt', 'Words of Wales.');
  put('not a language.aff', '');
  put('not a language.dic', '');
  expect((await caller.get('/api/dictionaries')).body).toEqual(['cy-GB']);
  const answer = await caller.get('/api/dictionaries/cy-GB');
  expect(answer.body).toEqual({ rules: 'SET UTF-8\n', words: '2\ntŷ\nafon\n' });
});

test.each([
  ['ISO8859-14', Buffer.from([0x31, 0x0a, 0x74, 0xfe, 0x0a]), '1\ntŷ\n'],
  ['microsoft-cp1251', Buffer.from([0x31, 0x0a, 0xe4, 0x0a]), '1\nд\n'],
  ['UTF-8', Buffer.from('1\nœuf\n'), '1\nœuf\n'],
])('words in %s are read as what they are', async (set, bytes, words) => {
  put('xx.aff', `# made\nSET ${set}\n`);
  put('xx.dic', bytes);
  expect((await caller.get('/api/dictionaries/xx')).body).toMatchObject({ words });
});

test('a character set that nobody knows is told by its name', async () => {
  put('xx.aff', 'SET MARSH-7\n');
  put('xx.dic', '1\na\n');
  expect(await caller.get('/api/dictionaries/xx')).toMatchObject({
    status: 422,
    body: { detail: 'The dictionary says that it is written in “MARSH-7”, which cannot be read.' },
  });
});

test.each(['..%2F..%2Fpackage', '%2e%2e', 'cy_GB'])('nothing else of the disk is read: %s', async (name) => {
  put('cy_GB.aff', 'SET UTF-8\n');
  put('cy_GB.dic', '1\na\n');
  expect((await caller.get(`/api/dictionaries/${name}`)).status).toBe(404);
});
