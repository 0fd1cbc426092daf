import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Draft, Entry, RewordedInDrafts, TypedAgain } from '#contracts';
import { place } from '#core/fill';
import { mapLines } from '#core/passage';
import { emptyRecord } from '#core/record';
import { keptEntry, wording } from '../testing/entryCalls';
import { longAnswer } from '../testing/longAnswer';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let imke: Caller;
let desta: Caller;
beforeAll(async () => {
  server = await startTestServer();
  [imke, desta] = await Promise.all([server.as('imke'), server.as('desta')]);
});
afterAll(() => server.close());

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
    const entry = await keptEntry(imke, 'ward', 'Rinsed', 'Rinse the wound. Ring us at night. Thank you.');
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
    await keptEntry(imke, 'ward', 'Gate', 'The tide gate was left open overnight.');
    expect(await told(imke)).toEqual([]);
  });
});
