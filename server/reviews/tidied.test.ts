import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Ageing, PersonalInBank, Review, SaidOtherwise, TermFound } from '#contracts';
import { members } from '../db';
import { keptEntry, problem } from '../testing/entryCalls';
import { longAnswer } from '../testing/longAnswer';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let desta: Caller;
let anouk: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, desta, anouk] = await Promise.all([server.as('imke'), server.as('desta'), server.as('anouk')]);
});
afterAll(() => server.close());

/** A member who keeps nothing but their own. */
async function newcomer(): Promise<Caller> {
  const row = { id: 'wilma', name: 'Wilma Reed', email: 'wilma@hollin.example', role: 'member' as const };
  await server.context.db.insert(members).values({ ...row, createdAt: server.context.now() });
  return server.as('wilma');
}

describe('somebody’s details in shared wording', () => {
  const found = async (who: Caller, title: string) =>
    (await longAnswer<PersonalInBank>(who, 'personal')).entries
      .filter(({ entry }) => entry.content.title === title)
      .flatMap(({ places }) => places.map(({ kind, words }) => `${kind}: ${words}`));

  test('are names one knows, and what looks like a detail; until they are allowed, with a reason, and again when that is taken back', async () => {
    const { id } = await keptEntry(imke, 'ward', 'Rota', 'Ask Odile, then ring 01632 960 150 about Bramble.');
    await keptEntry(imke, 'own-imke', 'Rota of mine', 'Ask Odile.');
    expect(await found(imke, 'Rota')).toEqual(['name: Odile', 'phone: 01632 960 150', 'name: Bramble']);
    // Who was not given the case of Bramble does not learn that there is one of that name.
    expect(await found(anouk, 'Rota')).toEqual(['name: Odile', 'phone: 01632 960 150']);
    expect(await found(imke, 'Rota of mine')).toEqual([]);
    const allow = (why: string | null, who = imke) =>
      who.post(`/api/entries/${id}/allowed`).send({ words: 'Odile', why });
    expect(problem(await allow('Her desk', anouk)).code).toBe('not-allowed');
    expect(problem(await allow(' ')).code).toBe('not-valid');
    await allow('The night desk is hers').expect(204);
    expect(await found(anouk, 'Rota')).toEqual(['phone: 01632 960 150']);
    await allow(null).expect(204);
    expect(await found(anouk, 'Rota')).toEqual(['name: Odile', 'phone: 01632 960 150']);
  });
});

describe('a term in the whole bank', () => {
  const places = async (who: Caller, from: string, collections: string[] = []) => {
    const asked = { forms: [{ from, to: 'cygnet' }], collections };
    const { entries } = await longAnswer<TermFound>(who, 'term', asked);
    return entries.flatMap(({ entry, places: all }) =>
      all.map(({ at, words, put }) => `${entry.content.title}, ${at.in}: ${words} > ${put}`),
    );
  };

  test('is told where it stands in what one sees, and in the collections one asked for', async () => {
    await keptEntry(imke, 'ward', 'Brownling weighed', 'The brownling and a BROWNLING.');
    await keptEntry(imke, 'own-imke', 'Mine', 'No brownling.');
    const ward = [
      'Brownling weighed, title: Brownling > Cygnet',
      'Brownling weighed, wording: brownling > cygnet',
      'Brownling weighed, wording: BROWNLING > CYGNET',
    ];
    expect((await places(imke, 'brownling')).sort()).toEqual(
      [...ward, 'Mine, wording: brownling > cygnet'].sort(),
    );
    expect(await places(imke, 'brownling', ['ward'])).toEqual(ward);
    expect(await places(anouk, 'brownling')).toEqual(ward);
    expect(await places(anouk, 'brownling', ['own-imke'])).toEqual([]);
    const nothing = { forms: [{ from: ' ', to: '' }], collections: [] };
    expect(problem(await imke.post('/api/order/term').send(nothing)).code).toBe('not-valid');
  });
});

