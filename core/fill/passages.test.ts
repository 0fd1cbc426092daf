import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Answer, Answers, DraftDocument } from '#core/draft';
import { newEntry, type Condition, type EntryContent, type Field } from '#core/entry';
import { plainText, type Block, type Inline, type Mark, type Passage } from '#core/passage';
import { emptyRecord } from '#core/record';
import { finishedPassage, fillWording, gapsOf, place, refillPassage } from '.';

const shared = (id: string, required = true) => ({ id, name: id, question: '', hint: '', required });
const OPTIONS = ['good', 'poor', 'none'];
const fields: Field[] = [
  {
    ...shared('appetite'),
    kind: 'choice',
    many: false,
    join: 'and',
    options: OPTIONS.map((id) => ({ id, label: id, words: null })),
  },
  {
    ...shared('signs'),
    kind: 'choice',
    many: true,
    join: 'and',
    options: [
      { id: 'ticks', label: 'ticks', words: '{count} ticks' },
      { id: 'fleas', label: 'fleas', words: null },
    ],
  },
  { ...shared('count'), kind: 'number', unit: '', min: null, max: null, decimals: null },
  { ...shared('days'), kind: 'number', unit: 'day|days', min: null, max: null, decimals: null },
  { ...shared('fed'), kind: 'yes-no', yes: 'It was fed.', no: '' },
  { ...shared('note', false), kind: 'text', starting: '' },
  {
    ...shared('check'),
    kind: 'computed',
    calculation: { by: 'moved', from: 'today', count: { field: 'days' }, step: 'days' },
    unit: '',
    decimals: null,
  },
];

const CONDITIONS: Record<string, Condition> = {
  poor: { test: 'is', field: 'appetite', value: 'poor' },
  eats: { test: 'is-not', field: 'appetite', value: 'none' },
  long: { test: 'over', field: 'days', value: 14 },
  noted: { test: 'answered', field: 'note' },
  both: {
    test: 'all',
    of: [
      { test: 'is', field: 'appetite', value: 'poor' },
      { test: 'over', field: 'days', value: 14 },
    ],
  },
  late: { test: 'over', field: 'check', value: '2026-03-20' },
};

