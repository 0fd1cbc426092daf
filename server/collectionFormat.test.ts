import fs from 'node:fs';
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import supertest from 'supertest';
import { startTestServer, type TestServer } from './testing/testServer';

let server: TestServer;
beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.close());

test('the schema of files of collections that is shipped is the one that is served, to anyone', async () => {
  const shipped = new URL('../docs/formats/collection.schema.json', import.meta.url);
  const served = await supertest(server.app).get('/api/formats/collection.json').expect(200);
  expect(served.body).toEqual(JSON.parse(fs.readFileSync(shipped, 'utf8')));
});
