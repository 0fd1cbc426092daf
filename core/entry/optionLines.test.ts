import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ChoiceOptionSchema } from './field';
import { linesOfOptions, MOST_OPTIONS, optionOfWords, optionsFromLines } from './optionLines';

const labels = (text: string) => optionsFromLines(text, []).options.map(({ label }) => label);

describe('options from lines', () => {
  test.each<[string, string[]]>([
    ['ticks\nfleas\n\nmites', ['ticks', 'fleas', 'mites']],
    ['• ticks\r\n• fleas', ['ticks', 'fleas']],
    ['1. ticks\n2) fleas', ['ticks', 'fleas']],
    ['- ticks\n* fleas', ['ticks', 'fleas']],
    ['-5 °C', ['-5 °C']],
    ['   ', []],
  ])('%j become %j', (text, expected) => {
    expect(labels(text)).toEqual(expected);
  });

  test('words that differ stand behind an equals sign', () => {
    expect(optionsFromLines('poorly = eats little, and has to be coaxed', []).options).toEqual([
      { id: 'o1', label: 'poorly', words: 'eats little, and has to be coaxed' },
    ]);
  });

  test('500 lines are 500 options, and those beyond the most are counted', () => {
    const lines = (count: number) => Array.from({ length: count }, (_, at) => `site ${at}`).join('\n');
    expect(optionsFromLines(lines(500), []).options).toHaveLength(500);
    const { options, over } = optionsFromLines(lines(MOST_OPTIONS + 7), []);
    expect([options.length, over]).toEqual([MOST_OPTIONS, 7]);
  });

  test('one that was there keeps its id, wherever it goes', () => {
    const before = optionsFromLines('ticks\nfleas', []).options;
    const after = optionsFromLines('mites\nfleas\nticks', before).options;
    const idOf = (label: string) => after.find((one) => one.label === label)!.id;
    expect([idOf('ticks'), idOf('fleas')]).toEqual(['o1', 'o2']);
    expect(new Set(after.map(({ id }) => id)).size).toBe(3);
  });

  test('any text makes options that may be kept, and their lines make the same again', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), fc.string(), (one, other) => {
        const { options } = optionsFromLines(`${one}\n${other}`, []);
        for (const option of options) {
          expect(ChoiceOptionSchema.safeParse(option).success || option.label === '').toBe(true);
        }
        expect(new Set(options.map(({ id }) => id)).size).toBe(options.length);
      }),
    );
    fc.assert(
      fc.property(
        fc.array(fc.stringMatching(/^[a-z]{1,20}( = [a-z ]{1,20}[a-z])?$/), { maxLength: 40 }),
        (lines) => {
          const { options } = optionsFromLines(lines.join('\n'), []);
          expect(optionsFromLines(linesOfOptions(options), options).options).toEqual(options);
        },
      ),
    );
  });
});

test('highlighted words become an option whole', () => {
  expect(optionOfWords('calm')).toEqual({ id: 'o1', label: 'calm', words: null });
  const long =
    'it has to be coaxed with a little warm food on the tip of a finger, and takes no more than two or three mouthfuls before it curls up';
  const { label, words } = optionOfWords(long);
  expect(words).toBe(long);
  expect(long.startsWith(label)).toBe(true);
});
