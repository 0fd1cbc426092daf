import { afterEach, expect, test } from '@jest/globals';
import type { Collection, Entry, Step, Stepped } from '#contracts';
import { newEntry, type EntryContent } from '#core/entry';
import { TermFinder } from '#core/terms';
import { ApiProblem } from '#client/api';
import type { BankIndex } from '#core/bank';
import { MANY_ACTS } from './manyActs';
import { answering, refusal, type Sent } from '../testing/answering';
import { changeTerm, placeKey, takenPlaces } from './changeTerm';
import { makePiece, type End } from './makePiece';
import { cuesTaken, mergeAlike } from './mergeAlike';

let restore = () => {};
afterEach(() => restore());
/** A server that answers each kind of request with the same thing. */
function server(answers: Record<string, ReturnType<typeof refusal>>) {
  const stood = answering((to) => {
    const found = Object.entries(answers).find(([asked]) => to.startsWith(asked));
    if (!found) throw new Error(`Nobody was to ask for ${to}`);
    return found[1];
  });
  restore = stood.restore;
  return stood.sent;
}
const came = (what: Partial<Stepped>) => ({ json: { entries: [], deletions: [], proposals: [], ...what } });
const stepsOf = (one: Sent | undefined) => (one!.body as { steps: Step[] }).steps;

const passage = (...lines: string[]) => ({
  type: 'doc' as const,
  content: lines.map((text) => ({ type: 'paragraph' as const, content: [{ type: 'text' as const, text }] })),
});
const entry = (id: string, lines: string[], more: Partial<Entry> = {}, over: Partial<EntryContent> = {}) => ({
  id,
  collection: 'ward',
  revision: 3,
  content: { ...newEntry(id, 'en-GB', passage(...lines)), ...over },
  savedAt: '2026-11-01T08:00:00.000Z',
  savedBy: 'odile',
  reason: '',
  varies: null,
  ...more,
});
const collections = new Map(
  (['keep', 'contribute', 'use'] as const).map((right, at) => [
    ['ward', 'school', 'archive'][at]!,
    { id: ['ward', 'school', 'archive'][at]!, right, leadIn: ',' } as unknown as Collection,
  ]),
);
const linesOf = (content: EntryContent) =>
  content.wordings[0]!.parts[0]!.passage.content.map((block) =>
    'content' in block
      ? block.content?.map((one) => ('text' in one ? one.text : `[${one.type}]`)).join('')
      : block.type,
  );

const pens = new TermFinder([{ from: 'pen', to: 'run' }]);
const found = (one: Entry) => ({ entry: one, places: pens.inEntry(one.content) });
const kept = entry('round', ['Pen 4 is dry.', 'The pen was cleaned.']);
const theirs = entry('lesson', ['Draw the pen.'], { collection: 'school', revision: 7 });

test('a place that is left is not changed, and an entry of which none is taken stays as it is', () => {
  const left = new Set([placeKey('round', 0), placeKey('lesson', 0)]);
  const taken = takenPlaces([found(kept), found(theirs)], left);
  expect(taken.map((one) => [one.entry.id, one.places.map(({ words }) => words)])).toEqual([
    ['round', ['pen']],
  ]);
});

test('a term: what one keeps is changed and the rest proposed in one act; the undo takes both back in one', async () => {
  const sent = server({ 'POST /api/entries/steps': came({ proposals: ['p1'] }) });
  const { said, undo } = await changeTerm([found(kept), found(theirs)], collections, 'Pens are runs');
  expect(said).toBe('One entry changed. One change proposed.');
  expect(sent).toHaveLength(1);
  const [change, proposal] = stepsOf(sent[0]);
  if (change?.do !== 'change') throw new Error('It changes nothing.');
  expect(change.changes.map(({ entry: id, revision, content }) => [id, revision, linesOf(content)])).toEqual([
    ['round', 3, ['Run 4 is dry.', 'The run was cleaned.']],
  ]);
  expect(proposal).toMatchObject({ do: 'propose', entry: 'lesson', base: 7, reason: 'Pens are runs' });
  expect(undo).toEqual([
    {
      do: 'revert',
      entries: [{ entry: 'round', revision: 4, to: 3 }],
      reason: 'Taken back: Pens are runs',
    },
    { do: 'withdraw', proposal: 'p1' },
  ]);
});

test('a term: refused in one place, it is changed in none', async () => {
  const sent = server({
    'POST /api/entries/steps': refusal('not-allowed', 'You may not propose here.'),
  });
  await expect(changeTerm([found(kept), found(theirs)], collections, 'x')).rejects.toThrow(
    'You may not propose here.',
  );
  expect(sent).toHaveLength(1);
});

