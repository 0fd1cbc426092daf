import { afterAll, beforeAll, expect, test } from '@jest/globals';
import type { Entry, Placed, Usage } from '#contracts';
import { keep, wording } from '../testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let desta: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, desta] = await Promise.all([server.as('imke'), server.as('odile'), server.as('desta')]);
});
afterAll(() => server.close());

test('what is used is told by entry, week, kind and collection: mine, and everybody’s as sums, of what one may see', async () => {
  const kept = async (who: Caller, collection: string, title: string) =>
    (await keep(who, collection, wording(title, 'Words.')).expect(201)).body as Entry;
  const [shared, secret] = [await kept(imke, 'ward', 'Used'), await kept(imke, 'own-imke', 'Secret')];
  await kept(imke, 'ward', 'Unused');
  const use = (who: Caller, day: string, kind: string, list: string, times: number) =>
    who
      .post('/api/uses')
      .send({
        day,
        kind,
        uses: [{ source: 'entry', list, term: '', times, shown: 100 * times, pressed: 10 * times }],
      })
      .expect(204);
  // A Sunday and the Monday after it.
  await use(imke, '2026-11-22', 'admission', shared.id, 1);
  await use(odile, '2026-11-23', 'admission', shared.id, 2);
  await use(odile, '2026-11-25', 'reply', shared.id, 1);
  await use(imke, '2026-11-23', 'admission', secret.id, 5);
  const usage = async (who: Caller) => (await who.get('/api/usage').expect(200)).body as Usage;
  const seen = await usage(odile);
  expect(seen.entries).toEqual([
    { entry: shared.id, title: 'Used', collection: 'ward', times: 4, saved: 360, mine: 3, mineSaved: 270 },
  ]);
  expect(seen.weeks).toEqual([
    { week: '2026-11-16', times: 1, saved: 90, mine: 0, mineSaved: 0 },
    { week: '2026-11-23', times: 3, saved: 270, mine: 3, mineSaved: 270 },
  ]);
  expect(seen.kinds.map(({ kind, times }) => [kind, times])).toEqual([
    ['admission', 3],
    ['reply', 1],
  ]);
  expect(seen.collections.map(({ collection, times }) => [collection, times])).toEqual([['ward', 4]]);
  expect(seen.never.map(({ title }) => title)).toContain('Unused');
  expect(seen.never.map(({ title }) => title)).not.toContain('Used');
  expect((await usage(imke)).entries.map(({ title, times }) => [title, times])).toEqual([
    ['Secret', 5],
    ['Used', 4],
  ]);
  // Of others by name only those who agreed, and of what one sees oneself.
  const peopleOf = async (who: Caller) => (await usage(who)).people.map(({ name, times }) => [name, times]);
  expect(await peopleOf(odile)).toEqual([['Odile Brandt', 3]]);
  const { body: liked } = (await imke.get('/api/preferences').expect(200)) as { body: object };
  await imke
    .put('/api/preferences')
    .send({ ...liked, showsUsage: true })
    .expect(200);
  expect(await peopleOf(odile)).toEqual([
    ['Odile Brandt', 3],
    ['Imke Tarrow', 1],
  ]);
  expect(await peopleOf(imke)).toEqual([['Imke Tarrow', 6]]);
  // Desta proposes to the ward, and has used nothing of it.
  expect((await usage(desta)).entries.map(({ mine }) => mine)).toEqual([0]);
});

test('each sees in which ways they bring wording themselves, and what was looked up counts so for its entry', async () => {
  const { id } = (await keep(imke, 'ward', wording('Brought', 'Words.')).expect(201)).body as Entry;
  const brought = (way: string, keys: number, times = 1) => ({
    ...{ source: 'entry', list: id, term: '', times, shown: 0, pressed: 0, brought: { way, keys } },
  });
  const tell = (who: Caller, uses: object[]) =>
    who.post('/api/uses').send({ day: '2026-11-24', kind: 'admission', uses });
  await tell(desta, [brought('cue', 4), brought('look-up', 9), brought('cue', 3)]).expect(204);
  await tell(desta, [brought('cue', 5), brought('click', 1)]).expect(204);
  // Counted for what it saved when the draft was finished: not brought again.
  await tell(desta, [{ ...brought('cue', 4), times: 0, brought: undefined }]).expect(204);
  await tell(desta, [brought('by magic', 1)]).expect(422);
  const ways = async (who: Caller) => ((await who.get('/api/usage').expect(200)).body as Usage).ways;
  expect((await ways(desta))[0]).toEqual({ way: 'cue', times: 3, keys: 12 });
  expect(await ways(desta)).toEqual(
    expect.arrayContaining([
      { way: 'look-up', times: 1, keys: 9 },
      { way: 'click', times: 1, keys: 1 },
    ]),
  );
  expect(await ways(odile)).toEqual([]);
  const placed = (await desta.get('/api/usage/entries').expect(200)).body as Placed;
  expect([placed.mine[id], placed.lookedUp[id]]).toEqual([5, 1]);
});
