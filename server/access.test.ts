import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Bank, Draft, Entry } from '#contracts';
import { keep, problem, saveAs, wording } from './testing/entryCalls';
import { startTestServer, type Caller, type TestServer } from './testing/testServer';

let server: TestServer;
let imke: Caller;
let odile: Caller;
let ruan: Caller;

beforeAll(async () => {
  server = await startTestServer();
  [imke, odile, ruan] = (await Promise.all(['imke', 'odile', 'ruan'].map(server.as))) as [
    Caller,
    Caller,
    Caller,
  ];
});
afterAll(() => server.close());

describe('what is seen', () => {
  test('a reader may read an entry and its history but not change it', async () => {
    await odile.get('/api/entries/owlet').expect(200);
    await odile.get('/api/entries/owlet/revisions/1').expect(200);
    expect(problem(await saveAs(odile, 'owlet', 1, wording('x', 'y'))).code).toBe('not-allowed');
    expect(problem(await keep(odile, 'helpline', wording('x', 'y'))).code).toBe('not-allowed');
  });

  test("the bank holds nothing of collections that were not shared, nor of others' own", async () => {
    const bank = (await ruan.get('/api/bank')).body as Bank;
    expect(bank.collections.map((collection) => collection.id)).toEqual(['archive', 'own-ruan']);
    expect(new Set(bank.entries.map((entry) => entry.collection))).toEqual(new Set(['archive']));
  });

  test('who has the bank asks for what changed: with eight saving at once, no change is missed', async () => {
    const had = new Map<string, Entry>();
    const counts: Record<string, number> = {};
    const askChanges = async () => {
      const answer = await imke.post('/api/bank/changes').send({ had: counts }).expect(200);
      const { collections, entries } = answer.body as Bank;
      for (const { id, changes } of collections) counts[id] = changes;
      for (const entry of entries) had.set(entry.id, entry);
      return entries.length;
    };
    expect(await askChanges()).toBeGreaterThan(10);
    expect(await askChanges()).toBe(0);
    const made = Array.from({ length: 8 }, (_, at) => keep(imke, 'helpline', wording(`Change ${at}`, 'x')));
    await Promise.all([...made, askChanges(), askChanges()]);
    const first = (await made[0]!).body as Entry;
    await saveAs(imke, first.id, 1, wording('Changed again', 'y')).expect(200);
    expect(await askChanges()).toBeLessThanOrEqual(8);
    const whole = (await imke.get('/api/bank')).body as Bank;
    expect([...had.values()].sort((a, b) => a.id.localeCompare(b.id))).toEqual(
      whole.entries.sort((a, b) => a.id.localeCompare(b.id)),
    );
    const others = await ruan.post('/api/bank/changes').send({ had: { helpline: 0 } });
    expect((others.body as Bank).entries.map(({ collection }) => collection)).not.toContain('helpline');
  });

  test("a colleague's draft does not exist for others, though they share the case", async () => {
    const draft = (await imke.post('/api/cases/swan-keel/drafts')).body as Draft;
    expect((await odile.get(`/api/drafts/${draft.id}`)).status).toBe(404);
    expect((await imke.get(`/api/drafts/${draft.id}`)).status).toBe(200);
  });

  test('writes from another site are refused', async () => {
    const response = await imke.post('/api/entries').set('Origin', 'https://elsewhere.example').send({});
    expect(problem(response).code).toBe('wrong-origin');
  });
});