const opening = passage('Thank you for ringing us.').content;
const thanks = [
  entry('owl', ['Thank you for ringing us.', 'Owls sleep by day.']),
  entry('fox', ['Thank you for ringing us.', 'Foxes dig.']),
];
const end: End = {
  kind: 'opening',
  collection: 'ward',
  language: 'en-GB',
  passage: { type: 'doc', content: opening },
  fields: [],
  at: thanks.map((one) => {
    const [wording] = one.content.wordings;
    return { entry: one, wording: wording!.id, part: wording!.parts[0]!.id };
  }),
  piece: null,
};

test('a piece is made and put into all that had the words, in one act; the undo takes it out and away', async () => {
  const piece = entry('thanks', ['Thank you for ringing us.']);
  const sent = server({ 'POST /api/entries/steps': came({ entries: [piece, ...thanks] }) });
  const { undo } = await makePiece(end, () => undefined);
  const [make, change] = stepsOf(sent[0]);
  expect(make).toMatchObject({ do: 'make', collection: 'ward' });
  if (make?.do !== 'make' || change?.do !== 'change') throw new Error('It makes no piece.');
  expect(change.changes.map(({ content }) => linesOf(content))).toEqual([
    ['[include]', 'Owls sleep by day.'],
    ['[include]', 'Foxes dig.'],
  ]);
  // Within the others it goes by the name it is made by.
  expect(JSON.stringify(change.changes)).toContain(`"entry":"${make.name}"`);
  expect(undo.map((step) => step.do)).toEqual(['revert', 'delete']);
  expect(undo[1]).toEqual({ do: 'delete', entries: ['thanks'] });
});

test('a piece that was there before is put in, and never made or dropped', async () => {
  const known = entry('known', ['Thank you.']);
  const sent = server({ 'POST /api/entries/steps': came({ entries: thanks }) });
  const { undo } = await makePiece({ ...end, piece: known }, () => undefined);
  expect(stepsOf(sent[0]).map((step) => step.do)).toEqual(['change']);
  expect(JSON.stringify(sent[0]!.body)).toContain('"entry":"known"');
  expect(undo.map((step) => step.do)).toEqual(['revert']);
  restore();
  server({ 'POST /api/entries/steps': refusal('moved-on', 'Somebody saved one of them.') });
  await expect(makePiece(end, () => undefined)).rejects.toBeInstanceOf(ApiProblem);
});

const cued = (id: string, cue: string, more: Partial<Entry> = {}, over: Partial<EntryContent> = {}) =>
  entry(id, ['Words.'], more, { cues: [{ text: cue }], ...over });

test('of merged entries a cue stays away only where another entry beside them fires by it', async () => {
  const into = cued('into', 'a');
  const others = [cued('one', 'Wt'), cued('two', 'gone'), cued('three', 'far'), cued('four', 'free')];
  const bank = [
    into,
    ...others,
    cued('heavy', 'wt'),
    cued('old', 'gone', {}, { retired: true }),
    cued('away', 'far', { collection: 'school' }),
  ];
  const index = { bank: { entries: bank }, collections } as unknown as BankIndex;
  expect(cuesTaken(index, into, others)).toEqual(['Wt']);

  const sent = server({
    'POST /api/entries/merged': { json: { entry: { ...into, revision: 4 }, deletion: 'd1' } },
  });
  const { undo } = await mergeAlike(index, into, others);
  const { into: made } = sent[0]!.body as { into: { content: EntryContent; revision: number } };
  expect(made.revision).toBe(3);
  expect(made.content.cues.map(({ text }) => text)).toEqual(['a', 'gone', 'far', 'free']);
  // The cues must be free before those come back that had them.
  expect(undo).toMatchObject([
    { do: 'revert', entries: [{ entry: 'into', revision: 4, to: 3 }] },
    { do: 'restore', deletion: 'd1' },
  ]);
});

test('many at once: moved back to where each came from; what is so already is not saved again', async () => {
  const sent = server({ 'POST /api/entries/steps': came({}) });
  const some = [kept, theirs, entry('third', ['x'], { collection: 'archive' })];
  const { undo } = await MANY_ACTS.move(some, 'archive', 'Archive');
  expect(undo).toEqual([
    { do: 'move', entries: ['round'], to: 'ward' },
    { do: 'move', entries: ['lesson'], to: 'school' },
  ]);
  sent.length = 0;
  const retired = cued('old', 'x', {}, { retired: true });
  expect((await MANY_ACTS.retire([retired])).undo).toEqual([]);
  expect(sent).toEqual([]);
  await MANY_ACTS.retire([retired, kept]);
  const [change] = stepsOf(sent[0]);
  if (change?.do !== 'change') throw new Error('It changes nothing.');
  expect(change.changes.map(({ entry: id, content }) => [id, content.retired])).toEqual([['round', true]]);
});
