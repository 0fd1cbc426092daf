import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newEntry, type EntryContent, type Field } from '#core/entry';
import { plainText, type BlankInline, type Inline, type Passage } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import type { Answers, DraftDocument } from '#core/draft';
import {
  fillWording,
  finishedPassage,
  gapsOf,
  otherwise,
  pickedIn,
  picking,
  place,
  refillPassage,
} from './index';

const TODAY = '2026-11-24';

const blank = (field: string, form: BlankInline['attrs']['form'] = 'as-is'): BlankInline => ({
  type: 'blank',
  attrs: { field, form, placement: null, text: '', state: 'gap', dropped: 'none' },
});

/** "He is [manner] thin." as inlines: brackets are blanks, optionally with a form after a colon. */
const inlines = (template: string): Inline[] =>
  template.split(/(\[[^\]]+\])/).flatMap((piece): Inline[] => {
    const found = /^\[([^:\]]+)(?::(.+))?\]$/.exec(piece);
    if (found) return [blank(found[1]!, (found[2] as 'iso' | undefined) ?? 'as-is')];
    return piece.split(/(\n)/).flatMap((words): Inline[] => {
      if (words === '\n') return [{ type: 'hardBreak' }];
      return words === '' ? [] : [{ type: 'text', text: words }];
    });
  });

const passage = (...lines: string[]): Passage => ({
  type: 'doc',
  content: lines.map((line) => ({ type: 'paragraph', content: inlines(line) })),
});

const shared = { question: '', hint: '' };
const FIELDS: Field[] = [
  { ...shared, id: 'word', name: 'Word', kind: 'text', required: true, starting: '' },
  { ...shared, id: 'maybe', name: 'Maybe', kind: 'text', required: false, starting: '' },
  {
    ...shared,
    id: 'signs',
    name: 'Signs',
    kind: 'choice',
    required: true,
    many: true,
    join: 'and',
    options: [
      { id: 'a', label: 'ticks', words: null },
      { id: 'b', label: 'fleas', words: 'a few fleas' },
      { id: 'c', label: 'ringworm', words: null },
    ],
    other: true,
    none: 'nothing on its skin',
  },
  {
    ...shared,
    id: 'steps',
    name: 'Steps',
    kind: 'choice',
    required: true,
    many: true,
    join: 'lines',
    options: [
      { id: 'a', label: 'Weigh daily', words: null },
      { id: 'b', label: 'Keep warm', words: null },
    ],
  },
  { ...shared, id: 'name', name: 'Name', kind: 'detail', required: true, path: 'name' },
  { ...shared, id: 'day', name: 'Day', kind: 'date', required: true, starting: 'none' },
  { ...shared, id: 'hour', name: 'Hour', kind: 'time', required: true },
  { ...shared, id: 'who', name: 'Who', kind: 'person', required: true },
  {
    ...shared,
    id: 'dose',
    name: 'Dose',
    kind: 'number',
    required: true,
    unit: 'ml',
    min: 1,
    max: 50,
    decimals: null,
  },
  {
    ...shared,
    id: 'share',
    name: 'Share',
    kind: 'number',
    required: true,
    unit: '%',
    min: null,
    max: null,
    decimals: 1,
  },
  {
    ...shared,
    id: 'fed',
    name: 'Fed',
    kind: 'yes-no',
    required: true,
    yes: 'It was fed',
    no: 'It refused food',
  },
  { ...shared, id: 'born', name: 'Born', kind: 'detail', required: true, path: 'born' },
];

const entry = (content: Passage): EntryContent => ({ ...newEntry('Test', 'en-GB', content), fields: FIELDS });

const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    { path: 'name', value: { kind: 'text', text: 'Bramble' }, source: 'Patient', asOf: '2026-11-20' },
    { path: 'born', value: { kind: 'date', date: '2026-09-03' }, source: 'Patient', asOf: '2026-11-20' },
  ],
};

const request = (content: Passage, answers: Answers) => ({
  entry: { id: 'e1', revision: 1, content: entry(content) },
  record,
  today: TODAY,
  answers,
});

const text = (words: string) => ({ kind: 'text', text: words }) as const;
const fill = (template: string, answers: Answers = {}) =>
  plainText(fillWording(request(passage(template), answers)));

