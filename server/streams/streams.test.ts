import type { AddressInfo } from 'node:net';
import http, { type Server } from 'node:http';
import { afterAll, afterEach, beforeAll, beforeEach, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import { hashOf, openAmong } from '../auth';
import { sessions } from '../db';
import { keep, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

/** Over real connections: a stand-in for a response does not break as a socket does. */
let server: TestServer;
let listening: Server;
let imke: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  listening = await new Promise<Server>((resolve) => {
    const made = server.app.listen(0, '127.0.0.1', () => resolve(made));
  });
});
afterAll(async () => {
  listening.closeAllConnections();
  await new Promise((resolve) => listening.close(resolve));
  await server.close();
});

interface Stream {
  told: () => string;
  /** Resolves once the server has ended it. */
  ended: Promise<void>;
  /** Resolves once what was told holds some words. */
  heard: (words: string) => Promise<void>;
}

const open: http.ClientRequest[] = [];
const broken: unknown[] = [];
const note = (error: unknown) => void broken.push(error);
beforeEach(() => void process.on('uncaughtExceptionMonitor', note));
afterEach(() => {
  process.off('uncaughtExceptionMonitor', note);
  open.splice(0).forEach((request) => request.destroy());
  expect(broken).toEqual([]);
});

const address = () => `http://127.0.0.1:${(listening.address() as AddressInfo).port}`;

async function signIn(member: string): Promise<string> {
  const answer = await fetch(`${address()}/api/session/demo`, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ member }),
  });
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}

const send = (cookie: string, method: string, path: string, body?: unknown) =>
  fetch(`${address()}${path}`, {
    method,
    headers: { Cookie: cookie, 'Content-Type': 'application/json' },
    body: body === undefined ? undefined : JSON.stringify(body),
  });

/** Opens the stream of a session and waits until it is there. */
function listen(cookie: string): Promise<Stream> {
  let text = '';
  let look = () => undefined as void;
  return new Promise((resolve, reject) => {
    const request = http.get(`${address()}/api/events`, { headers: { Cookie: cookie } }, (response) => {
      response.setEncoding('utf8');
      const ended = new Promise<void>((done) => response.on('close', done));
      response.on('error', () => undefined);
      response.on('data', (more: string) => {
        text += more;
        look();
        resolve({
          told: () => text,
          ended,
          heard: (words) =>
            new Promise((done) => {
              look = () => void (text.includes(words) && done());
              look();
            }),
        });
      });
    });
    request.on('error', reject);
    open.push(request);
  });
}

/** Something that every member's pages hear. */
const tellAll = () => server.context.events.tellAll({ type: 'people-changed' });

test('whoever leaves, is let go, gets a new password or signs out: their streams end, and the server goes on', async () => {
  const everybody = await listen(await signIn('odile'));
  for (const end of [
    async () => {
      const ruan = await signIn('ruan');
      const stream = await listen(ruan);
      expect((await send(ruan, 'POST', '/api/members/ruan/leaving', { handTo: 'imke' })).status).toBe(204);
      return stream;
    },
    async () => {
      const anouk = await listen(await signIn('anouk'));
      await imke.post('/api/members/anouk/leaving').send({ handTo: 'imke' }).expect(204);
      return anouk;
    },
    async () => {
      const desta = await signIn('desta');
      const stream = await listen(desta);
      expect((await send(desta, 'DELETE', '/api/session')).status).toBe(204);
      return stream;
    },
    async () => {
      const desta = await signIn('desta');
      const stream = await listen(desta);
      // Another signs in with the same browser.
      expect((await send(desta, 'POST', '/api/session/demo', { member: 'odile' })).status).toBe(201);
      return stream;
    },
  ]) {
    const stream = await end();
    await tellAll();
    await stream.ended;
    const { length } = stream.told();
    await keep(imke, 'ward', wording(`After ${length}`, 'All quiet.')).expect(201);
    await everybody.heard(`After ${length}`);
    expect(stream.told()).not.toContain(`After ${length}`);
  }
});

test('a session that ran out ends its stream at the next beat; of two, the other goes on', async () => {
  const [first, second] = [await signIn('odile'), await signIn('odile')];
  const [out, on] = [await listen(first), await listen(second)];
  const past = new Date(server.context.now().getTime() - 1000);
  await server.context.db
    .update(sessions)
    .set({ endsAt: past })
    .where(eq(sessions.tokenHash, hashOf(first.split('=')[1]!)));
  const { hub } = server;
  hub.beat(await openAmong(server.context, hub.sessions()));
  await out.ended;
  await tellAll();
  await on.heard('people-changed');
});

test('a member has sixty open streams at most: one more ends the oldest', async () => {
  const cookie = await signIn('odile');
  const first = await listen(cookie);
  for (let at = 0; at < 60; at += 1) await listen(cookie);
  await first.ended;
});