describe('house style', () => {
  const given = { language: '', use: 'unwell', avoid: ['peaky'], why: 'Kinder', together: false };

  test('are settled by those who keep something shared, and found in shared wording that one sees', async () => {
    expect(problem(await (await newcomer()).post('/api/house-words').send(given)).code).toBe('not-allowed');
    expect(problem(await anouk.post('/api/house-words').send({ ...given, avoid: [] })).code).toBe(
      'not-valid',
    );
    expect(problem(await anouk.post('/api/house-words').send({ ...given, avoid: ['Unwell'] })).code).toBe(
      'not-valid',
    );
    const { id } = (await anouk.post('/api/house-words').send(given).expect(201)).body as { id: string };
    await keptEntry(imke, 'ward', 'Peaky at night', 'A peaky owl.');
    await keptEntry(imke, 'own-imke', 'Mine', 'So peaky.');
    const told = async (who: Caller) => {
      const { entries, counts } = await longAnswer<SaidOtherwise>(who, 'said-otherwise');
      const places = entries.flatMap(({ places: all }) => all.map(({ words, put }) => `${words} > ${put}`));
      return { places, count: counts[id] };
    };
    const both = { places: ['Peaky > Unwell', 'A peaky > An unwell'], count: 2 };
    expect(await told(imke)).toEqual(both);
    expect(await told(desta)).toEqual(both);
    await imke
      .put(`/api/house-words/${id}`)
      .send({ ...given, together: true })
      .expect(200);
    expect(await told(imke)).toEqual({ places: [], count: undefined });
    // The other way round nothing could be written right; in another language it says nothing of this one.
    const turned = { ...given, use: 'Peaky', avoid: ['unwell'] };
    const contrary = await imke.post('/api/house-words').send(turned);
    expect([contrary.status, problem(contrary).detail]).toEqual([
      422,
      'House style has this already: unwell, not peaky. Nothing was changed; change or remove that first.',
    ]);
    await imke.delete(`/api/house-words/${id}`).expect(204);
    expect(problem(await imke.delete(`/api/house-words/${id}`)).code).toBe('not-found');
    expect((await desta.get('/api/house-words').expect(200)).body).toEqual({ words: [], mayChange: true });
  });
});

describe('what grows old', () => {
  test('is told until it has a review date, which one of its keepers has', async () => {
    const { id } = await keptEntry(imke, 'ward', 'Visits', 'A visit is £4.50; see https://hollin');
    await keptEntry(imke, 'own-imke', 'Mine', 'A visit is £5.');
    const told = async (who: Caller) =>
      (await longAnswer<Ageing>(who, 'ageing')).entries
        .filter(({ entry }) => ['Visits', 'Mine'].includes(entry.content.title))
        .flatMap(({ facts }) => facts.map(({ words, fault }) => `${words} ${fault ?? 'right'}`));
    expect(await told(anouk)).toEqual(['£4.50 right', 'https://hollin no-host']);
    const give = (who: Caller, keeper: string, looked = false) =>
      who.post('/api/reviews').send({ entries: [id], review: { due: '2027-01-31', keeper, looked } });
    expect(problem(await give(anouk, 'imke')).code).toBe('not-allowed');
    expect(problem(await give(imke, 'anouk')).code).toBe('not-valid');
    await give(imke, 'odile').expect(204);
    const reviews = async () =>
      ((await anouk.get('/api/reviews').expect(200)).body as { reviews: Review[] }).reviews;
    expect(await reviews()).toMatchObject([{ entry: id, title: 'Visits', keeper: 'odile', lookedAt: null }]);
    await give(imke, 'imke', true).expect(204);
    const [looked] = await reviews();
    expect(looked!.keeper).toBe('imke');
    expect(looked!.lookedAt).not.toBeNull();
    // A link that leads nowhere is told all the same.
    expect(await told(imke)).toHaveLength(2);
    await imke
      .post('/api/reviews')
      .send({ entries: [id], review: null })
      .expect(204);
    expect(await reviews()).toEqual([]);
  });
});
