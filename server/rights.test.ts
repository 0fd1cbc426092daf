import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import supertest from 'supertest';
import { pathFor, ROUTES, type Problem, type RouteName, type Sharing } from '#contracts';
import { members } from './db';
import { Page, settled } from './testing/page';
import { calls } from './testing/rightsCalls';
import {
  type Asked,
  bodyOf,
  collection,
  deletion,
  draft,
  entry,
  glossary,
  group,
  PAGE,
  proposal,
  WHO,
  world,
} from './testing/rightsMade';
import { CALLERS, HEARD, RIGHTS, type CallerName, type Outcome } from './testing/rightsTable';
import { startTestServer, type Caller } from './testing/testServer';

let backups: string;

beforeAll(async () => {
  backups = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-rights-'));
  world.server = await startTestServer({ backupFolder: backups });
  world.imke = await world.server.as('imke');
  const wilma = { id: 'wilma', name: 'Wilma Reed', email: 'wilma@hollin.example', role: 'owner' as const };
  await world.server.context.db.insert(members).values({ ...wilma, createdAt: world.server.context.now() });
});
// Fresh sessions each time: some calls end them.
beforeEach(async () => {
  const signed = await Promise.all(
    Object.entries(WHO).map(async ([name, id]) => [name, await world.server.as(id)] as const),
  );
  world.callers = { ...Object.fromEntries(signed), nobody: supertest.agent(world.server.app) } as Record<
    CallerName,
    Caller
  >;
});
afterAll(async () => {
  await world.server.close();
  fs.rmSync(backups, { recursive: true, force: true });
});

/** Refused for what was sent, or done already: the caller as such was let through. */
const LET_THROUGH = new Set(['already-begun', 'wrong-password', 'not-valid', 'too-many']);

function outcomeOf({ status, body }: { status: number; body: unknown }): Outcome {
  if (status < 300) return 'ok';
  const { code } = body as Problem;
  if (code === 'not-signed-in') return 'unsigned';
  return LET_THROUGH.has(code) ? 'ok' : (code as Outcome);
}

/** Those where a body that is not valid tells that the caller was let through. */
const BADLY_SENT: readonly RouteName[] = ['makeOwner', 'signIn', 'changePassword'];

describe('the table of rights', () => {
  test('has a row for every route', () => {
    expect(Object.keys(RIGHTS).sort()).toEqual(
      Object.keys(ROUTES)
        .filter((one) => one !== 'events')
        .sort(),
    );
  });

  test.each(Object.keys(RIGHTS) as (keyof typeof RIGHTS)[])('%s', async (route) => {
    const { method, path: template } = ROUTES[route];
    const outcomes: [CallerName, Outcome][] = [];
    let asked: Asked | null = null;
    for (const caller of CALLERS) {
      asked ??= (await calls[route]?.()) ?? {};
      const { params = {}, body, version = 1, headers = {} } = asked;
      const request = world.callers[caller]
        [method](template.includes(':') ? pathFor(route, params as never) : template)
        .set('If-Match', `"${version}"`)
        .set(headers);
      const response = await (body === undefined ? request : request.send(body as object));
      if (!BADLY_SENT.includes(route))
        expect((response.body as Problem | undefined)?.code).not.toBe('not-valid');
      const outcome = outcomeOf(response);
      outcomes.push([caller, outcome]);
      // What was refused has changed nothing: the next one asks the same.
      if (outcome === 'ok') asked = null;
    }
    expect(outcomes).toEqual(CALLERS.map((caller, at) => [caller, RIGHTS[route][at]]));
  });
});

describe('who hears what', () => {
  const act: Record<string, () => Promise<unknown>> = {
    'entry-saved': entry,
    'entries-changed': deletion,
    'reach-changed': collection,
    'sharing-changed': async () => {
      const params = { collection: (await collection()).id };
      const { version } = await bodyOf<Sharing>(
        world.callers.keeper.get(`/api/collections/${params.collection}/sharing`),
      );
      await world.callers.keeper
        .put(`/api/collections/${params.collection}/sharing`)
        .set('If-Match', `"${version}"`)
        .send({ grants: [] })
        .expect(200);
    },
    'proposals-changed': proposal,
    'notes-changed': async () =>
      world.callers.reader
        .post(`/api/entries/${(await entry()).id}/notes`)
        .send({ text: 'Wrong' })
        .expect(201),
    'presence-changed': async () => {
      const { id } = await entry();
      await world.callers.keeper.post(`/api/entries/${id}/present`).send({ page: PAGE });
      await world.imke
        .post(`/api/entries/${id}/present`)
        .send({ page: PAGE.replace(/1$/, '2') })
        .expect(200);
    },
    'people-changed': group,
    'house-words-changed': async () =>
      world.imke
        .post('/api/house-words')
        .send({ language: '', use: 'newt', avoid: ['lizard'], why: '', together: false })
        .expect(201),
    'glossary-changed': async () =>
      world.imke
        .post(`/api/glossaries/${await glossary()}/terms`)
        .send({ text: 'newt', cue: '', weight: 0, note: '' }),
    'case-added': async () => {
      const { params, version } = await draft();
      await world.callers.keeper
        .delete(`/api/drafts/${params.draft}`)
        .set('If-Match', `"${version}"`)
        .expect(200);
    },
  };

  test.each(Object.entries(HEARD))('%s', async (type, heard) => {
    const hub = world.server.context.events;
    const pages = Object.entries(WHO).map(([caller, id]) => ({ caller, page: Page.open(hub, id) }));
    const all = pages.map(({ page }) => page);
    await settled(hub, all);
    await act[type]!();
    await settled(hub, all);
    const heardIt = pages.filter(({ page }) => page.types.includes(type)).map(({ caller }) => caller);
    all.forEach((page) => page.end());
    expect(heardIt.sort()).toEqual([...heard].sort());
  });
});
