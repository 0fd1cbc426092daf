import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { entryOfPattern, type NamePiece } from './namePattern';
import { datesOfPaper } from './datesOfPaper';
import { namesOfPaper, searchedWords } from './namesOfPaper';
import { numbersOfPaper } from './numbersOfPaper';
import type { Paper } from './paper';
import { EntryContentSchema } from '#core/entry';
import { place } from '#core/fill';
import { plainText } from '#core/passage';
import { emptyRecord } from '#core/record';
import { dateInWords } from '#core/calendar';

const paper = (change: Partial<Paper>): Paper => ({
  ...{ name: 'scan0001.pdf', text: '', title: '', from: '', dated: null, datedAs: '', changed: '2026-11-20' },
  ...change,
});
const TODAY = '2026-11-27';
const dates = (change: Partial<Paper>, languages = ['en-GB']) =>
  datesOfPaper(paper(change), { languages, today: TODAY });

test.each([
  ['4 March 2026', '2026-03-04'],
  ['4th of March, 2026', '2026-03-04'],
  ['Wednesday 4 Mar 2026', '2026-03-04'],
  ['March 4, 2026', '2026-03-04'],
  ['04/03/2026', '2026-03-04'],
  ['04/03/26', '2026-03-04'],
  ['4.3.2026', '2026-03-04'],
  ['04-03-2026', '2026-03-04'],
  ['2026-03-04', '2026-03-04'],
  ['2026_03_04', '2026-03-04'],
  ['20260304', '2026-03-04'],
  ['03/25/2026', '2026-03-25'],
  ['4 Mar 26', '2026-03-04'],
  ['1 Sept 2026', '2026-09-01'],
  ['4 mars 2026', '2026-03-04'],
  ['4. März 2026', '2026-03-04'],
  ['4 de marzo de 2026', '2026-03-04'],
  ['1er février 2026', '2026-02-01'],
  ['4 Mawrth 2026', '2026-03-04'],
  ['4 марта 2026', '2026-03-04'],
])('%s is found as %s', (text, date) => {
  expect(dates({ text: `Paper of ${text}.` }, ['fr', 'de', 'es', 'cy', 'ru'])[0]).toMatchObject({
    date,
    isMonth: false,
  });
});

test.each(['31/02/2026', '12345678901', '1.2.3.4', 'version 10.11.12.1', '99/99/9999', 'Mayor 2026'])(
  '%s is no date',
  (text) => expect(dates({ text }).map(({ context }) => context)).toEqual(['last changed']),
);

test('every day is found in every form that says all of it', () => {
  const days = fc.date({ min: new Date('1990-01-01'), max: new Date('2029-12-31'), noInvalidDate: true });
  const forms = fc.constantFrom('long', 'weekday', 'short', 'dots', 'hyphens', 'iso', 'underscores' as const);
  fc.assert(
    fc.property(days, forms, (day, form) => {
      const date = day.toISOString().slice(0, 10);
      const text = `It says ${dateInWords(date, form, 'en-GB')} here`;
      expect(dates({ text }).map((one) => one.date)).toContain(date);
    }),
  );
});

test('the date of the paper comes before one when something is due, whichever stands first', () => {
  const text =
    'Payment due by 18 March 2026\nHollin Power\nStatement date: 4 March 2026\nMeter read 1 March 2026';
  const found = dates({ text });
  expect(found.map(({ date }) => date)).toEqual(['2026-03-04', '2026-03-01', '2026-03-18', '2026-11-20']);
  expect(found[0]!.context).toBe('Statement date: 4 March 2026');
});

test('a head above its date counts, and a month alone is one', () => {
  expect(dates({ text: 'Invoice date\n04/03/2026\nfor 12/01/2026' })[0]!.date).toBe('2026-03-04');
  expect(dates({ text: 'Ringing totals for March 2026' })[0]).toMatchObject({
    date: '2026-03-01',
    isMonth: true,
  });
});

test('without words there are the old name, the properties and the day it was changed', () => {
  const found = dates({ name: 'IMG_20260304_1512.jpg', dated: '2026-03-05', datedAs: 'taken' });
  expect(found.map(({ date, context }) => [date, context])).toEqual([
    ['2026-03-05', 'taken'],
    ['2026-03-04', 'in its old name'],
    ['2026-11-20', 'last changed'],
  ]);
});

test('numbers are found by what calls them so, and first those of a shape of the team', () => {
  const text = 'Account number: 8841-22\nYour ref. AB/1234\nSheet HM-2026-0042, 12 birds, Tel 01000 000000';
  expect(numbersOfPaper(paper({ text }), ['HM-2025-0001']).map(({ number }) => number)).toEqual([
    'HM-2026-0042',
    '8841-22',
    'AB/1234',
  ]);
  expect(numbersOfPaper(paper({ text }), []).map(({ context }) => context)).toEqual([
    'Account number',
    'ref',
    'Sheet',
  ]);
  expect(
    numbersOfPaper(paper({ text: 'no 2 way, number of birds: many' }), []).map(({ number }) => number),
  ).toEqual(['2']);
});

test('names are found as whole words, whatever their capitals and accents, those at the front first', () => {
  const searched = searchedWords(paper({ text: 'HOLLIN POWER\nto Café Marsh\nHollin Power Cooperative' }));
  const names = ['Cafe Marsh', 'hollin power', 'Hollin Power Cooperative', 'Marsh', 'Power plant', 'Ma'];
  expect(
    namesOfPaper(
      searched,
      names.map((words) => ({ words })),
    ).map(({ words }) => words),
  ).toEqual(['hollin power', 'Cafe Marsh', 'Marsh', 'Hollin Power Cooperative']);
});

const PIECES: NamePiece[] = [
  { kind: 'month-before', form: 'iso' },
  { kind: 'words', words: 'HM' },
  { kind: 'sender' },
  { kind: 'subject' },
];

test('a pattern is an entry whose pieces are blanks with the joiner between them', () => {
  const content = entryOfPattern('Statement', 'en-GB', PIECES, '_');
  expect(EntryContentSchema.safeParse(content).success).toBe(true);
  const placed = place({
    entry: { id: 'e', revision: 1, content },
    ...{ record: emptyRecord(), today: TODAY, now: '10:00', cue: null, id: 'p' },
    answers: {
      date: { kind: 'date', date: '2026-03-31' },
      sender: { kind: 'text', text: 'hollin power' },
      subject: { kind: 'text', text: 'gas' },
    },
  });
  expect(plainText(placed.passage)).toBe('2026-02-28_HM_hollin power_gas');
});
