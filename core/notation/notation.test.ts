import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EntryContentSchema } from '#core/entry';
import { anyEntry } from '#core/testing';
import { notationErrorInWords, readEntry, writeEntry } from '.';

const NOTE = `title: Discharge
tag: discharge
cue fires=last: dis

field Name: detail name

field Appetite: choice
  question: How does it eat?
  option: well
  option: poorly = eats little and has to be coaxed
  none: not seen to eat

field Days: number
  unit: day|days
  least: 0

field Check: computed
  moved: Days days from today

when thin: all("Appetite" is "poorly"; "Days" is over 14)

== wording English: en-GB
-- part Subject

{Name} goes home

-- part Message

**Plan:** {Name} goes home on {Check|weekday}[when thin:  with **extra feeds**].

- [confirm: No wound is open.]
- It {Appetite}, see [link <https://hollin.example/feeding>: the sheet].

| Day | # Weight |
| {Days\\|} | 1 \\| 2 |
`;

describe('the compact notation', () => {
  test('any entry is the same after it was written and read', () => {
    fc.assert(
      fc.property(anyEntry, (entry) => {
        const content = EntryContentSchema.parse(entry);
        const read = readEntry(writeEntry(content));
        expect(read.ok ? read.value : read.error).toEqual(content);
      }),
      { numRuns: 150 },
    );
  });

  test('as people type it: ids are made of names, and what is written is what was typed', () => {
    const typed = NOTE.replace('{Days\\|}', '{Days|words}');
    const read = readEntry(typed);
    if (!read.ok) throw new Error(JSON.stringify(read.error));
    expect(read.value.fields.map(({ id }) => id)).toEqual(['name', 'appetite', 'days', 'check']);
    expect(read.value.fields[3]).toMatchObject({
      calculation: { by: 'moved', from: 'today', count: { field: 'days' }, step: 'days' },
    });
    expect(read.value.conditions).toEqual([
      {
        id: 'thin',
        when: {
          test: 'all',
          of: [
            { test: 'is', field: 'appetite', value: 'poorly' },
            { test: 'over', field: 'days', value: 14 },
          ],
        },
      },
    ]);
    expect(writeEntry(read.value).trim()).toBe(typed.trim());
  });

  test('a condition may be written where it is used', () => {
    const read = readEntry(
      'title: A\nfield Wet: yes-no\n== wording Main\nIt rained[when (Wet is "yes"):  hard].',
    );
    expect(read.ok && read.value.conditions).toEqual([
      { id: 'c', when: { test: 'is', field: 'wet', value: 'yes' } },
    ]);
  });

  test.each([
    [
      'a blank of no field',
      'title: A\n== wording Main\n\nIt ate {Much}.',
      '4:9',
      'There is no field called “Much”.',
    ],
    [
      'a form that is none',
      'title: A\nfield B: text\n== wording Main\nIt {B|loud}',
      '4:7',
      'has no form “loud”',
    ],
    [
      'a bracket left open',
      'title: A\n== wording Main\nOne\n[confirm: two',
      '4:1',
      '“[confirm” is opened here',
    ],
    ['a bracket that closes nothing', 'title: A\n== wording Main\n- a]', '3:4', '“]” closes nothing'],
    ['marks crossed', 'title: A\n== wording Main\n**a [italic: b** c]', '3:15', 'still open'],
    [
      'a bracket that means nothing',
      'title: A\n== wording Main\n[shout: a]',
      '3:1',
      '“[shout” means nothing',
    ],
    [
      'a kind that is none',
      'title: A\nfield B: colour\n== wording Main\nx',
      '2:10',
      '“colour” is not a kind of field',
    ],
    ['an unknown line', 'title: A\nauthor: me\n== wording Main\nx', '2:1', 'No line may begin with “author”'],
    [
      'an unknown line of a field',
      'title: A\nfield B: text\n  shape: x\n== wording Main\nx',
      '3:3',
      '“shape”',
    ],
    ['a condition of no field', 'title: A\nwhen c: "B" is answered\n== wording Main\nx', '2:9', '“B”'],
    [
      'a test that is none',
      'title: A\nfield B: text\nwhen c: B is big\n== wording Main\nx',
      '3:14',
      '“big” is not a test',
    ],
    ['a condition not known', 'title: A\n== wording Main\n[when c: x]', '3:7', 'no condition called “c”'],
    [
      'a step that is none',
      'title: A\nfield B: computed\n  moved: 3 moons from today\n== wording M\nx',
      '3:12',
      '“moons” is not a step',
    ],
    [
      'a calculation of no field',
      'title: A\nfield B: computed\n  age: Born at today\n== wording M\nx',
      '3:8',
      '“Born”',
    ],
    ['a link that is not safe', 'title: A\n== wording M\n[link <javascript:x>: y]', '3:8', 'a link to http'],
    ['a backslash at the end', 'title: A\n== wording M\nx\\', '3:2', 'A backslash ends the line'],
    ['no wording', 'title: A', '1:1', 'There is no wording'],
    ['no title', 'purpose: A\n== wording M\nx', '1:1', 'give the entry a title'],
    [
      'a choice without options',
      'title: A\nfield B: choice\n== wording M\nx',
      '2:1',
      'a choice needs at least one option',
    ],
    ['a cell not closed', 'title: A\n== wording M\n| a | b', '3:8', '“|” after the cell'],
  ])('%s is told at its line and column', (_what, source, place, words) => {
    const read = readEntry(source);
    if (read.ok) throw new Error('it was read');
    expect(`${read.error.line}:${read.error.column}`).toBe(place);
    expect(notationErrorInWords(read.error)).toContain(words);
  });

  test('whatever is typed is read or refused at a place in it, and never throws', () => {
    const slip = fc.record({
      at: fc.nat(NOTE.length),
      cut: fc.nat(12),
      put: fc.oneof(
        fc.constantFrom('[', ']', '{', '}', '|', '\\', '**', '\n', ':', '"', '== ', '  '),
        fc.string(),
      ),
    });
    fc.assert(
      fc.property(fc.array(slip, { maxLength: 4 }), (slips) => {
        const typed = slips.reduce(
          (text, { at, cut, put }) => text.slice(0, at) + put + text.slice(at + cut),
          NOTE,
        );
        const read = readEntry(typed);
        if (read.ok) return;
        const lines = typed.split(/\r\n|\n|\r/);
        expect(read.error.line).toBeGreaterThanOrEqual(1);
        expect(lines[read.error.line - 1]!.length + 1).toBeGreaterThanOrEqual(read.error.column);
        expect(notationErrorInWords(read.error)).not.toBe('');
      }),
      { numRuns: 600 },
    );
  });
});
