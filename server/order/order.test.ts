import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type {
  Ageing,
  Alike,
  Draft,
  Entry,
  Note,
  PersonalInBank,
  RewordedInDrafts,
  Review,
  RevisionSummary,
  TermFound,
  TypedAgain,
  SaidOtherwise,
} from '#contracts';
import type { EntryContent } from '#core/entry';
import { members } from '../db/schema';
import { place } from '#core/fill';
import { mapLines } from '#core/passage';
import { emptyRecord } from '#core/record';
import { keep, problem, wording } from '../testing/entryCalls';
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

const kept = async (who: Caller, collection: string, title: string, words: string, cue?: string) =>
  (await keep(who, collection, wording(title, words, cue)).expect(201)).body as Entry;

/** What comes at the end of a long answer; all lines before it tell how far it is. */
async function longAnswer<Result>(who: Caller, route: string, body: object = {}): Promise<Result> {
  const { text } = await who.post(`/api/order/${route}`).send(body).buffer(true).expect(200);
  const lines = text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { progress?: number; result?: Result });
  for (const { progress } of lines.slice(0, -1)) expect(progress).toBeLessThanOrEqual(1);
  return lines.at(-1)!.result!;
}
const alike = (who: Caller, least = 0.8) => longAnswer<Alike>(who, 'alike', { least });
const titlesOf = ({ groups }: Alike) =>
  groups.map((group) => group.entries.map(({ content }) => content.title).sort());

const SAID =
  'The seal pup was weighed and given warm fluids by tube, and slept through the night in pen four';

describe('entries that say nearly the same', () => {
  test('are told in groups, with how often each is used, to those who see them; not variations, nor what is out of use', async () => {
    const one = await kept(imke, 'ward', 'Seal pup, night', `${SAID}.`);
    await kept(imke, 'ward', 'Seal pup at night', `${SAID.replace('pen four', 'pen 12')}, Bramble.`);
    await kept(desta, 'own-desta', 'My seal', SAID.toUpperCase());
    const old = await kept(imke, 'ward', 'Old seal', SAID);
    const varying = { collection: 'own-imke', varies: { entry: one.id, revision: 1 }, reason: '' };
    await imke
      .post('/api/entries')
      .send({ ...varying, content: wording('Mine', SAID) })
      .expect(201);
    const retired: EntryContent = { ...old.content, retired: true };
    await imke
      .put(`/api/entries/${old.id}`)
      .set('If-Match', '"1"')
      .send({ content: retired, reason: '' })
      .expect(200);
    const both = ['Seal pup at night', 'Seal pup, night'];
    expect(titlesOf(await alike(imke))).toContainEqual(both);
    expect(titlesOf(await alike(anouk))).toContainEqual(both);
    expect(titlesOf(await alike(desta))).toContainEqual(['My seal', ...both]);
    expect((await alike(imke)).uses[one.id]).toBeUndefined();
    expect(problem(await imke.post('/api/order/alike').send({ least: 0.1 })).code).toBe('not-valid');
  });

  test('of two asked at once the later one is answered', async () => {
    const asked = [alike(imke), alike(imke)].map((answer) =>
      answer.then(
        () => 'told',
        () => 'stopped',
      ),
    );
    expect((await Promise.all(asked)).at(-1)).toBe('told');
  });
});

