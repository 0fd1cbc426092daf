import { afterEach, expect, test } from '@jest/globals';
import type { Collection, Entry } from '#contracts';
import { newEntry, type EntryContent } from '#core/entry';
import { TermFinder } from '#core/terms';
import { ApiProblem } from '../api/client';
import type { BankIndex } from '../bank/bankIndex';
import { ACTS } from '../bank/many/useMany';
import { answering, refusal } from '../testing/answering';
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
const NONE = { status: 204, json: null };

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

test('a term: what one keeps is changed in one act, the rest proposed; the undo takes both back', async () => {
  const sent = server({
    'POST /api/entries/changed': { json: [] },
    'POST /api/entries/lesson/proposals': { status: 201, json: { id: 'p1' } },
    'DELETE /api/proposals/p1': NONE,
  });
  const { said, undo } = await changeTerm([found(kept), found(theirs)], collections, 'Pens are runs');
  expect(said).toBe('One entry changed. One change proposed.');
  const [change, proposal] = sent as { to: string; body: never }[];
  const { changes } = change!.body as {
    changes: { entry: string; revision: number; content: EntryContent }[];
  };
  expect(changes.map(({ entry: id, revision, content }) => [id, revision, linesOf(content)])).toEqual([
    ['round', 3, ['Run 4 is dry.', 'The run was cleaned.']],
  ]);
  expect(proposal!.body).toMatchObject({ base: 7, reason: 'Pens are runs' });

  sent.length = 0;
  await undo();
  expect(sent.map(({ to }) => to)).toEqual(['POST /api/entries/changed', 'DELETE /api/proposals/p1']);
  expect(sent[0]!.body).toMatchObject({ changes: [{ entry: 'round', revision: 4, content: kept.content }] });
});

test('a term: where nothing at all was changed it fails; where something was, what was not is told', async () => {
  const refused = refusal('not-allowed', 'You may not propose here.');
  server({ 'POST /api/entries/lesson/proposals': refused, 'POST /api/entries/changed': { json: [] } });
  await expect(changeTerm([found(theirs)], collections, 'x')).rejects.toThrow('You may not propose here.');
  const { said } = await changeTerm([found(kept), found(theirs)], collections, 'x');
  expect(said).toBe('One entry changed. 1 could not be proposed: look again.');
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

test('a piece is made, put into all that had the words, and taken out and away again', async () => {
  const sent = server({
    'POST /api/entries/changed': { json: [] },
    'POST /api/entries/deleted': { status: 201, json: { id: 'd1' } },
    'POST /api/entries': { status: 201, json: entry('thanks', ['Thank you for ringing us.']) },
  });
  const { undo } = await makePiece(end);
  const { changes } = sent[1]!.body as { changes: { content: EntryContent }[] };
  expect(changes.map(({ content }) => linesOf(content))).toEqual([
    ['[include]', 'Owls sleep by day.'],
    ['[include]', 'Foxes dig.'],
  ]);
  sent.length = 0;
  await undo();
  expect(sent.map(({ to }) => to)).toEqual(['POST /api/entries/changed', 'POST /api/entries/deleted']);
  expect(sent[1]!.body).toEqual({ entries: ['thanks'] });
});

test('a piece that cannot be put in is not left behind; one that was there before is never dropped', async () => {
  const answers = {
    'POST /api/entries/changed': refusal('moved-on', 'Somebody saved one of them.'),
    'POST /api/entries/deleted': { status: 201, json: { id: 'd1' } },
    'POST /api/entries': { status: 201, json: entry('thanks', ['Thank you for ringing us.']) },
  };
  let sent = server(answers);
  await expect(makePiece(end)).rejects.toBeInstanceOf(ApiProblem);
  expect(sent.at(-1)).toEqual({ to: 'POST /api/entries/deleted', body: { entries: ['thanks'] } });
  restore();
  sent = server(answers);
  await expect(makePiece({ ...end, piece: entry('known', ['Thank you.']) })).rejects.toThrow(
    'Somebody saved',
  );
  expect(sent.map(({ to }) => to)).toEqual(['POST /api/entries/changed']);
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
    'POST /api/entries/changed': { json: [] },
    'POST /api/wastebasket/d1/restored': { json: { restored: 4 } },
  });
  const { undo } = await mergeAlike(index, into, others);
  const { into: made } = sent[0]!.body as { into: { content: EntryContent; revision: number } };
  expect(made.revision).toBe(3);
  expect(made.content.cues.map(({ text }) => text)).toEqual(['a', 'gone', 'far', 'free']);
  // The cues must be free before those come back that had them.
  sent.length = 0;
  await undo();
  expect(sent.map(({ to }) => to)).toEqual([
    'POST /api/entries/changed',
    'POST /api/wastebasket/d1/restored',
  ]);
  expect(sent[0]!.body).toMatchObject({ changes: [{ entry: 'into', revision: 4, content: into.content }] });
});

test('many at once: moved back to where each came from; what is so already is not saved again', async () => {
  const sent = server({ 'POST /api/entries/moved': { json: [] }, 'POST /api/entries/changed': { json: [] } });
  const some = [kept, theirs, entry('third', ['x'], { collection: 'archive' })];
  const { undo } = await ACTS.move(some, 'archive', 'Archive');
  sent.length = 0;
  await undo();
  expect(sent.map(({ body }) => body)).toEqual([
    { entries: ['round'], to: 'ward' },
    { entries: ['lesson'], to: 'school' },
  ]);
  sent.length = 0;
  const retired = cued('old', 'x', {}, { retired: true });
  await (await ACTS.retire([retired])).undo();
  expect(sent).toEqual([]);
  await ACTS.retire([retired, kept]);
  expect(sent[0]!.body).toMatchObject({ changes: [{ entry: 'round', content: { retired: true } }] });
  expect((sent[0]!.body as { changes: unknown[] }).changes).toHaveLength(1);
});
