import { describe, expect, test } from '@jest/globals';
import { newEntry } from '#core/entry';
import type { Inline } from '#core/passage';
import { factFinder, linkFault } from './index';

const entry = (...content: Inline[]) =>
  newEntry('Visits', 'en-GB', { type: 'doc', content: [{ type: 'paragraph', content }] });
const find = factFinder(['Odile Brandt', 'Imke Tarrow']);
const facts = (text: string) =>
  find(entry({ type: 'text', text })).map(({ kind, words }) => `${kind}: ${words}`);

describe('facts that grow old', () => {
  test.each([
    ['A visit is £4.50, children 2 euros.', ['price: £4.50', 'price: 2 euros']],
    [
      'Open Monday to Friday, 9.30 to 16:00, on Sundays from 2 pm.',
      ['hours: Monday to Friday', 'hours: 9.30', 'hours: 16:00', 'hours: Sundays', 'hours: 2 pm'],
    ],
    ['Closed until 4 March 2027, and in 2028.', ['date: 4 March 2027', 'date: in 2028']],
    [
      'Ring 01632 960 150 or write to desk@hollin.example.',
      ['phone: 01632 960 150', 'e-mail: desk@hollin.example'],
    ],
    ['See https://hollin.example/visits.', ['link: https://hollin.example/visits']],
    ['Odile Brandt answers.', ['staff: Odile Brandt']],
    ['It weighed 12.30 kg and took 2000 steps on Monday.', []],
    ['Give 3 ml at 0.2 mg/kg, 4 times.', []],
  ])('%s', (text, wanted) => {
    expect(facts(text)).toEqual(wanted);
  });

  test('words that lead somewhere are one fact, with what is wrong with where they lead', () => {
    const marks = [{ type: 'link' as const, attrs: { href: 'https://hollin' } }];
    const found = find(
      entry(
        { type: 'text', text: 'See ' },
        { type: 'text', text: 'our ', marks },
        { type: 'text', text: 'page', marks: [...marks, { type: 'bold' }] },
      ),
    );
    expect(found.map(({ words, fault }) => [words, fault])).toEqual([['our page', 'no-host']]);
  });
});

test.each([
  ['https://hollin.example/visits?day=1#times', null],
  ['www.hollin.example', null],
  ['mailto:desk@hollin.example?subject=x', null],
  ['tel:01632960150', null],
  ['https://münchen.example', null],
  ['https://hollin', 'no-host'],
  ['http:/hollin.example', 'not-an-address'],
  ['https:hollin.example', 'not-an-address'],
  ['https:///hollin.example', 'not-an-address'],
  ['mailto:desk', 'no-host'],
  ['htps://hollin.example', 'unknown-scheme'],
  ['https://hollin.example https', 'space'],
  ['https://a.examplehttps://b.example', 'two-addresses'],
  ['https://hollin.example/visits,', 'stray-end'],
  ['https://', 'not-an-address'],
  ['tel:ask', 'not-an-address'],
])('the form of %s: %s', (address, wanted) => {
  expect(linkFault(address)).toBe(wanted);
});