describe('merging', () => {
  const at = ({ id, revision }: Entry) => ({ entry: id, revision });
  const merge = (who: Caller, into: Entry, content: EntryContent, others: Entry[]) =>
    who
      .post('/api/entries/merged')
      .send({ into: { ...at(into), content, reason: 'One is enough' }, entries: others.map(at) });

  test('cues, notes, history and what holds it follow; bringing back undoes it', async () => {
    const left = await kept(imke, 'ward', 'Left', 'Words that stay.', 'mrga');
    const gone = await kept(imke, 'ward', 'Gone', 'Words that go.', 'mrgb');
    const holder = wording('Holder', 'x');
    holder.wordings[0]!.parts[0]!.passage.content.push({
      type: 'paragraph',
      content: [{ type: 'include', attrs: { entry: gone.id } }],
    });
    const held = (await keep(imke, 'ward', holder).expect(201)).body as Entry;
    const note = (await anouk.post(`/api/entries/${gone.id}/notes`).send({ text: 'Twice?' }).expect(201))
      .body as Note;
    const content = { ...left.content, cues: [...left.content.cues, ...gone.content.cues] };
    const { entry, deletion } = (await merge(imke, left, content, [gone]).expect(200)).body as {
      entry: Entry;
      deletion: string;
    };
    expect(entry).toMatchObject({ revision: 2, reason: 'One is enough', merged: [gone.id] });
    expect(entry.content.cues.map(({ text }) => text)).toEqual(['mrga', 'mrgb']);
    expect((await anouk.get(`/api/entries/${gone.id}`)).status).toBe(404);
    const notes = (await anouk.get('/api/notes').expect(200)).body as Note[];
    expect(notes.find(({ id }) => id === note.id)).toMatchObject({ entry: left.id });
    const holding = (await imke.get(`/api/entries/${held.id}`).expect(200)).body as Entry;
    expect(JSON.stringify(holding.content)).toContain(left.id);
    const before = await anouk.get(`/api/entries/${gone.id}/revisions`).expect(200);
    expect((before.body as RevisionSummary[]).map(({ revision }) => revision)).toEqual([1]);
    expect(
      (await server.as('ruan').then((ruan) => ruan.get(`/api/entries/${gone.id}/revisions`))).status,
    ).toBe(404);

    const changes = [{ ...at(entry), content: left.content }];
    await imke.post('/api/entries/changed').send({ changes, reason: '' }).expect(200);
    const back = await imke.post(`/api/wastebasket/${deletion}/restored`).send({ entries: null }).expect(200);
    expect(back.body).toEqual({ entries: 1, lostCues: [] });
    expect((await imke.get(`/api/entries/${left.id}`)).body).not.toHaveProperty('merged');
    expect(((await anouk.get('/api/notes')).body as Note[]).find(({ id }) => id === note.id)).toMatchObject({
      entry: gone.id,
    });
  });

  test('all or nothing: by keepers alone, of what stands now, never one within the other', async () => {
    const [a, b] = [await kept(imke, 'ward', 'A', 'Aa.'), await kept(imke, 'ward', 'B', 'Bb.')];
    expect(problem(await merge(desta, a, a.content, [b])).code).toBe('not-allowed');
    expect(problem(await merge(await server.as('ruan'), a, a.content, [b])).code).toBe('not-found');
    expect(problem(await merge(imke, a, a.content, [{ ...b, revision: 2 }])).code).toBe('moved-on');
    expect(problem(await merge(imke, { ...a, revision: 7 }, a.content, [b])).code).toBe('moved-on');
    expect(problem(await merge(imke, a, a.content, [a])).code).toBe('not-valid');
    expect((await imke.get(`/api/entries/${b.id}`)).body).toMatchObject({ revision: 1 });
  });
});

