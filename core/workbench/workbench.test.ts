import fs from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { checkEntry } from '#core/entry';
import { readEntry } from '#core/notation';
import { emptyRecord } from '#core/record';
import { branchesOf, doubtsOf, odditiesOf, seeded, tryBranches } from '.';

const folder = path.join(import.meta.dirname, '../../demo/bank');
const files = fs
  .readdirSync(folder, { recursive: true, encoding: 'utf8' })
  .filter((file) => file.endsWith('.txt'));
const read = (source: string) => {
  const entry = readEntry(source);
  if (!entry.ok) throw new Error(JSON.stringify(entry.error));
  return entry.value;
};
const writer = { name: 'Imke Tarrow', job: 'Head vet', email: 'imke@hollin.example', phone: '' };
const setting = { writer, record: emptyRecord(), today: '2026-11-25', most: 400, random: seeded(7) };

test.each(files)(
  'the demo entry %s has nothing wrong, nothing doubtful and reads well in its branches',
  (file) => {
    const entry = read(fs.readFileSync(path.join(folder, file), 'utf8'));
    expect(checkEntry(entry)).toEqual([]);
    expect(doubtsOf(entry)).toEqual([]);
    const odd = entry.wordings.flatMap((wording) => tryBranches(entry, wording, setting).odd);
    expect(odd.map(({ code, line }) => `${code}: ${line}`)).toEqual([]);
  },
);

