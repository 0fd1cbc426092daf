import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { newEntry, newField, type EntryContent } from '#core/entry';
import { writeEntry } from '#core/notation';
import { lineText, linesOf } from '#core/passage';
import { anyEntry } from '#core/testing';
import { editTexts, entryTexts, HouseFinder, TermFinder, termForms, type HouseWord } from './index';

const changed = (text: string, from: string, to: string) => {
  const edits = new TermFinder(termForms(from, to)).in(text, 'en-GB');
  return edits.reduceRight((left, { from: a, to: b, put }) => left.slice(0, a) + put + left.slice(b), text);
};

describe('a term and its forms', () => {
  test.each([
    ['The hog slept. Hogs sleep. HOG!', 'hog', 'hedgehog', 'The hedgehog slept. Hedgehogs sleep. HEDGEHOG!'],
    ['A hog ate an apple.', 'hog', 'animal', 'An animal ate an apple.'],
    ['an owl’s wing, an OWL', 'owl', 'bird', 'a bird’s wing, a BIRD'],
    ['hogweed and the warthog', 'hog', 'hedgehog', 'hogweed and the warthog'],
    ['She was fed; feeding; feeds', 'feed', 'nourish', 'She was fed; nourishing; nourishes'],
    ['They worry, worried, worries.', 'worry', 'fret', 'They fret, fretted, frets.'],
    ['the drop-in clinic; the drop\tin', 'drop in', 'open hour', 'the drop-in clinic; the open hour'],
    ['Dose (mg) and dosing', 'dose', 'amount', 'Amount (mg) and amounting'],
    ['C++ is not C', 'C++', 'C', 'C is not C'],
    ['very poorly today', 'very', '', 'poorly today'],
    ['Go. Please look in.', 'please', '', 'Go. Look in.'],
    ['a very sick hog, very.', 'very', '', 'a sick hog,.'],
    ['nothing of it', 'wing', 'arm', 'nothing of it'],
  ])('%s (%s to %s)', (text, from, to, wanted) => {
    expect(changed(text, from, to)).toBe(wanted);
  });
});