describe('somebody’s details in shared wording', () => {
  const found = async (who: Caller, title: string) =>
    (await longAnswer<PersonalInBank>(who, 'personal')).entries
      .filter(({ entry }) => entry.content.title === title)
      .flatMap(({ places }) => places.map(({ kind, words }) => `${kind}: ${words}`));

  test('are names one knows, and what looks like a detail; until they are allowed, with a reason, and again when that is taken back', async () => {
    const { id } = await kept(imke, 'ward', 'Rota', 'Ask Odile, then ring 01632 960 150 about Bramble.');
    await kept(imke, 'own-imke', 'Rota of mine', 'Ask Odile.');
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
    await kept(imke, 'ward', 'Brownling weighed', 'The brownling and a BROWNLING.');
    await kept(imke, 'own-imke', 'Mine', 'No brownling.');
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

describe('words of the house', () => {
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
    await kept(imke, 'ward', 'Peaky at night', 'A peaky owl.');
    await kept(imke, 'own-imke', 'Mine', 'So peaky.');
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
    await imke.delete(`/api/house-words/${id}`).expect(204);
    expect(problem(await imke.delete(`/api/house-words/${id}`)).code).toBe('not-found');
    expect((await desta.get('/api/house-words').expect(200)).body).toEqual({ words: [], mayChange: true });
  });
});

describe('what grows old', () => {
  test('is told until it has a day of review, which one of its keepers has', async () => {
    const { id } = await kept(imke, 'ward', 'Visits', 'A visit is £4.50; see https://hollin');
    await kept(imke, 'own-imke', 'Mine', 'A visit is £5.');
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

describe('what is changed after placing', () => {
  /** A draft of a case in which an entry was placed, and some of its words dropped by hand. */
  const placeIn = async (who: Caller, of: string, { id, revision, content }: Entry, dropped: string) => {
    const needs = { record: emptyRecord(), today: '2026-11-26', cue: null };
    const { passage, placement } = place({ ...needs, entry: { id, revision, content }, id: `p-${of}` });
    const changed = mapLines(passage, (line) =>
      line.map((one) => (one.type === 'text' ? { ...one, text: one.text.replace(dropped, '') } : one)),
    );
    const draft = (await who.post(`/api/cases/${of}/drafts`)).body as Draft;
    await who
      .put(`/api/drafts/${draft.id}`)
      .set('If-Match', `"${draft.version}"`)
      .send({ document: { ...changed, attrs: { placements: { [`p-${of}`]: placement } } } })
      .expect(200);
  };

  test('is told where it was done in several of the cases one was given', async () => {
    const entry = await kept(imke, 'ward', 'Rinsed', 'Rinse the wound. Ring us at night. Thank you.');
    const cases = ((await imke.get('/api/cases').expect(200)).body as { id: string }[]).map(({ id }) => id);
    const told = async (who: Caller) => {
      const { entries } = await longAnswer<RewordedInDrafts>(who, 'reworded');
      return entries.map(({ entry: one, changes, placed }) => ({
        title: one.content.title,
        changes,
        placed,
      }));
    };
    await placeIn(imke, cases[0]!, entry, ' Ring us at night.');
    expect(await told(imke)).toEqual([]);
    await placeIn(imke, cases[1]!, entry, ' Ring us at night.');
    const change = { line: 0, from: 17, to: 35, put: '', times: 2 };
    expect(await told(imke)).toEqual([{ title: 'Rinsed', changes: [change], placed: 2 }]);
    expect(await told(desta)).toEqual([]);
    // Once it reads otherwise, what was placed before says nothing of it.
    const content = wording('Rinsed', 'Rinse the wound. Thank you.');
    await imke
      .put(`/api/entries/${entry.id}`)
      .set('If-Match', '"1"')
      .send({
        content: { ...content, wordings: [{ ...content.wordings[0]!, id: entry.content.wordings[0]!.id }] },
        reason: '',
      })
      .expect(200);
    expect(await told(imke)).toEqual([]);
  });
});

describe('what is typed again and again', () => {
  const write = async (who: Caller, of: string, text: string) => {
    const draft = (await who.post(`/api/cases/${of}/drafts`)).body as Draft;
    const content = [{ type: 'paragraph', content: [{ type: 'text', text }] }];
    await who
      .put(`/api/drafts/${draft.id}`)
      .set('If-Match', `"${draft.version}"`)
      .send({ document: { type: 'doc', attrs: { placements: {} }, content } })
      .expect(200);
  };
  const told = async (who: Caller) =>
    (await longAnswer<TypedAgain>(who, 'typed-again')).phrases.map(({ pieces, times, key }) => ({
      text: pieces.map((piece) => ('text' in piece ? piece.text : `[${piece.differs.join('|')}]`)).join(''),
      times,
      key,
    }));

  test('in the drafts of the cases one was given, not of others; not what is banked, nor what is not wanted', async () => {
    const cases = ((await imke.get('/api/cases').expect(200)).body as { id: string }[]).map(({ id }) => id);
    await write(imke, cases[0]!, 'The tide gate was left open overnight. We shut it.');
    await write(imke, cases[1]!, 'Seen that the tide gate was left open overnight again.');
    const [phrase, ...others] = await told(imke);
    expect(others).toEqual([]);
    expect(phrase!.text.toLowerCase()).toBe('the tide gate was left open overnight');
    expect(phrase!.times).toBe(2);
    expect(await told(desta)).toEqual([]);
    const ignore = (ignored: boolean) => imke.post('/api/order/ignored').send({ key: phrase!.key, ignored });
    await ignore(true).expect(204);
    expect(await told(imke)).toEqual([]);
    await ignore(false).expect(204);
    expect(await told(imke)).toHaveLength(1);
    await kept(imke, 'ward', 'Gate', 'The tide gate was left open overnight.');
    expect(await told(imke)).toEqual([]);
  });
});
