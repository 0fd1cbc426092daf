import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Bank, Case, CaseSummary, Draft, EarlierCast, Note, Proposal, Usage } from '#contracts';
import { turnsOf } from '#core/transcript';
import { startTestServer, type TestServer } from '../../server/testing/testServer';

let server: TestServer;

beforeAll(async () => {
  server = await startTestServer({ demo: 'lived' });
});
afterAll(() => server.close());

const asMember = async <T>(member: string, address: string): Promise<T> => {
  const caller = await server.as(member);
  return (await caller.get(address).expect(200)).body as T;
};

describe('the team of the demo after twelve weeks', () => {
  test('a bank of 220 entries in 17 collections, of every kind of work', async () => {
    const all = new Map<string, string>();
    for (const member of ['imke', 'desta', 'ruan', 'anouk', 'jory']) {
      const bank = await asMember<Bank>(member, '/api/bank');
      for (const { id, collection } of bank.entries) all.set(id, collection);
    }
    expect(all.size).toBeGreaterThanOrEqual(220);
    const shared = new Set([...all.values()].filter((id) => !id.startsWith('own-')));
    expect(shared.size).toBe(17);
  });

  test('cases in all states; what is finished has no gap, or it would not have loaded', async () => {
    const cases = await asMember<CaseSummary[]>('anouk', '/api/cases');
    const states = cases.map(({ closed, draft }) => (closed ? 'closed' : (draft?.state ?? 'none')));
    expect(new Set(states)).toEqual(new Set(['closed', 'finished', 'open', 'none']));
  });

  test('weeks of use by nine members, that saved more than they cost', async () => {
    const usage = await asMember<Usage>('imke', '/api/usage');
    expect(usage.weeks.length).toBeGreaterThanOrEqual(12);
    for (const week of usage.weeks) expect(week.saved).toBeGreaterThan(0);
    expect(usage.kinds.length).toBe(8);
    expect(usage.neverCount).toBeGreaterThan(0);
  });

  test('recordings with their sound, half written down; who spoke is offered for the next', async () => {
    const one = await asMember<Case>('ruan', '/api/cases/lived-flood-winter');
    expect(one.files).toMatchObject([
      { media: 'audio/ogg; codecs=opus', name: 'Interview, Wilf and Nesta Ambry.ogg' },
    ]);
    const { document } = await asMember<Draft>('ruan', '/api/drafts/lived-flood-winter-1');
    const turns = turnsOf(document);
    expect(turns).toHaveLength(11);
    expect(turns.every(({ at }, index) => index === 0 || at! > turns[index - 1]!.at!)).toBe(true);
    expect(JSON.stringify(document)).toContain('"unclear":true');
    const casts = await asMember<EarlierCast[]>('ruan', '/api/casts');
    expect(casts.map(({ cast }) => cast.map(({ name }) => name))).toEqual([
      ['Imke Tarrow'],
      ['Ruan Pellow', 'Wilf Ambry', 'Nesta Ambry'],
    ]);
    // Another's are their own.
    expect(await asMember<EarlierCast[]>('imke', '/api/casts')).toEqual([]);
  });

  test('proposals, notes and reviews wait for somebody', async () => {
    const proposals = await asMember<Proposal[]>('imke', '/api/proposals');
    expect(proposals.some(({ mayAnswer }) => mayAnswer)).toBe(true);
    const notes = await asMember<Note[]>('imke', '/api/notes');
    expect(notes.some(({ keeps, closed }) => keeps && !closed)).toBe(true);
  });
});
