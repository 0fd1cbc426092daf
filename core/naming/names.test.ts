import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { AS_TYPED, splitName, stemOf, type NamingStyle } from './fileName';
import { alikeKey, nameFaultInWords, nameFaults, proposedName, safeStem, type NamePlace } from './nameFaults';
import { FolderNames } from './folderNames';
import { compareNames, sortsBetween } from './sortedNames';

test.each([
  ['scan 001.PDF', 'scan 001', '.PDF'],
  ['notes', 'notes', ''],
  ['.profile', '.profile', ''],
  ['box.tar.gz', 'box', '.tar.gz'],
  ['v1.2 plan.docx', 'v1.2 plan', '.docx'],
  ['Mr. Marsh', 'Mr. Marsh', ''],
  ['what.', 'what.', ''],
])('%s is %s and %s', (name, stem, ending) => expect(splitName(name)).toEqual({ stem, ending }));

const style = (change: Partial<NamingStyle>): NamingStyle => ({ ...AS_TYPED, ...change });

test.each<[string, Partial<NamingStyle>, string]>([
  ['  Two   words\nand one ', {}, 'Two words and one'],
  ['Cafe\u0301 Niño', {}, 'Café Niño'],
  ['Café Strauß, Ærø', { accents: 'plain' }, 'Cafe Strauss, Aero'],
  ['2026-03-04 Hollin Power', { spaces: 'hyphens', capitals: 'lower' }, '2026-03-04-hollin-power'],
  ['May - June', { spaces: 'hyphens' }, 'May-June'],
  ['May - June_2', { spaces: 'underscores' }, 'May-June_2'],
  ['a/b: c?', {}, 'a/b: c?'],
])('%j in %j is %j', (words, change, stem) => expect(stemOf(words, style(change))).toBe(stem));

const nowhere: NamePlace = { folder: '', taken: new Map() };
const taken = (...names: string[]): NamePlace => ({
  folder: '',
  taken: new Map(names.map((name) => [alikeKey(name), { name, isNew: true }])),
});
const codes = (name: string, place = nowhere) => nameFaults(name, place).map(({ code }) => code);

test.each([
  ['2026-03-04 bill.pdf', []],
  ['Ångström 雪 🦉.pdf', []],
  ['.pdf', ['hidden']],
  ['', ['empty']],
  ['a/b.pdf', ['forbidden']],
  ['who?.pdf', ['forbidden']],
  ['12:30.pdf', ['forbidden']],
  ['a\u200Bb.pdf', ['unseen']],
  ['con.pdf', ['reserved']],
  ['Lpt1.tar.gz', ['reserved']],
  ['console.pdf', []],
  ['com10.pdf', []],
  ['end..pdf', ['ends-badly']],
  ['end.', ['ends-badly']],
  [`${'é'.repeat(126)}.pdf`, ['long']],
  [`${'e'.repeat(251)}.pdf`, []],
  [`${'e'.repeat(252)}.pdf`, ['long']],
])('%j has the faults %j', (name, wanted) => expect(codes(name)).toEqual(wanted));

test('with its folder a name may be too long, and is cut to fit', () => {
  const place = { ...nowhere, folder: `C:\\${'f'.repeat(230)}\\` };
  const name = 'a long name of a paper that came.pdf';
  expect(nameFaults(name, place)).toEqual([{ code: 'long-path', over: 11 }]);
  const cut = proposedName(name, place, AS_TYPED)!;
  expect(cut).toBe('a long name of a.pdf');
  expect(nameFaults(cut, place)).toEqual([]);
});

test('a name is taken whatever its capitals and however its accents are put together', () => {
  expect(codes('BILL.pdf', taken('bill.PDF'))).toEqual(['alike']);
  expect(codes('Cafe\u0301.pdf', taken('café.pdf'))).toEqual(['alike']);
  const there = new Map([[alikeKey('bill.pdf'), { name: 'bill.pdf', isNew: false }]]);
  expect(codes('Bill.pdf', { folder: '', taken: there })).toEqual(['exists']);
});

test.each([
  ['bill.pdf', ['bill.pdf'], AS_TYPED, 'bill 2.pdf'],
  ['bill.pdf', ['bill.pdf', 'Bill 2.pdf'], AS_TYPED, 'bill 3.pdf'],
  ['bill.pdf', ['bill.pdf'], style({ spaces: 'underscores' }), 'bill_2.pdf'],
  ['3/4 "owls"?.pdf', [], AS_TYPED, "3-4 'owls'.pdf"],
  ['nul.txt', [], AS_TYPED, 'nul_.txt'],
  ['..hidden..pdf', [], AS_TYPED, 'hidden.pdf'],
  ['???.pdf', [], AS_TYPED, null],
])('for %s with %j there, in its style, %s', (name, there, of, wanted) =>
  expect(proposedName(name, taken(...there), of)).toBe(wanted),
);

