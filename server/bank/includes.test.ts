import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Entry } from '#contracts';
import { keep, problem, saveAs, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let ruan: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
  odile = await server.as('odile');
  ruan = await server.as('ruan');
});
afterAll(() => server.close());

describe('entries within entries', () => {
  const holding = (title: string, ...ids: string[]) =>
    wording(title, `${title}. ${ids.map((id) => `[include ${id}]`).join(' ')}`);

  test('a ring is refused by its titles, at whatever length', async () => {
    const first = (await keep(imke, 'ward', wording('First', 'One.'))).body as Entry;
    const second = (await keep(imke, 'ward', holding('Second', first.id))).body as Entry;
    const third = (await keep(odile, 'ward', holding('Third', second.id))).body as Entry;
    const closing = await saveAs(imke, first.id, 1, holding('First', third.id));
    expect(problem(closing)).toMatchObject({
      code: 'not-valid',
      detail: 'These entries include each other in a ring: First → Third → Second → First.',
    });
    const itself = await saveAs(imke, first.id, 1, holding('First', first.id));
    expect(problem(itself).detail).toContain('First → First');
    await saveAs(imke, first.id, 1, wording('First', 'One more.')).expect(200);
  });

  test('what others could not read, or is not there, cannot stand within a shared entry', async () => {
    const own = (await keep(imke, 'own-imke', wording('My own closing', 'Yours.'))).body as Entry;
    expect(problem(await keep(imke, 'ward', holding('Shared', own.id))).detail).toContain(
      '“My own closing” is your own',
    );
    await keep(imke, 'own-imke', holding('Mine', own.id)).expect(201);
    for (const id of ['no-such-entry', 'owlet'])
      expect(problem(await keep(ruan, 'own-ruan', holding('Hole', id))).detail).toContain(
        'was deleted, or is not shared',
      );
  });
});
