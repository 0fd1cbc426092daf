import { expect, test } from '@jest/globals';
import type { Answers } from '#core/draft';
import { readEntry } from '#core/notation';
import { correctedRecord, emptyRecord, type CaseRecord, type Value } from '#core/record';
import { BY_HAND, followedAnswers, place } from '.';

const TODAY = '2026-11-27';
const text = (words: string): Value => ({ kind: 'text', text: words });
const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    { path: 'name', value: text('Brambel'), source: 'Patient', asOf: null },
    { path: 'sex', value: text('male'), source: 'Patient', asOf: null },
    { path: 'born', value: { kind: 'date', date: '2026-09-01' }, source: 'Patient', asOf: null },
  ],
};
const entry = readEntry(
  'title: A\nfield Name: detail name\nfield Age: detail age\nfield Ward: detail ward\nfield Who: person\nfield Said: text\n== wording Main\n{Name}, {Age}, {Ward}, {Who|they}, {Said}',
);
if (!entry.ok) throw new Error(JSON.stringify(entry.error));

const placed = (answers: Answers = {}) => {
  const request = { entry: { id: 'a', revision: 1, content: entry.value }, cue: null, id: 'p', today: TODAY };
  const { placement } = place({ ...request, record });
  return { ...placement, answers: { ...placement.answers, ...answers } };
};
const corrected = (path: string, value: Value | null) =>
  correctedRecord(record, { path, value }, { by: 'Written by Imke', on: TODAY });
const follow = (path: string, value: Value | null, answers?: Answers) =>
  followedAnswers(placed(answers), record, corrected(path, value), TODAY);

test('what rests on a corrected detail follows, with who wrote it; what does not rest on it stays', () => {
  expect(follow('name', text('Bramble'))).toEqual({
    name: { kind: 'detail', value: text('Bramble'), source: 'Written by Imke', asOf: TODAY },
  });
});

test('what is worked out of it follows, and how its sex is spoken of', () => {
  expect(follow('born', { kind: 'date', date: '2026-11-20' })).toMatchObject({
    age: { value: text('7 days') },
  });
  expect(follow('sex', text('female'))).toEqual({ who: { kind: 'person', person: 'she', known: true } });
});

test('a gap is filled by what is added, and there is a gap again for what is taken away', () => {
  expect(follow('ward', text('Two'))).toMatchObject({ ward: { value: text('Two') } });
  expect(follow('name', null)).toEqual({ name: null });
});

test('what was typed over, or chosen by hand, stays as it was typed', () => {
  const name = { kind: 'detail', value: text('Bram'), source: BY_HAND, asOf: TODAY } as const;
  expect(follow('name', text('Bramble'), { name })).toEqual({});
  const who = { kind: 'person', person: 'they', known: false } as const;
  expect(follow('sex', text('female'), { who })).toEqual({});
});

test('what a record of another day said stays: it was not that which was corrected', () => {
  const age = { kind: 'detail', value: text('10 weeks'), source: 'Patient', asOf: '2026-11-12' } as const;
  expect(follow('born', { kind: 'date', date: '2026-11-20' }, { age })).toEqual({});
});
