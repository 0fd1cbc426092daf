import { describe, expect, test } from '@jest/globals';
import { checkEntry, newEntry, type EntryContent } from '#core/entry';
import { writeEntry } from '#core/notation';
import { plainPassage } from '#core/passage';
import { personalFinder, personalInEntry, personalToField } from './index';
import { KNOWN, ORDINARY, SENTENCES, UNSEEN } from '../testing';

/** A line of the table: the sentence, and what is to be found in it. */
function read(line: string): { text: string; wanted: string[] } {
  const wanted = [...line.matchAll(/\[([^|\]]+)\|([a-z-]+)\]/g)].map(
    ([, words, kind]) => `${kind}: ${words}`,
  );
  return { text: line.replace(/\[([^|\]]+)\|[a-z-]+\]/g, '$1'), wanted };
}
const find = personalFinder(KNOWN, ORDINARY);
const foundIn = (text: string) => find(text).map(({ kind, from, to }) => `${kind}: ${text.slice(from, to)}`);

/** How much of what is found is right, and how much of what is there is found, in per cent; and what went wrong. */
function measured(sentences: string) {
  const faults: string[] = [];
  let [right, wanted, found] = [0, 0, 0];
  const rows = sentences.trim().split('\n').map(read);
  for (const row of rows) {
    const got = foundIn(row.text);
    const missed = row.wanted.filter((one) => !got.includes(one));
    const wrong = got.filter((one) => !row.wanted.includes(one));
    right += row.wanted.length - missed.length;
    wanted += row.wanted.length;
    found += got.length;
    if (missed.length > 0) faults.push(`${row.text} Missed ${missed.join(', ')}.`);
    if (wrong.length > 0) faults.push(`${row.text} Wrongly ${wrong.join(', ')}.`);
  }
  const share = (part: number, whole: number) => Math.round((100 * part) / whole);
  return { rows: rows.length, precision: share(right, found), recall: share(right, wanted), faults };
}

describe('personal details', () => {
  test('the table: all is found, and nothing else', () => {
    expect(measured(SENTENCES)).toEqual({ rows: 220, precision: 100, recall: 100, faults: [] });
  });

  test('sentences it was not made with: what is missed and wrongly found there is known', () => {
    expect(measured(UNSEEN)).toEqual({
      rows: 40,
      precision: 95,
      recall: 90,
      faults: [
        'Dune still limps a little. Missed name: Dune.',
        'Keel: fluids at 8, 12 and 16. Missed name: Keel.',
        'The mother fed her young until dusk. Wrongly pronoun: her.',
      ],
    });
  });
});

test('of a name that is known its small words are words: "and" between two, "de" of a family', () => {
  const find = personalFinder(
    { names: ['Wilf and Nesta Ambry', 'Ada de Vries', 'tom reed'], numbers: [] },
    new Set(),
  );
  const found = (text: string) => find(text).map(({ from, to }) => text.slice(from, to));
  expect(found('We open on weekdays, and at noon on Sundays, de facto.')).toEqual([]);
  expect(found('Nesta rang, and Vries too, and Wilf and Nesta Ambry.')).toEqual([
    'Nesta',
    'Vries',
    'Wilf and Nesta Ambry',
  ]);
  expect(found('It was tom reed.')).toEqual(['tom reed']);
});

describe('in an entry', () => {
  const entry = (text: string) => newEntry('Fed', 'en-GB', plainPassage(text));
  const finds = (content: EntryContent) => personalInEntry(content, find);
  /** Every detail turned into a field, one after the other; then as notation writes it. */
  const turned = (text: string) => {
    let content = entry(text);
    for (let next = finds(content); next.length > 0; next = finds(content))
      content = personalToField(content, next[0]!);
    expect(checkEntry(content)).toEqual([]);
    return content;
  };
  const written = (content: EntryContent) =>
    writeEntry(content).split('== wording')[1]!.split('\n').slice(2).join(' ').trim();

  test.each([
    ['Imke Tarrow fed Keel.', '{Name} fed {Name}.'],
    [
      'He was fed by hand; we gave him water.',
      '{Spoken of as|they were} fed by hand; we gave {Spoken of as|them} water.',
    ],
    [
      'We weighed her at noon; her wing droops.',
      'We weighed {Spoken of as|them} at noon; {Spoken of as|their} wing droops.',
    ],
    ['Ring 01632 960 112.', 'Ring {Telephone}.'],
  ])('%s becomes %s', (text, expected) => {
    expect(written(turned(text))).toBe(expected);
  });

  test('a name with a title, or of somebody else, is asked for; of the case it is looked up', () => {
    const kinds = (text: string, isOther?: (name: string) => boolean) => {
      const content = entry(text);
      return personalToField(content, finds(content)[0]!, isOther).fields.map(({ kind }) => kind);
    };
    expect(kinds('Keel slept.')).toEqual(['detail']);
    expect(kinds('Keel slept.', (name) => name === 'Keel')).toEqual(['text']);
    expect(kinds('Rang Mrs Sorrel.')).toEqual(['text']);
  });

  test.each([
    'Examination found mites.',
    'Radiography showed a break.',
    'Dermatitis was treated; Vaccination asked.',
  ])('%s speaks of nobody', (text) => {
    expect(finds(entry(text))).toEqual([]);
  });

  test('what may stand all the same is not told again', () => {
    const content = entry('Ring 01632 960 112 or Keel.');
    const told = personalInEntry(content, find, new Set(['01632 960 112']));
    expect(told.map(({ words }) => words)).toEqual(['Keel']);
  });
});