test('what is proposed for any name has no fault, and is proposed for itself', () => {
  const names = fc.string({ unit: fc.constantFrom(...'aB.é /:*?"<>| \u200B-_12雪🦉con'), maxLength: 300 });
  fc.assert(
    fc.property(names, fc.array(names, { maxLength: 5 }), (stem, others) => {
      const place = taken(...others.map((one) => `${one}.pdf`));
      const proposed = proposedName(`${stem}.pdf`, place, AS_TYPED);
      if (proposed === null) return;
      expect(nameFaults(proposed, place)).toEqual([]);
      expect(proposedName(proposed, place, AS_TYPED)).toBe(proposed);
    }),
  );
});

test('every fault says what is wrong', () => {
  const said = ['', 'a:b', 'a\u0007', 'nul', 'x.', '.x', 'e'.repeat(260)].flatMap((name) =>
    nameFaults(name, nowhere).map(nameFaultInWords),
  );
  expect(said).toEqual([
    'There is no name yet.',
    'Not every system takes : in a name.',
    'It holds a character that nobody sees.',
    'Windows keeps nul for a device.',
    'It ends with a full stop, which not every system keeps.',
    'It begins with a full stop: macOS and Linux hide such files.',
    'It is 5 characters too long.',
  ]);
});

test('names sort as folders show them, and one says between which it will be', () => {
  const sorted = ['scan 10', 'Scan 2', 'éclair', 'Early', 'zoo'].sort(compareNames);
  expect(sorted).toEqual(['Early', 'éclair', 'Scan 2', 'scan 10', 'zoo']);
  expect(sortsBetween('scan 9', sorted)).toEqual({ before: 'Scan 2', after: 'scan 10' });
  expect(sortsBetween('Aa', sorted)).toEqual({ before: null, after: 'Early' });
  expect(sortsBetween('zz', sorted)).toEqual({ before: 'zoo', after: null });
});

test('a file may have its own old name, and one that another gives up, but none that another keeps or gets', () => {
  const files = [
    { id: 'a', folder: '', name: 'a.pdf', newName: 'x.pdf', renamed: null },
    { id: 'b', folder: '', name: 'b.pdf', newName: null, renamed: null },
    { id: 'c', folder: '', name: 'c.pdf', newName: 'Y.pdf', renamed: 'here' },
    { id: 'd', folder: 'in', name: 'd.pdf', newName: null, renamed: null },
  ];
  const names = new FolderNames(files, 'D:\\Post\\');
  const said = (id: string, name: string) => nameFaults(name, names.placeOf(id)).map(({ code }) => code);
  expect(said('b', 'b.pdf')).toEqual([]);
  expect(said('b', 'a.pdf')).toEqual([]);
  expect(said('b', 'X.pdf')).toEqual(['alike']);
  expect(said('a', 'B.pdf')).toEqual(['exists']);
  expect(said('a', 'y.pdf')).toEqual(['exists']);
  expect(said('d', 'b.pdf')).toEqual([]);
  expect(names.sortedBeside('b')).toEqual(['x.pdf', 'Y.pdf']);
  expect(names.sortedBeside('d')).toEqual([]);
  expect(names.placeOf('d').folder).toBe('D:\\Post/in');
});

test.each([
  ['Ward note: swan, 4/11', 'Ward note swan, 4 11'],
  ['  A\ttitle\nin two lines ', 'A title in two lines'],
  ['com1.backup', 'com1_.backup'],
  ['NUL', 'NUL_'],
  ['...and so on...', 'and so on'],
  ['<?>', ''],
  ['\u202Etxt.exe', 'txt.exe'],
  ['Zoë’s letter', 'Zoë’s letter'],
])('a file with the title %j is called %j', (title, name) => {
  expect(safeStem(title, 100)).toBe(name);
});

test('what a title makes has no fault, whatever the title, and is no longer than it may be', () => {
  fc.assert(
    fc.property(
      fc.string({ unit: 'grapheme', maxLength: 200 }),
      fc.integer({ min: 10, max: 100 }),
      (title, most) => {
        const name = safeStem(title, most);
        if (name === '') return;
        expect(name.length).toBeLessThanOrEqual(most);
        expect(nameFaults(`${name}.docx`, { folder: '', taken: new Map() })).toEqual([]);
      },
    ),
  );
});
