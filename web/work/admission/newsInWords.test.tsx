import { expect, test } from '@jest/globals';
import type { TakenCase } from '#contracts';
import { newsInWords } from './newsInWords';

const NOTHING: TakenCase = {
  case: {
    ...{ id: 'a', kind: 'admission', title: 'Ash', number: null, summary: '' },
    ...{ openedAt: '2026-11-24T10:00:00.000Z', closed: false, draft: null, unfinished: 0, finished: 0 },
  },
  ...{ isNew: false, added: {}, changed: [], details: [], kept: 0, withdrawn: 0, care: [], full: 0 },
};
const weight = (value: number) => ({
  ...{ code: 'weight', label: 'Weight', value, unit: 'g', measured: '2026-11-16' },
  ...{ minute: null, by: null, source: 'Measurement' },
});

test.each<[string, Partial<TakenCase>, string[]]>([
  ['nothing', {}, ['Nothing new: it says what the record says.']],
  [
    'what was added, by list',
    { added: { measurements: 1, medicines: 2, allergies: 3 } },
    ['Added: 1 measurement, 2 medicines, allergies: 3.'],
  ],
  ['care', { care: ['Worming', 'Distemper'] }, ['Care that comes round: Worming, Distemper.']],
  [
    'what changed',
    { changed: [{ list: 'measurements', had: weight(412), now: weight(421) }] },
    ['Weight 421 g, November 16, 2026. It was: Weight 412 g, November 16, 2026.'],
  ],
  [
    'details, with what they were',
    {
      details: [
        { path: 'name', was: { kind: 'text', text: 'Ash' }, now: { kind: 'text', text: 'Asher' } },
        { path: 'sex', was: null, now: { kind: 'text', text: 'male' } },
      ],
    },
    ['Name: Asher, was Ash.', 'Sex: male.'],
  ],
  [
    'what stays, went and had no room',
    { kept: 1, withdrawn: 2, full: 1 },
    [
      'One item differs from what was written here; yours stays.',
      '2 items were entered in error and were removed.',
      'There was no room for one item.',
    ],
  ],
])('of a record brought up to date is told: %s', (_what, more, words) => {
  expect(newsInWords({ ...NOTHING, ...more })).toEqual(words);
});
