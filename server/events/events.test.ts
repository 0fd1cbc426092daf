import { EventEmitter } from 'node:events';
import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Response } from 'express';
import type { Collection, Entry, LiveEvent } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { keep, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
});
afterAll(() => server.close());

/** An open page: what it was told, until it is closed. */
class Page extends EventEmitter {
  readonly told: LiveEvent[] = [];
  ended = false;
  write(line: string): void {
    if (line.startsWith('data: ')) this.told.push(JSON.parse(line.slice(6)) as LiveEvent);
  }
  end(): void {
    this.ended = true;
    this.emit('close');
  }
}
/** Opens a page at one of the server processes there are: the second is another process's hub on the same store. */
async function open(member: string, hub = server.context.events, session = 'one'): Promise<Page> {
  const page = new Page();
  hub.listen(member, session, page as unknown as Response);
  pages.push(page);
  return Promise.resolve(page);
}
const pages: Page[] = [];
beforeEach(() => pages.splice(0).forEach((page) => page.end()));

const types = (page: Page) => page.told.map(({ type }) => type);
/** Waits until the last of these events has come: each is told in order, so all before it have. */
async function settled(): Promise<void> {
  const open = () => pages.filter(({ ended }) => !ended);
  await server.context.events.tellAll({ type: 'case-added', case: 'last' });
  for (
    let tries = 0;
    tries < 500 && !open().every(({ told }) => told.at(-1)?.type === 'case-added');
    tries += 1
  )
    await new Promise((resolve) => setTimeout(resolve, 10));
  for (const { told } of open()) expect(told.pop()).toEqual({ type: 'case-added', case: 'last' });
}

test('of an entry hear those who may see it, at every server process; of a right taken away whom it concerns', async () => {
  const other = await server.another();
  const [odile, ruan, elsewhere] = [
    await open('odile'),
    await open('ruan'),
    await open('anouk', other.events),
  ];
  const made = await imke
    .post('/api/collections')
    .send({
      name: 'Night',
      leadIn: ';',
      cueRules: DEFAULT_CUE_RULES,
      kindsOfWork: [],
      language: 'en-GB',
      parent: null,
    })
    .expect(201);
  const collection = made.body as Collection;
  await settled();
  expect(pages.flatMap(types)).toEqual([]);

  const share = (version: number, ...members: string[]) =>
    imke
      .put(`/api/collections/${collection.id}/sharing`)
      .set('If-Match', `"${version}"`)
      .send({
        grants: [
          { to: { kind: 'member', id: 'imke' }, right: 'keep' },
          ...members.map((id) => ({ to: { kind: 'member', id }, right: 'read' })),
        ],
      })
      .expect(200);
  await share(2, 'odile', 'anouk');
  const entry = (await keep(imke, collection.id, wording('Night round', 'All quiet.'))).body as Entry;
  await settled();
  expect(types(odile)).toEqual(['reach-changed', 'entry-saved']);
  expect(types(elsewhere)).toEqual(['reach-changed', 'entry-saved']);
  expect(elsewhere.told[1]).toMatchObject({ entry: entry.id, title: 'Night round' });
  expect(types(ruan)).toEqual([]);

  await share(3, 'anouk');
  await keep(imke, collection.id, wording('Night watch', 'All quiet.'));
  await settled();
  expect(types(odile)).toEqual(['reach-changed', 'entry-saved', 'reach-changed']);
  expect(types(elsewhere)).toEqual(['reach-changed', 'entry-saved', 'entry-saved']);
  expect(types(ruan)).toEqual([]);
  await other.close();
});

test('streams of sessions that ended end, at every server process', async () => {
  const other = await server.another();
  const [here, gone] = [
    await open('odile', server.context.events, 'here'),
    await open('odile', other.events, 'gone'),
  ];
  await server.context.events.sessionsEnded('odile', 'here');
  await settled();
  expect([here.ended, gone.ended]).toEqual([false, true]);
  await other.close();
});
