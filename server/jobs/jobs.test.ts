import { once } from 'node:events';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import express from 'express';
import { eq } from 'drizzle-orm';
import request from 'supertest';
import { jobs } from '../db';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { bindLong } from './bindLong';
import { beatJob, beginJob, dropOldJobs, endJob, stopJobs } from './jobs';

let server: TestServer;
let imke: Caller;
let odile: Caller;
const NONE = { entries: [], count: 0, dated: 0, read: 0 };

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = await Promise.all([server.as('imke'), server.as('odile')]);
});
afterAll(() => server.close());
beforeEach(async () => {
  await server.context.db.delete(jobs);
});

const left = async (who: Caller) => (await who.get('/api/jobs/ageing').expect(200)).body as unknown;
const later = (ms: number) => ({
  ...server.context,
  now: () => new Date(server.context.now().getTime() + ms),
});
const begin = (asked: unknown = null, member = 'imke') => beginJob(server.context, member, 'ageing', asked);

describe('a job', () => {
  test('is one, however often it is asked for; asked otherwise, the one before is stopped', async () => {
    const first = await begin();
    expect(first.isOurs).toBe(true);
    expect(await begin()).toEqual({ id: first.id, isOurs: false });
    expect((await begin(null, 'odile')).isOurs).toBe(true);
    const other = await begin({ least: 0.8 });
    expect(other.isOurs).toBe(true);
    expect(await beatJob(server.context, first.id, 0.5)).toBe(false);
    expect(await beatJob(server.context, other.id, 0.5)).toBe(true);
  });

  test('asked for by two at the same moment is begun once', async () => {
    const all = await Promise.all(Array.from({ length: 6 }, () => begin()));
    expect(all.filter(({ isOurs }) => isOurs)).toHaveLength(1);
    expect(new Set(all.map(({ id }) => id)).size).toBe(1);
  });

  test('of a process that fell silent is begun anew', async () => {
    const first = await begin();
    const again = await beginJob(later(16_000), 'imke', 'ageing', null);
    expect(again.isOurs).toBe(true);
    expect(again.id).not.toBe(first.id);
  });

  test('under way is told to its member alone, with how far it is; stopped, nothing is left of it', async () => {
    const { id } = await begin();
    await beatJob(server.context, id, 0.5);
    expect(await left(imke)).toEqual({ state: 'working', asked: null, progress: 0.5 });
    expect(await left(odile)).toBeNull();
    await odile.post('/api/jobs/ageing/stopped').expect(204);
    expect(await left(imke)).not.toBeNull();
    await imke.post('/api/jobs/ageing/stopped').expect(204);
    expect(await left(imke)).toBeNull();
    // What it comes to after that is not kept.
    await endJob(server.context, id, { state: 'done', result: NONE });
    expect(await left(imke)).toBeNull();
  });

  test('that ended while nobody looked shows what came of it for an hour', async () => {
    const { id } = await begin();
    await endJob(server.context, id, { state: 'done', result: NONE });
    expect(await left(imke)).toMatchObject({ state: 'done', asked: null, result: NONE });
    await dropOldJobs(later(3_000_000));
    expect(await left(imke)).not.toBeNull();
    await dropOldJobs(later(4_000_000));
    expect(await left(imke)).toBeNull();
  });

  test('is not shown once anybody’s rights have changed since it began', async () => {
    const { id } = await begin();
    await endJob(server.context, id, { state: 'done', result: NONE });
    const settings = (await imke.get('/api/bank')).body as { collections: { cueRules: object }[] };
    const { cueRules } = settings.collections[0]!;
    await imke
      .post('/api/collections')
      .send({ name: 'New', leadIn: ';', cueRules, kindsOfWork: [], language: 'en-GB', parent: null })
      .expect(201);
    expect(await left(imke)).toBeNull();
  });

  test('that failed is not shown, and can be begun again', async () => {
    const { id } = await begin();
    await endJob(server.context, id, { state: 'failed' });
    expect(await left(imke)).toBeNull();
    expect((await begin()).isOurs).toBe(true);
    await stopJobs(server.context, 'imke', 'ageing');
  });
});

test('what a page saw to its end is not shown again', async () => {
  const response = await imke.post('/api/order/ageing').expect(200);
  expect(response.text.trim().split('\n').at(-1)).toContain('"result"');
  expect(await left(imke)).toBeNull();
});

describe('a page that hangs up', () => {
  let go: () => void;
  let begun: Promise<void>;
  let own: http.Server;
  let url: string;
  let works = 0;

  beforeEach(async () => {
    works = 0;
    const gate = new Promise<void>((resolve) => (go = resolve));
    let say: () => void;
    begun = new Promise<void>((resolve) => (say = resolve));
    const app = express();
    bindLong(app, server.context, 'ageing', async function* () {
      works += 1;
      yield 0.25;
      say();
      await gate;
      yield 0.75;
      return NONE;
    });
    own = app.listen(0);
    await once(own, 'listening');
    url = `http://127.0.0.1:${(own.address() as AddressInfo).port}`;
  });

  afterEach(() => own.closeAllConnections());
  afterEach(() => void own.close());

  test('leaves its work going on: another follows the same, or finds what came of it', async () => {
    const signedIn = await request(server.app).post('/api/session/demo').send({ member: 'imke' });
    const cookie = (signedIn.headers['set-cookie'] as unknown as string[])[0]!.split(';')[0]!;
    const ask = () => {
      const page = http.request(`${url}/api/order/ageing`, { method: 'POST', headers: { Cookie: cookie } });
      page.on('error', () => undefined);
      page.end();
      return page;
    };
    const first = ask();
    await begun;
    first.destroy();
    const [answer] = (await once(ask(), 'response')) as [http.IncomingMessage];
    let text = String((await once(answer, 'data'))[0]);
    // It follows what the first page began.
    go();
    answer.on('data', (piece: Buffer) => (text += String(piece)));
    await once(answer, 'end');
    expect(JSON.parse(text.trim().split('\n').at(-1)!)).toEqual({ result: NONE });
    expect(works).toBe(1);
    const [row] = await server.context.db.select().from(jobs).where(eq(jobs.member, 'imke'));
    expect(row).toMatchObject({ state: 'done', seen: true });
  });
});