describe('what is doubtful', () => {
  const wording = (words: string, head = '') => `title: A\n${head}== wording Main\n${words}`;
  test.each([
    ['a field nobody uses', wording('It ate.', 'field Much: text\n'), 'unused-field', 'Much'],
    [
      'options of which one says what the other says',
      wording('{A}', 'field A: choice\n  option: mild\n  option: mild or moderate\n'),
      'overlapping-options',
      'mild',
    ],
    [
      'words of an option that name no field',
      wording('{A}', 'field A: choice\n  option: x = x {Count}\n'),
      'unknown-nested',
      'Count',
    ],
    ['two spaces', wording('It ate  well.'), 'doubled-space', 'It ate  well'],
    ['bold over the space behind', wording('**Plan: **rest.'), 'leaking-mark', 'Plan:'],
    ['a reference to no number', wording('See [see n1].'), 'lost-reference', 'not here'],
    ['two numbers of one id', wording('[number F | 1 | n] a [number F | 1 | n]'), 'number-id-twice', 'first'],
    [
      'a table within a sentence',
      wording('Weights: {W|table}', 'field W: detail weight\n'),
      'not-alone',
      'alone on its line',
    ],
    ['a word stuck to a blank', wording('It ate{A}.', 'field A: text\n'), 'stuck-to-blank', 'It ate_'],
    [
      'a blank stuck to a word',
      wording('{A}of fish.', 'field A: choice\n  option: a bit\n'),
      'stuck-to-blank',
      '_of',
    ],
    [
      'the hole of a list of which nothing is chosen',
      wording('On it were {A}, which healed.', 'field A: choice many\n  optional\n  option: ticks\n'),
      'hole-when-left-out',
      '“A”',
    ],
    [
      'the hole at a sentence’s end',
      wording('It goes to {A}.', 'field A: text\n  optional\n'),
      'hole-when-left-out',
      'It goes to …',
    ],
    ['a full stop that is missing', wording('It ate well. It slept'), 'missing-stop', 'It ate well'],
    [
      'a field that one wording leaves out',
      'title: A\nfield B: text\n== wording En\n{B}\n== wording Cy: cy\nx',
      'missing-in-wording',
      '“Cy” has no blank for “B”',
    ],
    [
      'a part that one wording leaves out',
      'title: A\n== wording En\n-- part Subject\nx\n-- part Text\ny\n== wording Cy: cy\nx',
      'missing-part',
      '“Cy” has no part “Subject”',
    ],
  ])('%s', (_what, source, code, words) => {
    const doubts = doubtsOf(read(source));
    expect([...new Set(doubts.map((doubt) => doubt.code))]).toEqual([code]);
    expect(doubts[0]!.message).toContain(words);
  });

  test.each([
    ['an amount with its unit', '{N}kg and {N}th', 'field N: number\n'],
    ['an answer that brings its own space', 'It ate{A}.', 'field A: choice\n  option: x = , slowly\n'],
    ['a joined name', '{A}_scan', 'field A: text\n'],
    ['a plural', 'two {A}s', 'field A: text\n'],
    ['words for none', 'It has {A}.', 'field A: choice many\n  none: no ticks\n  option: ticks\n'],
    ['a list without an end', 'Dear {A}\n\nIt ate well', 'field A: text\n'],
    ['a blank with words of its own at the end', 'It ate. {A}', 'field A: text\n'],
    [
      'optional words before it',
      'Fed.[when a: It ate ]{A}.',
      'field A: text\n  optional\nwhen a: "A" is answered\n',
    ],
    ['a plural', '{N} visit{N|plural}', 'field N: number\n'],
  ])('nothing is doubted: %s', (_what, words, head) => {
    expect(doubtsOf(read(wording(words, head))).map(({ message }) => message)).toEqual([]);
  });

  test('nothing is doubted: the pieces of a file name', () => {
    const name = read('title: A\nfield A: text\n== wording Main: en-GB joins=closely\nscan{A}');
    expect(doubtsOf(name)).toEqual([]);
  });

  test.each([
    ['It ate well , and slept.', ['space-before-stop']],
    ['It ate. it slept.', ['small-start']],
    ['It ate a apple and an pear.', ['wrong-article', 'wrong-article']],
    ['Seen at', ['hangs']],
    ['It came and.', ['hangs']],
    ['It is well cared for.', []],
    ['A', []],
    ['Vitamin A', []],
    ['Fed ( ) twice.', ['empty-brackets']],
    ['Fed (twice.', ['unpaired-bracket']],
    ['It ate the the fish..', ['doubled-stop', 'word-twice']],
    [', since it slept', ['starts-with-stop']],
    ['Gave 1.5 ml … and “rest”, e.g. quiet (dark).', []],
    ['Is it so?! It is.', []],
  ])('%s', (line, codes) => {
    expect(odditiesOf(line, 'en-GB').map(({ code }) => code)).toEqual(codes);
  });

  test('a sentence that reads badly when an answer is left out is found, with the answers that do it', () => {
    const entry = read('title: A\nfield To: text\n  optional\n== wording Main\nIt eats the {To}.');
    const { odd, tried, total } = tryBranches(entry, entry.wordings[0]!, setting);
    expect([tried, total]).toEqual([2, 2]);
    expect(odd).toMatchObject([{ code: 'hangs', line: 'It eats the.', answers: {} }]);
  });

  test('an odd reading is told with the answers that choose it, and once however many branches share it', () => {
    const entry = read(
      'title: A\nfield Eats: choice\n  option: well\n  option: poorly\nfield Seen: yes-no\n== wording Main\nIt eats {Eats}..',
    );
    const { odd, tried } = tryBranches(entry, entry.wordings[0]!, setting);
    expect(tried).toBe(4);
    expect(odd.map(({ line, said }) => [line, said])).toEqual([
      ['It eats well..', 'Eats: well; Seen: yes'],
      ['It eats poorly..', 'Eats: poorly; Seen: yes'],
    ]);
  });
});

test('all branches are tried where they are few; else every answer at least once, and as many as allowed', () => {
  fc.assert(
    fc.property(
      fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 1, maxLength: 7 }),
      fc.nat(),
      (sizes, seed) => {
        const head = sizes.map((size, at) => `field F${at}: choice\n${options(size)}`).join('');
        const entry = read(`title: A\n${head}== wording Main\nx`);
        const most = 60;
        const request = { known: {}, today: '2026-11-25', most, random: seeded(seed) };
        const { tried, total } = branchesOf(entry, request);
        const all = sizes.reduce((product, size) => product * size, 1);
        expect(total).toBe(all);
        expect(tried).toHaveLength(Math.min(all, most));
        const seen = new Set(
          tried.flatMap((answers) => Object.entries(answers).map((one) => JSON.stringify(one))),
        );
        expect(seen.size).toBe(sizes.reduce((sum, size) => sum + size, 0));
        if (total <= most) expect(new Set(tried.map((answers) => JSON.stringify(answers))).size).toBe(all);
        expect(branchesOf(entry, { ...request, random: seeded(seed) }).tried).toEqual(tried);
      },
    ),
  );
});

function options(count: number): string {
  return Array.from({ length: count }, (_, at) => `  option: o${at}\n`).join('');
}
