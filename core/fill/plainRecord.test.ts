import { expect, test } from '@jest/globals';
import type { Field } from '#core/entry';
import type { BlankForm } from '#core/passage';
import { emptyRecord, type Value } from '#core/record';
import { askedBy, plainRecord } from './plainRecord';

const field: Field = {
  ...{ id: 'f', name: 'f', question: '', hint: '', required: true },
  ...{ kind: 'detail', path: 'found' },
};

const recordOf = (value: Value) => ({
  ...emptyRecord(),
  details: [{ path: 'found', value, source: 'Case', asOf: '2026-11-14' }],
});

const read = (value: Value, form: BlankForm = 'as-is', language = 'en-GB') =>
  plainRecord(recordOf(value), language).wordsFor(askedBy(field, form)!);

test.each<[string, Value, BlankForm, string]>([
  ['words', { kind: 'text', text: 'Marsh Lane' }, 'as-is', 'Marsh Lane'],
  ['a day', { kind: 'date', date: '2026-11-14' }, 'iso', '2026-11-14'],
  ['an amount', { kind: 'quantity', value: 412, unit: 'g' }, 'no-unit', '412'],
  [
    'an amount with its day',
    { kind: 'quantity', value: 412, unit: 'g' },
    'dated',
    '412 g (14 November 2026)',
  ],
])('%s is written as the blank wants it', (_what, value, form, words) => {
  expect(read(value, form)?.words).toBe(words);
});

test('where they stand says whether words are plain', () => {
  expect(read({ kind: 'text', text: 'hedgehog' })).toMatchObject({
    isPlainWithin: true,
    isPlainBeginning: false,
  });
  expect(read({ kind: 'text', text: 'calm.' })).toMatchObject({ isPlainWithin: false });
  expect(read({ kind: 'list', items: ['ticks', 'fleas'] }, 'lines')).toMatchObject({ isPlainWithin: false });
});

test('one record serves each form and language by itself, and what is written once is kept', () => {
  const record = recordOf({ kind: 'date', date: '2026-11-14' });
  const asked = askedBy(field, 'as-is')!;
  const english = plainRecord(record, 'en-GB').wordsFor(asked);
  expect(english?.words).toBe('14 November 2026');
  expect(plainRecord(record, 'de').wordsFor(asked)?.words).toBe('14. November 2026');
  expect(plainRecord(record, 'en-GB').wordsFor(askedBy(field, 'iso')!)?.words).toBe('2026-11-14');
  expect(plainRecord(record, 'en-GB').wordsFor(asked)).toBe(english);
});

test('what is not stored, and forms that change any words, are for others', () => {
  expect(plainRecord(emptyRecord(), 'en-GB').wordsFor(askedBy(field, 'as-is')!)).toBeNull();
  for (const form of ['upper', 'capital', 'article', 'silent'] as const)
    expect(askedBy(field, form)).toBeNull();
  expect(askedBy({ ...field, kind: 'text', starting: '' }, 'as-is')).toBeNull();
});