const blank = (field: string, marks?: Mark[]): Inline => ({
  type: 'blank',
  attrs: { field, form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
  ...(marks ? { marks } : {}),
});

/** A line written as "Words [field] <poor: words [note]> words"; optional passages may stand in each other. */
function line(source: string): Inline[] {
  const open: Mark[] = [];
  return source.split(/(\[\w+\]|<\w+:|>)/).flatMap((piece): Inline[] => {
    if (piece === '>') open.pop();
    const [, condition] = /^<(\w+):$/.exec(piece) ?? [];
    if (condition) open.push({ type: 'when', attrs: { condition, placement: null } });
    if (piece === '' || piece === '>' || condition) return [];
    const marks = open.length > 0 ? [...open] : undefined;
    const [, field] = /^\[(\w+)\]$/.exec(piece) ?? [];
    return [field ? blank(field, marks) : { type: 'text', text: piece, ...(marks ? { marks } : {}) }];
  });
}

const passage = (...lines: string[]): Passage => ({
  type: 'doc',
  content: lines.map((one): Block => ({ type: 'paragraph', content: line(one) })),
});

const entry = (...lines: string[]): EntryContent => ({
  ...newEntry('Try', 'en-GB', passage(...lines)),
  fields,
  conditions: Object.entries(CONDITIONS).map(([id, when]) => ({ id, when })),
});

const request = (content: EntryContent, answers: Answers = {}) => ({
  entry: { id: 'e', revision: 1, content },
  record: emptyRecord(),
  today: '2026-03-04',
  answers,
});

const chosen = (...options: string[]): Answer => ({ kind: 'chosen', options });
const number = (value: number): Answer => ({ kind: 'number', value });
const yesNo = (yes: boolean): Answer => ({ kind: 'yes-no', yes });

const read = (content: EntryContent, answers: Answers) =>
  plainText(finishedPassage(place({ ...request(content, answers), id: 'p', cue: null }).passage));

describe('optional passages', () => {
  test.each<[string, Answers, string]>([
    ['It ate [appetite]<poor:, but little>.', { appetite: chosen('poor') }, 'It ate poor, but little.'],
    ['It ate [appetite]<poor:, but little>.', { appetite: chosen('good') }, 'It ate good.'],
    ['<poor:It ate little. >It slept.', { appetite: chosen('good') }, 'It slept.'],
    ['It slept <poor:badly>, then woke.', { appetite: chosen('none') }, 'It slept, then woke.'],
    [
      'It slept <poor:badly> and <long:late> .',
      { appetite: chosen('good'), days: number(3) },
      'It slept and.',
    ],
    ['A <poor:b> <long:c>, d', { appetite: chosen('good'), days: number(3) }, 'A, d'],
    ['A <poor:b <long:c> d> e', { appetite: chosen('poor'), days: number(3) }, 'A b d e'],
    ['A <poor:b <long:c> d> e', { appetite: chosen('poor'), days: number(30) }, 'A b c d e'],
    ['A <poor:b <long:c> d> e', { appetite: chosen('good'), days: number(30) }, 'A e'],
    ['<both:Both.> End.', { appetite: chosen('poor'), days: number(15) }, 'Both. End.'],
    ['<both:Both.> End.', { appetite: chosen('poor'), days: number(14) }, 'End.'],
    ['<eats:It eats.>', {}, ''],
    ['Stays [days].', { days: number(1) }, 'Stays 1 day.'],
    ['Stays [days].', { days: number(2) }, 'Stays 2 days.'],
    ['Seen: [signs].', { signs: chosen('ticks', 'fleas'), count: number(3) }, 'Seen: 3 ticks and fleas.'],
    ['Seen: [signs].', { signs: chosen('ticks', 'fleas') }, 'Seen: … ticks and fleas.'],
    ['[fed] It slept.', { fed: yesNo(true) }, 'It was fed. It slept.'],
    ['[fed] It slept.', { fed: yesNo(false) }, 'It slept.'],
    ['Check on [check].', { days: number(30) }, 'Check on 3 April 2026.'],
    ['Check<late: late>, [check].', { days: number(30) }, 'Check late, 3 April 2026.'],
    ['Note<noted:: [note]>.', { note: { kind: 'text', text: 'calm' } }, 'Note: calm.'],
    ['Note<noted:: [note]>.', {}, 'Note.'],
  ])('%s with %j reads “%s”', (source, answers, expected) => {
    expect(read(entry(source), answers)).toBe(expected);
  });

  test('a paragraph of which all is left out goes', () => {
    const content = entry('One.', '<poor:Two.>', 'Three.');
    expect(read(content, { appetite: chosen('good') })).toBe('One.\n\nThree.');
    expect(read(content, { appetite: chosen('poor') })).toBe('One.\n\nTwo.\n\nThree.');
  });

  test('what was changed by hand in an optional passage comes back with it', () => {
    const placed = place({ ...request(entry('A [appetite]<poor: little>.')), id: 'p', cue: null });
    const answered = (passageNow: Passage, option: string) =>
      refillPassage(passageNow, {
        p: { ...placed.placement, answers: { appetite: chosen(option) } },
      });
    const shown = answered(placed.passage, 'poor');
    const edited: Passage = JSON.parse(JSON.stringify(shown).replace(' little', ' very little')) as Passage;
    const away = answered(edited, 'good');
    expect(plainText(away)).toBe('A good.');
    expect(plainText(answered(away, 'poor'))).toBe('A poor very little.');
  });
});

describe('questions', () => {
  const gaps = (content: EntryContent, answers: Answers) => {
    const { passage: placed, placement } = place({ ...request(content, answers), id: 'p', cue: null });
    const draft: DraftDocument = { ...placed, attrs: { placements: { p: placement } } };
    return gapsOf(draft).map(({ name }) => name);
  };

  test.each<[string, Answers, string[]]>([
    ['Slept<poor: badly>.', {}, ['appetite']],
    ['<both:Both.>', {}, ['appetite', 'days']],
    ['Check [check].', {}, ['days', 'check']],
    ['Check [check].', { days: number(3) }, []],
    ['Seen [signs].', {}, ['signs']],
    ['Seen [signs].', { signs: chosen('ticks') }, ['count']],
    ['Seen [signs].', { signs: chosen('fleas') }, []],
    ['<poor:<long:Long.>>', { appetite: chosen('good') }, []],
    ['<poor:<long:Long.>>', { appetite: chosen('poor') }, ['days']],
  ])('%s with %j asks %j', (source, answers, expected) => {
    expect(gaps(entry(source), answers)).toEqual(expected);
  });
});

const pieces = fc.constantFrom(
  'Words',
  ' ',
  ' and',
  '.',
  ', ',
  '[appetite]',
  '[days]',
  '[signs]',
  '[fed]',
  '[note]',
  '[check]',
  '<poor:',
  '<long:',
  '<noted:',
  '>',
  ' more ',
  'end',
);
const source = fc.array(pieces, { minLength: 1, maxLength: 18 }).map((some) => {
  let depth = 0;
  const kept = some.filter((piece) => {
    if (piece === '>') return depth > 0 && depth-- > 0;
    if (piece.startsWith('<')) depth += 1;
    return true;
  });
  return kept.join('') + '>'.repeat(depth);
});
const steps = fc.array(
  fc.oneof(
    fc.record({
      field: fc.constant('appetite'),
      answer: fc.constantFrom(...OPTIONS.map((id) => chosen(id)), null),
    }),
    fc.record({ field: fc.constant('days'), answer: fc.constantFrom(number(1), number(20), null) }),
    fc.record({
      field: fc.constant('signs'),
      answer: fc.constantFrom(chosen('ticks'), chosen('fleas', 'ticks'), null),
    }),
    fc.record({ field: fc.constant('count'), answer: fc.constantFrom(number(4), null) }),
    fc.record({ field: fc.constant('fed'), answer: fc.constantFrom(yesNo(true), yesNo(false), null) }),
    fc.record({
      field: fc.constant('note'),
      answer: fc.constantFrom<Answer | null>({ kind: 'text', text: 'calm.' }, null),
    }),
  ),
  { maxLength: 8 },
);

const settle = (given: { field: string; answer: Answer | null }[]): Answers =>
  given.reduce<Answers>((answers, { field, answer }) => {
    const { [field]: _, ...others } = answers;
    return answer ? { ...others, [field]: answer } : others;
  }, {});

describe('filling in any order', () => {
  test('no order of answering changes the result, nor does changing one’s mind', () => {
    fc.assert(
      fc.property(source, steps, (text, given) => {
        const content = entry(text);
        const placed = place({ ...request(content), id: 'p', cue: null });
        let now = placed.passage;
        given.forEach((_, at) => {
          const answers = settle(given.slice(0, at + 1));
          now = refillPassage(now, { p: { ...placed.placement, answers } });
        });
        const atOnce = place({ ...request(content, settle(given)), id: 'p', cue: null });
        expect(plainText(now, '_')).toBe(plainText(atOnce.passage, '_'));
        expect(refillPassage(now, { p: { ...placed.placement, answers: settle(given) } })).toBe(now);
      }),
      {
        numRuns: 500,
        // An optional passage of nothing but a space, behind the silent blank that asks for its condition.
        examples: [
          [
            '<long: >Words',
            [
              { field: 'days', answer: number(20) },
              { field: 'days', answer: null },
            ],
          ],
        ],
      },
    );
  });

  test('filling at once reads as placing and finishing does', () => {
    fc.assert(
      fc.property(fc.array(source, { minLength: 1, maxLength: 3 }), steps, (lines, given) => {
        const content = entry(...lines);
        const answers = settle(given);
        const placed = place({ ...request(content, answers), id: 'p', cue: null });
        expect(fillWording(request(content, answers))).toEqual(finishedPassage(placed.passage));
      }),
      {
        numRuns: 500,
        // Two runs of one optional passage beside each other, the first of them nothing but a space.
        examples: [
          [['<poor: <poor:>Words>'], [{ field: 'appetite', answer: { kind: 'chosen', options: ['poor'] } }]],
        ],
      },
    );
  });
});