describe('filling', () => {
  test.each([
    ['a detail comes from the record', '[name] was seen.', {}, 'Bramble was seen.'],
    ['a date in words', 'Born [born:long].', {}, 'Born 3 September 2026.'],
    ['the same date with slashes', 'Born [born:short].', {}, 'Born 03/09/2026.'],
    ['ISO and year', '[born:iso] [born:year]', {}, '2026-09-03 2026'],
    ['one choice', 'There were [signs].', { signs: { kind: 'chosen', options: ['a'] } }, 'There were ticks.'],
    [
      'several join as prose in the order of the options',
      'There were [signs].',
      { signs: { kind: 'chosen', options: ['c', 'b', 'a'] } },
      'There were ticks, a few fleas and ringworm.',
    ],
    [
      'a sentence that starts with an answer starts with a capital',
      'Seen. [word] again.',
      { word: text('calm') },
      'Seen. Calm again.',
    ],
    ['also at the start of the line', '[word] today.', { word: text('éveillé') }, 'Éveillé today.'],
    ['no doubled full stop', 'It was [word].', { word: text('calm.') }, 'It was calm.'],
    ['an ellipsis stays', 'It was [word].', { word: text('calm...') }, 'It was calm...'],
    ['a left-out answer leaves one space', 'He is [maybe] thin.', {}, 'He is thin.'],
    ['none before the full stop', 'He is thin [maybe].', {}, 'He is thin.'],
    ['none at the start', '[maybe] He is thin.', {}, 'He is thin.'],
    ['none at the end', 'He is thin. [maybe]', {}, 'He is thin.'],
    ['static doubled spaces mend', 'He  is thin .', {}, 'He is thin.'],
    ['digits are left alone', 'Gave 1,000 ml at 10.30.', {}, 'Gave 1,000 ml at 10.30.'],
    [
      'person words, as asked',
      '[who:they were] weighed; [who:their] wing. [who] eat[who:verb-s].',
      { who: { kind: 'person', person: 'they', known: false } },
      'They were weighed; their wing. They eat.',
    ],
    [
      'person words for one',
      '[who:they were] weighed. It eat[who:verb-s].',
      { who: { kind: 'person', person: 'he', known: false } },
      'He was weighed. It eats.',
    ],
    ['a number with its unit', 'Gave [dose].', { dose: { kind: 'number', value: 12.5 } }, 'Gave 12.5 ml.'],
    ['a number in words', '[dose:words] twice', { dose: { kind: 'number', value: 12 } }, 'Twelve ml twice'],
    ['a number alone', 'x [dose:no-unit] x', { dose: { kind: 'number', value: 1234 } }, 'x 1,234 x'],
    ['a share, its sign close', 'Lost [share].', { share: { kind: 'number', value: 8 } }, 'Lost 8.0%.'],
    [
      'one date in two forms',
      '[day:weekday] ([day:underscores])',
      { day: { kind: 'date', date: '2026-03-04' } },
      'Wednesday, 4 March 2026 (2026_03_04)',
    ],
    [
      'a time on either clock',
      'at [hour], [hour:clock-12]',
      { hour: { kind: 'time', time: '14:05' } },
      'at 14:05, 2.05 pm',
    ],
    ['yes', 'Seen. [fed].', { fed: { kind: 'yes-no', yes: true } }, 'Seen. It was fed.'],
    ['no', 'Seen. [fed].', { fed: { kind: 'yes-no', yes: false } }, 'Seen. It refused food.'],
    ['what could not be read stands nowhere', 'Gave [dose].', { dose: text('some') }, 'Gave .'],
    ['an article', 'x [name:article] [word:article]', { word: text('old owl') }, 'x a Bramble an old owl'],
    [
      'words of its own beside the options',
      'There were [signs].',
      { signs: { kind: 'chosen', options: ['a'], other: 'mites' } },
      'There were ticks and mites.',
    ],
    [
      'none of these',
      'There was [signs].',
      { signs: { kind: 'chosen', options: [] } },
      'There was nothing on its skin.',
    ],
    [
      'as lines',
      'To do:\n[steps]',
      { steps: { kind: 'chosen', options: ['b', 'a'] } },
      'To do:\nWeigh daily\nKeep warm',
    ],
    ['several lines of words', 'Said: [word]!', { word: text('one\ntwo') }, 'Said: one\ntwo!'],
    ['capital and upper', '[word:capital] x [word:upper]', { word: text('ab c') }, 'Ab c x AB C'],
  ] as [string, string, Answers, string][])('%s', (_name, template, answers, expected) => {
    expect(fill(template, answers)).toBe(expected);
  });

  test('a paragraph of which everything was left out goes', () => {
    const filled = fillWording(request(passage('One.', '[maybe]', 'Two.'), {}));
    expect(plainText(filled)).toBe('One.\n\nTwo.');
  });

  test('an answer of the member wins over the record', () => {
    expect(fill('[name]', { name: text('the hedgehog') })).toBe('The hedgehog');
  });

  test('gaps are named once each, in the order of the text', () => {
    const { passage: placed, placement } = place({
      ...request(passage('[signs] [word] [word] [maybe]'), {}),
      id: 'p',
      cue: null,
    });
    const draft: DraftDocument = { ...placed, attrs: { placements: { p: placement } } };
    expect(gapsOf(draft).map((gap) => gap.name)).toEqual(['Signs', 'Word']);
  });
});

describe('person words from the record', () => {
  const withSex = (sex: string): CaseRecord => ({
    ...record,
    details: [
      ...record.details,
      { path: 'sex', value: { kind: 'text', text: sex }, source: 'Patient', asOf: null },
    ],
  });
  test.each([
    ['female', 'She slept.'],
    ['Male', 'He slept.'],
    ['other', ' slept.'],
  ])('%s', (sex, expected) => {
    const asked = { ...request(passage('[who] slept.'), {}), record: withSex(sex) };
    expect(plainText(fillWording(asked))).toBe(expected);
  });
});

