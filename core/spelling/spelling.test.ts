import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newEntry } from '#core/entry';
import {
  checkedWords,
  dictionaryFor,
  likelySpellings,
  partings,
  respelt,
  wordsOfEntry,
  wordsWithin,
} from '.';

const wordsOf = (line: string) => checkedWords(line).map(({ word }) => word);

describe('the words of a line that are checked', () => {
  test.each([
    ['He was seen.', ['He', 'was', 'seen']],
    ['the nurse’s note wasn’t there', ['the', 'nurse', 'note', "wasn't", 'there']],
    ['the patients’ ward', ['the', 'patients', 'ward']],
    ['a pre-operative, well-kept line', ['operative', 'well', 'kept', 'line']],
    ['I th- I thought', ['thought']],
    ['and/or', ['and', 'or']],
    ['write to odile@hollin.example or see hollin.example/ward', ['write', 'to', 'or', 'see']],
    ['see notes.docx', ['see']],
    ['HbA1c 48, 5mg, ECG, MRIs and McLee', ['and']],
    ['Überweisung für Ärzte', ['Überweisung', 'für', 'Ärzte']],
    ['a\uFFFCs thing\uFFFC and \uFFFC then', ['and', 'then']],
    ['one—two', ['one', 'two']],
    ['“quoted” (and) ‘so’', ['quoted', 'and', 'so']],
    ['', []],
    ["' '' -", []],
  ])('of “%s”', (line, words) => {
    expect(wordsOf(line)).toEqual(words);
  });

  test('each stands where it is said to stand, in order, and none over another', () => {
    const letters = fc.constantFrom(..."aé’'-\uFFFC .,/1@Aß".split(''));
    fc.assert(
      fc.property(fc.array(letters, { maxLength: 60 }), (all) => {
        const line = all.join('');
        let end = 0;
        for (const { from, to, word } of checkedWords(line)) {
          expect(from).toBeGreaterThanOrEqual(end);
          expect(line.slice(from, to).replaceAll('’', "'")).toBe(word);
          end = to;
        }
      }),
    );
  });
});

describe('which dictionary is asked', () => {
  test.each([
    ['en-GB', 'en-GB'],
    ['en', 'en-GB'],
    ['en-US', null],
    ['cy', 'cy-GB'],
    ['cy-GB', 'cy-GB'],
    ['de-CH', 'de'],
    ['fr', null],
  ])('about words of %s', (language, dictionary) => {
    expect(dictionaryFor(language, ['en-GB', 'cy-GB', 'de'])).toBe(dictionary);
  });
});

describe('what was likely meant', () => {
  const USUAL: Record<string, number> = {
    ...{
      the: 90,
      ten: 90,
      tea: 90,
      that: 90,
      patient: 90,
      paint: 80,
      parent: 90,
      and: 90,
      "wasn't": 90,
      want: 90,
    },
    ...{ their: 90, thief: 70, tier: 60, friend: 90, 'a lot': 90, lot: 90, slot: 60, allot: 50 },
  };
  test.each([
    ['teh', ['ten', 'eh', 'tea', 'the', 'Te'], 'the'],
    ['taht', ['taut', 'baht', 'tact', 'that', 'Taft'], 'that'],
    ['thier', ['thief', 'shier', 'their', 'tier'], 'their'],
    ['paient', ['paint', 'parent', 'patent', 'patient'], 'patient'],
    ['nad', ['bad', 'and', 'dad', 'lad'], 'and'],
    ['wasnt', ['want', "wasn't", 'wast'], "wasn't"],
    ['alot', ['allot', 'slot', 'lot', 'a lot'], 'a lot'],
    ['freind', ['friend'], 'friend'],
  ])('by “%s”', (written, proposed, meant) => {
    expect(likelySpellings(written, proposed, (word) => USUAL[word] ?? 0)[0]).toBe(meant);
  });

  test('no more than five are proposed, each once', () => {
    const many = ['aa', 'ab', 'ac', 'ad', 'ae', 'af', 'aa'];
    expect(likelySpellings('a', many, () => 0)).toHaveLength(5);
  });

  test('a word is parted in each place', () => {
    expect(partings('alot')).toEqual([
      ['a', 'lot'],
      ['al', 'ot'],
      ['alo', 't'],
    ]);
    expect(partings('a')).toEqual([]);
  });
});

test('the words of an entry are checked in the language they are in', () => {
  const entry = newEntry('Seen today', 'en-GB', {
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text: 'He was sene.' }] }],
  });
  const [wording] = entry.wordings;
  const inWelsh = { ...wording!, id: 'welsh', language: 'cy' };
  const words = wordsOfEntry({ ...entry, wordings: [wording!, inWelsh] });
  expect(words.map(({ word, language, at }) => [word, language, at.in])).toEqual([
    ['Seen', 'en-GB', 'title'],
    ['today', 'en-GB', 'title'],
    ['He', 'en-GB', 'wording'],
    ['was', 'en-GB', 'wording'],
    ['sene', 'en-GB', 'wording'],
    ['He', 'cy', 'wording'],
    ['was', 'cy', 'wording'],
    ['sene', 'cy', 'wording'],
  ]);
});

test('a word is spelt otherwise wherever it stands, in the capitals that it has there', () => {
  const entry = newEntry('Recieve it', 'en-GB', {
    type: 'doc',
    content: [{ type: 'paragraph', content: [{ type: 'text', text: 'We recieve and recieve; recieved.' }] }],
  });
  const { title, wordings } = respelt(entry, new Map([['recieve', 'receive']]));
  expect(title).toBe('Receive it');
  expect(JSON.stringify(wordings)).toContain('We receive and receive; recieved.');
});

test('words of a record are read out of all its texts, whatever holds them', () => {
  const record = {
    details: [{ path: 'name', value: { text: 'Nesta Ambry, 84' } }],
    medicines: ['Zolith 5mg'],
    n: 3,
  };
  expect([...wordsWithin(record)]).toEqual(['name', 'Nesta', 'Ambry', 'Zolith']);
});