describe('in an entry', () => {
  const content: EntryContent = {
    ...newEntry('Hog seen', 'en-GB', {
      type: 'doc',
      content: [
        {
          type: 'paragraph',
          content: [
            { type: 'text', text: 'The h', marks: [{ type: 'bold' }] },
            { type: 'text', text: 'og is ' },
            {
              type: 'blank',
              attrs: { field: 'f', form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
            },
            { type: 'text', text: ', a hog.' },
          ],
        },
      ],
    }),
    purpose: 'When a hog is seen',
    fields: [
      {
        ...newField('choice', 'f', 'Which hog'),
        options: [
          { id: 'a', label: 'a hog at home', words: null },
          { id: 'b', label: 'other', words: 'no hog but {Which hog}' },
        ],
      } as EntryContent['fields'][number],
    ],
  };

  test('title, purpose, wording across its marks, and words of fields are edited, names in braces are not', () => {
    const places = new TermFinder(termForms('hog', 'hedgehog')).inEntry(content);
    const edited = editTexts(content, places);
    expect(entryTexts(edited).map(({ text }) => text)).toEqual([
      'Hedgehog seen',
      'When a hedgehog is seen',
      'The hedgehog is \uFFFC, a hedgehog.',
      'a hedgehog at home',
      'no hedgehog but \uFFFC\uFFFC\uFFFC\uFFFC\uFFFC\uFFFC\uFFFC\uFFFC\uFFFC\uFFFC\uFFFC',
    ]);
    expect(writeEntry(edited)).toContain('{Which hog}');
    const one = places.filter(({ at }) => at.in === 'title');
    expect(editTexts(content, one)).toEqual({ ...content, title: 'Hedgehog seen' });
    expect(editTexts(content, [])).toBe(content);
  });

  test('of a language alone, where one is given', () => {
    const both = {
      ...content,
      wordings: [...content.wordings, { ...content.wordings[0]!, id: 'w2', language: 'cy' }],
    };
    const finder = new TermFinder(termForms('hog', 'draenog'));
    const inWelsh = finder.inEntry(both, 'cy').filter(({ at }) => at.in === 'wording');
    expect(new Set(inWelsh.map(({ at }) => at.in === 'wording' && at.wording))).toEqual(new Set(['w2']));
    expect(finder.inEntry(both, 'en')).toHaveLength(6);
  });

  test('changed there and back, any entry says what it said', () => {
    const mark = 'zzz';
    fc.assert(
      fc.property(anyEntry, (entry) => {
        const word = entryTexts(entry).flatMap(({ text }) => text.match(/\p{L}{3,}/gu) ?? [])[0];
        // What holds the mark already cannot be told from what was changed to it.
        if (!word || entryTexts(entry).some(({ text }) => text.toLowerCase().includes(mark))) return;
        const there = editTexts(entry, new TermFinder([{ from: word, to: mark }]).inEntry(entry));
        const texts = (one: EntryContent) =>
          // A wrong article is mended on the way.
          entryTexts(one).map(({ text }) => text.toLowerCase().replace(/(?<!\p{L})an(?!\p{L})/gu, 'a'));
        expect(new TermFinder([{ from: word, to: mark }]).inEntry(there)).toEqual([]);
        const lines = (one: EntryContent) =>
          one.wordings.flatMap(({ parts }) => parts.flatMap(({ passage }) => linesOf(passage).map(lineText)));
        expect(lines(there)).toHaveLength(lines(entry).length);
        const back = editTexts(there, new TermFinder([{ from: mark, to: word }]).inEntry(there));
        expect(texts(back)).toEqual(texts(entry));
      }),
      { numRuns: 300 },
    );
  });
});

describe('house style', () => {
  const word = (use: string, avoid: string[], over: Partial<HouseWord> = {}): HouseWord => ({
    id: use,
    language: '',
    use,
    avoid,
    why: '',
    together: false,
    ...over,
  });
  const words = [
    word('hedgehog', ['hog', 'hoglet']),
    word('young hog', ['piglet']),
    word('', ['basically'], { id: 'none' }),
    word('seal pup', ['cub', 'whelp'], { together: true }),
    word('unwell', ['poorly'], { language: 'en' }),
    word('draenog', ['hedgehog'], { language: 'cy' }),
  ];
  const said = (text: string, language = 'en-GB', title = 'Title') => {
    const content = newEntry(title, language, {
      type: 'doc',
      content: [{ type: 'paragraph', content: [{ type: 'text', text }] }],
    });
    return new HouseFinder(words)
      .in(content)
      .map(({ words: found, put, word: of }) => `${of}: ${found} > ${put}`);
  };

  test.each([
    ['Two hoglets and a HOG.', ['hedgehog: hoglets > hedgehogs', 'hedgehog: HOG > HEDGEHOG']],
    // What is said is not pointed out within what is said.
    ['A young hog slept.', []],
    ['It was basically fine.', ['none:  basically > ']],
    ['The cub slept.', []],
    ['The cub slept, as a seal pup does.', ['seal pup: cub > seal pup']],
    ['The cub, a whelp, slept.', ['seal pup: cub > seal pup', 'seal pup: whelp > seal pup']],
    ['An unwell hedgehog, poorly since.', ['unwell: poorly > unwell']],
    ['a poorly owl', ['unwell: a poorly > an unwell']],
  ])('%s', (text, wanted) => {
    expect(said(text)).toEqual(wanted);
  });

  test('are of their language, and title and wording are one entry', () => {
    expect(said('The hedgehog is poorly.', 'cy')).toEqual(['draenog: hedgehog > draenog']);
    expect(said('The cub slept.', 'en-GB', 'Seal pup at night')).toEqual(['seal pup: cub > seal pup']);
  });
});