describe('picking', () => {
  const signs = FIELDS.find(({ id }) => id === 'signs')!;
  const one = { ...signs, many: false } as Field;
  const after = (field: Field, ...ids: string[]) =>
    ids.reduce<ReturnType<typeof picking>>((answer, id) => picking(field, answer ?? undefined, id), null);
  test.each([
    ['one after another', after(signs, 'a', 'b'), ['a', 'b']],
    ['one taken back', after(signs, 'a', 'b', 'a'), ['b']],
    ['of a choice of one the last stands', after(one, 'a', 'b'), ['b']],
    ['the same again takes it back', after(one, 'a', 'a'), []],
    ['none drives out the others', after(signs, 'a', '~none'), ['~none']],
    ['and an option drives out none', after(signs, '~none', 'b'), ['b']],
  ])('%s', (_what, answer, expected) => {
    expect(pickedIn(answer ?? undefined)).toEqual(expected);
  });

  test('own words stand beside the options of several, and instead of the one', () => {
    const picked = { kind: 'chosen' as const, options: ['a'] };
    expect(otherwise(signs, picked, 'mites')).toEqual({ ...picked, other: 'mites' });
    expect(otherwise(one, picked, 'mites')).toEqual({ kind: 'chosen', options: [], other: 'mites' });
    expect(otherwise(one, { ...picked, options: [], other: 'mites' }, ' ')).toBeNull();
  });
});

describe('filling at once', () => {
  const run = fc.constantFrom(' ', '. ', ', ', ' is ', '.', 'Yes. “No.” ', '(', ') ', ' thin', '\n', '!');
  const slot = fc.constantFrom('[word]', '[maybe]', '[signs]', '[name]', '[born:iso]', '[steps]');
  const line = fc.array(fc.oneof(run, slot), { maxLength: 9 }).map((pieces) => pieces.join(''));
  const given: fc.Arbitrary<Answers> = fc.record(
    {
      word: fc.constantFrom('calm', 'b.i.d.', 'éclair', '...', 'a\nb').map(text),
      steps: fc.subarray(['a', 'b']).map((options) => ({ kind: 'chosen' as const, options })),
      maybe: fc.constantFrom('very', 'so.', ' ').map(text),
      signs: fc.subarray(['a', 'b', 'c']).map((options) => ({ kind: 'chosen' as const, options })),
    },
    { requiredKeys: [] },
  );

  test('gives what placing and finishing gives, on random wordings and answers', () => {
    fc.assert(
      fc.property(fc.array(line, { minLength: 1, maxLength: 3 }), given, (lines, answers) => {
        const asked = request(passage(...lines), answers);
        const slowly = finishedPassage(place({ ...asked, id: 'p', cue: null }).passage);
        expect(fillWording(asked)).toEqual(slowly);
      }),
      { numRuns: 2000 },
    );
  });
});

describe('a placement stays alive', () => {
  const placed = (template: string, answers: Answers) =>
    place({ ...request(passage(template), answers), id: 'p', cue: null });
  const answer = (doc: Passage, placement: ReturnType<typeof placed>['placement'], answers: Answers) =>
    refillPassage(doc, { p: { ...placement, answers: { ...placement.answers, ...answers } } });

  test('answering and clearing any optional blank comes back to the same text', () => {
    const templates = [
      'He is [maybe] thin.',
      'Thin [maybe].',
      '[maybe] He ate.',
      'Ate [maybe], slept.',
      'A [maybe] [maybe] b',
      '([maybe]) c',
    ];
    fc.assert(
      fc.property(
        fc.constantFrom(...templates),
        fc.constantFrom('very', 'Quite so', 'b.i.d.', 'x,'),
        (template, words) => {
          const start = placed(template, {});
          const answered = answer(start.passage, start.placement, { maybe: text(words) });
          expect(answered).toEqual(placed(template, { maybe: text(words) }).passage);
          const cleared = answer(answered, start.placement, {});
          expect(plainText(finishedPassage(cleared))).toBe(plainText(finishedPassage(start.passage)));
        },
      ),
    );
  });

  test('refilling with nothing new returns the same object', () => {
    const start = placed('[name] is [maybe] thin and [word].', {});
    expect(refillPassage(start.passage, { p: start.placement })).toBe(start.passage);
  });

  test('words typed beside a left-out blank are kept and no space is doubled', () => {
    const start = placed('He is [maybe] thin.', {});
    const line = (start.passage.content[0] as { content: Inline[] }).content;
    const typed = line.map((i) =>
      i.type === 'text' && i.text === 'thin.' ? { ...i, text: ' rather thin.' } : i,
    );
    const edited: Passage = { type: 'doc', content: [{ type: 'paragraph', content: typed }] };
    const answered = answer(edited, start.placement, { maybe: text('now') });
    expect(plainText(answered)).toBe('He is now rather thin.');
  });
});
