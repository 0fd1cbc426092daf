import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EntryContentSchema, newEntry } from '#core/entry';
import { linesOf, plainPassage, plainText, type BlankInline } from '#core/passage';
import { signsIn, withSignsTaken } from './index';

const entry = (words: string) => newEntry('An entry', 'en-GB', plainPassage(words));
const likely = (words: string) =>
  signsIn([entry(words)])
    .filter((sign) => sign.isLikely)
    .map(({ sample, kind, name }) => [sample, kind, name]);

describe('signs that stand for what differs each time', () => {
  test.each<[string, (readonly [string, string, string])[]]>([
    ['Dear [first name], thank you.', [['[first name]', 'name', 'First name']]],
    ['Dear first name, thank you.', [['first name', 'name', 'Name']]],
    ['Dear Name,', [['Name', 'name', 'Name']]],
    ['Seen on <<date of visit>>.', [['<<date of visit>>', 'date', 'Date of visit']]],
    ['Seen on DD/MM/YYYY at the gate.', [['DD/MM/YYYY', 'date', 'Seen on']]],
    ['It weighs {{weight_in_grams}} today.', [['{{weight_in_grams}}', 'number', 'Weight in grams']]],
    ['{customerName} rang.', [['{customerName}', 'name', 'Customer Name']]],
    ['%FIRST_NAME% rang.', [['%FIRST_NAME%', 'name', 'First name']]],
    ['«Enw» a ffoniodd.', [['«Enw»', 'name', 'Enw']]],
    ['Yours, [your name]', [['[your name]', 'writer', 'Name']]],
    ['Come at [insert time].', [['[insert time]', 'time', 'Time']]],
    ['It is [good/fair/poor].', [['[good/fair/poor]', 'choice', 'Good or fair or poor']]],
    ['Please bring he/she back with his/her box.', [['he/she', 'person', 'Spoken of as']]],
    [
      'Weight: ____ g, given by XXX.',
      [
        ['____', 'number', 'Weight'],
        ['XXX', 'text', 'Given by'],
      ],
    ],
    ['Found at ……… by the road.', [['………', 'text', 'Found at']]],
    ['The species is <species>.', [['<species>', 'text', 'Species']]],
  ])('%s', (words, expected) => {
    expect(likely(words).sort()).toEqual([...expected].map((one) => [...one]).sort());
  });

  test.each([
    'See the guide [1], or [sic] the notes.',
    'Give 5 mg/kg and/or fluids.',
    'Write to office@hollin.example or see https://hollin.example/a/b.',
    'It ran ... and hid.',
    'Temperatures of 38 < T < 40 are usual.',
    'Paid £5 and $6 at once.',
    'Dear Petra Lindow,',
    'A dog/cat carrier will do.',
  ])('%s has none that is likely', (words) => {
    expect(likely(words)).toEqual([]);
  });

  test('“a/b” within words is shown, for a person to decide', () => {
    expect(signsIn([entry('A dog/cat carrier will do.')])).toMatchObject([
      { sample: 'dog/cat', kind: 'choice', options: ['dog', 'cat'], isLikely: false },
    ]);
  });

  test('the same sign is one for all entries, however it is written, and counted', () => {
    const signs = signsIn([entry('[first name], [First Name] and {first_name}'), entry('To [FIRST NAME]')]);
    expect(signs).toMatchObject([{ name: 'First name', places: 4, entries: 2 }]);
  });
});

describe('signs taken', () => {
  const blanks = (words: string) => {
    const content = entry(words);
    const taken = withSignsTaken(content, new Map(signsIn([content]).map((sign) => [sign.key, sign])));
    const found = linesOf(taken.wordings[0]!.parts[0]!.passage)
      .flat()
      .filter((inline): inline is BlankInline => inline.type === 'blank');
    return { taken, blanks: found.map(({ attrs }) => [attrs.field, attrs.form]) };
  };

  test('become blanks of one field throughout, of the right kind', () => {
    const { taken, blanks: found } = blanks(
      'Dear [name], he/she came on [date]. [Name], his/her box is here.',
    );
    expect(found).toEqual([
      ['name', 'as-is'],
      ['spoken-of-as', 'they'],
      ['date', 'as-is'],
      ['name', 'as-is'],
      ['spoken-of-as', 'their'],
    ]);
    expect(taken.fields.map(({ kind, name }) => [kind, name])).toEqual([
      ['detail', 'Name'],
      ['person', 'Spoken of as'],
      ['date', 'Date'],
    ]);
  });

  test('what is refused stays as it is written', () => {
    const content = entry('Dear [name], on [date].');
    const [name] = signsIn([content]).filter(({ kind }) => kind === 'name');
    const taken = withSignsTaken(content, new Map([[name!.key, name!]]));
    expect(plainText(taken.wordings[0]!.parts[0]!.passage, '_')).toBe('Dear _, on [date].');
    expect(withSignsTaken(content, new Map())).toBe(content);
  });

  test('whatever stands in a text, the entry stays one that can be kept, and nothing else of it changes', () => {
    const piece = fc.constantFrom(
      '[name]',
      '<<date>>',
      'XXX',
      '____',
      'he/she',
      '[good/poor]',
      'a/b',
      '{x}',
      '[[y',
      ' ',
      'words',
      '. ',
      ']',
      '%A%',
      'Dear name',
      '\n\n',
      '\n',
    );
    fc.assert(
      fc.property(fc.array(piece, { maxLength: 14 }), (pieces) => {
        const content = entry(pieces.join(''));
        const signs = signsIn([content]);
        const taken = withSignsTaken(content, new Map(signs.map((sign) => [sign.key, sign])));
        expect(EntryContentSchema.safeParse(taken).success).toBe(true);
        const left = linesOf(taken.wordings[0]!.parts[0]!.passage);
        const count = left.flat().filter(({ type }) => type === 'blank').length;
        expect(count).toBe(signs.reduce((sum, { places }) => sum + places, 0));
        expect(signsIn([taken]).every(({ places }) => places >= 0)).toBe(true);
        expect(new Set(taken.fields.map(({ id }) => id)).size).toBe(taken.fields.length);
      }),
      { numRuns: 300 },
    );
  });
});
