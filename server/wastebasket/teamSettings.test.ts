import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { TrailLine } from '#contracts';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile] = [await server.as('imke'), await server.as('odile')];
});
afterAll(() => server.close());

const RULE = {
  ...{ label: 'Worming', every: { count: 3, step: 'months' }, from: null, to: null },
  ...{ sex: '', species: '', problem: '', doneBy: [], isImmunisation: false },
};
const RECORDS = { care: [], oldAfterDays: 7, old: [], usual: [] };

describe('what is set for the team', () => {
  const kinds = [{ kind: 'reply', work: 'Letters', caseName: 'Letter' }];

  test('is changed in part: what is not given stays; each change has its line in the trail', async () => {
    await imke.put('/api/settings').send({ wastebasketDays: 12 }).expect(200);
    const saved = await imke.put('/api/settings').send({ kinds }).expect(200);
    expect(saved.body).toMatchObject({ wastebasketDays: 12, kinds });
    expect((await odile.get('/api/settings')).body).toMatchObject({ wastebasketDays: 12, kinds });
    const all = { about: null, by: null, from: null, until: null, before: null };
    const { lines } = (await imke.post('/api/trail').send(all)).body as { lines: TrailLine[] };
    expect(lines.filter(({ act }) => act === 'settings-changed').slice(0, 2)).toMatchObject([
      { subject: 'Kinds of work', detail: 'Letters' },
      { subject: 'The wastebasket is emptied', detail: 'after 12 days' },
    ]);
    await imke.put('/api/settings').send({ kinds: null }).expect(200);
  });

  test('rules for records are for owners to set, and for all to read', async () => {
    const records = { ...RECORDS, care: [RULE] };
    await odile.put('/api/settings').send({ records }).expect(403);
    await imke.put('/api/settings').send({ records }).expect(200);
    expect((await odile.get('/api/settings')).body).toMatchObject({ records });
    const all = { about: null, by: null, from: null, until: null, before: null };
    const { lines } = (await imke.post('/api/trail').send(all)).body as { lines: TrailLine[] };
    expect(lines[0]).toMatchObject({ subject: 'Rules for records', detail: 'Worming' });
  });

  test('how long cases stay on computers is for owners to set, for all to read, and in the trail', async () => {
    await odile.put('/api/settings').send({ casesOnComputers: 'none' }).expect(403);
    for (const casesOnComputers of ['none', 7, null]) {
      await imke.put('/api/settings').send({ casesOnComputers }).expect(200);
      expect((await odile.get('/api/settings')).body).toMatchObject({ casesOnComputers });
    }
    const all = { about: null, by: null, from: null, until: null, before: null };
    const { lines } = (await imke.post('/api/trail').send(all)).body as { lines: TrailLine[] };
    const told = lines.filter(({ subject }) => subject === 'Cases on computers').map(({ detail }) => detail);
    expect(told).toEqual(['while signed in', 'for 7 days', 'none']);
  });

  test.each([
    ['no kind at all', { kinds: [] }],
    ['a kind that is none', { kinds: [{ ...kinds[0], kind: 'cooking' }] }],
    ['a name of spaces', { kinds: [{ ...kinds[0], work: ' ' }] }],
    ['something that is not set', { colour: 'green' }],
    [
      'a rule that comes round never',
      { records: { ...RECORDS, care: [{ ...RULE, every: { count: 0, step: 'days' } }] } },
    ],
    ['cases that stay on computers for no day', { casesOnComputers: 0 }],
    ['cases that stay on computers for ever', { casesOnComputers: 'always' }],
    ['values that are never old', { records: { ...RECORDS, oldAfterDays: 0 } }],
  ])('%s is refused, and nothing is changed', async (_what, body) => {
    const before = (await imke.get('/api/settings')).body as unknown;
    await imke.put('/api/settings').send(body).expect(422);
    expect((await imke.get('/api/settings')).body).toEqual(before);
  });
});
