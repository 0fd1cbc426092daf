import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plainText } from '#core/passage';
import { finishedPassage, gapsOf } from '#core/fill';
import { readEntry } from '#core/notation';
import {
  addressLabel,
  columnsOf,
  Decider,
  emptySetup,
  faultsOfRow,
  fileNamesOf,
  hasMovedOn,
  letterState,
  rowLetter,
  sealOf,
  takenIn,
  conditionsOfColumn,
  type BatchSetup,
} from '.';

const TODAY = '2026-11-24';

const ENTRY = (words: string) => {
  const read = readEntry(`title: Welcome
field Name: detail customer
field Role: text
field Begins: date
field Days: number
== wording Main: en-GB
-- part Subject
Your application
-- part Message
${words}
== wording Cymraeg: cy
Annwyl {Name}, croeso.`);
  if (!read.ok) throw new Error(JSON.stringify(read));
  return { id: 'welcome', revision: 1, content: read.value };
};
const HEADS = ['Name', 'Email', 'Role', 'Begins', 'Days', 'Language', 'Decision'];
const ROWS = [
  ['Petra Lindow', 'petra@marsh.example', 'gull watcher', '04/03/2026', '3', 'English', 'accepted'],
  ['Elin Rhos', 'elin@marsh.example', 'driver', '25/03/2026', '12', 'Cymraeg', 'accepted'],
  ['Owen Marl', 'owen@marsh', 'driver', 'soon', '', 'English', 'Declined'],
];
const setupOf = (over: Partial<BatchSetup> = {}): BatchSetup => ({
  ...emptySetup(TODAY),
  columns: columnsOf(
    { heads: HEADS, rows: ROWS },
    { fields: ['Role', 'Begins', 'Days'], today: TODAY, language: 'en-GB' },
  ).map((column) => (column.head === 'Begins' ? { ...column, kind: 'date' } : column)),
  ...over,
});
const words = (document: ReturnType<typeof rowLetter>) => plainText(finishedPassage(document)).trim();
const WORDS = 'Dear {Name}, you begin as {Role} on {Begins|long} for {Days} days.';

describe('the letter of a row', () => {
  test('has its details and fields filled, each as its column is read, and the rest of the wording as it is', () => {
    const made = rowLetter(ROWS[0]!, 0, { setup: setupOf(), entry: ENTRY(WORDS), wording: null });
    expect(words(made)).toBe(
      'Subject: Your application\n\nDear Petra Lindow, you begin as gull watcher on 4 March 2026 for 3 days.',
    );
    expect(gapsOf(made)).toEqual([]);
  });

  test('is in the language of its row, by what the table calls it; in a wording where that is decided', () => {
    const request = { setup: setupOf(), entry: ENTRY(WORDS), wording: null };
    expect(words(rowLetter(ROWS[1]!, 1, request))).toBe('Annwyl Elin Rhos, croeso.');
    const [main] = request.entry.content.wordings;
    expect(words(rowLetter(ROWS[1]!, 1, { ...request, wording: main!.id }))).toContain('Dear Elin Rhos');
  });

  test('has a gap where a cell is empty or cannot be read, and the row is told with it', () => {
    const made = rowLetter(ROWS[2]!, 2, { setup: setupOf(), entry: ENTRY(WORDS), wording: null });
    expect(gapsOf(made).map(({ name }) => name)).toEqual(['Begins', 'Days']);
    expect(faultsOfRow(setupOf(), ROWS[2]!).map((one) => one.words)).toEqual([
      '“owen@marsh” is not an email address',
      '“soon” is not a date',
    ]);
    expect(faultsOfRow(setupOf(), ['A', '', '', '', '', '', '']).map((one) => one.words)).toEqual([
      'no email address',
    ]);
  });

  test('never runs, nor takes apart, what a cell says', () => {
    const evil = ['=HYPERLINK("x")', 'e@marsh.example', '{Name} & <b>', '04/03/2026', '3', '', ''];
    const made = rowLetter(evil, 0, { setup: setupOf(), entry: ENTRY(WORDS), wording: null });
    expect(words(made)).toContain('Dear =HYPERLINK("x"), you begin as {Name} & <b> on');
  });

  test('turns alternates from row to row', () => {
    const read = readEntry(
      'title: Hi\nfield Hello: alternates\n  alternate: Good day\n  alternate: Hello\n== wording Main: en-GB\n{Hello}!',
    );
    if (!read.ok) throw new Error(JSON.stringify(read));
    const entry = { id: 'hi', revision: 1, content: read.value };
    const made = [0, 1, 2].map((at) => words(rowLetter([], at, { setup: setupOf(), entry, wording: null })));
    expect(new Set(made.slice(0, 2)).size).toBe(2);
    expect(made[0]).toBe(made[2]);
  });
});

describe('a letter changed by hand', () => {
  const before = rowLetter(ROWS[0]!, 0, { setup: setupOf(), entry: ENTRY(WORDS), wording: null });
  const mine = JSON.parse(JSON.stringify(before).replace('begin as', 'commence as')) as typeof before;

  test('keeps what was changed, and takes in what its wording has become', () => {
    const fresh = rowLetter(ROWS[0]!, 0, {
      setup: setupOf(),
      entry: ENTRY(`${WORDS} Bring boots.`),
      wording: null,
    });
    expect(hasMovedOn({ document: mine, base: before }, fresh)).toBe(true);
    const taken = takenIn({ document: mine, base: before }, fresh);
    expect(taken.clashes).toBe(0);
    expect(words(taken.document)).toContain('you commence as gull watcher');
    expect(words(taken.document)).toContain('for 3 days. Bring boots.');
  });

  test('takes in what its row has become, and says where both touched the same words', () => {
    const other = ENTRY(WORDS.replace('begin', 'start'));
    const cells = ROWS[0]!.map((cell) => (cell === 'gull watcher' ? 'seal nurse' : cell));
    const fresh = rowLetter(cells, 0, { setup: setupOf(), entry: other, wording: null });
    const taken = takenIn({ document: mine, base: before }, fresh);
    expect(taken.clashes).toBeGreaterThan(0);
    expect(words(taken.document)).toContain('you commence as seal nurse');
  });

  test('is as it was where nothing but the number of the revision has changed', () => {
    const entry = { ...ENTRY(WORDS), revision: 2 };
    const fresh = rowLetter(ROWS[0]!, 0, { setup: setupOf(), entry, wording: null });
    expect(hasMovedOn({ document: mine, base: before }, fresh)).toBe(false);
  });
});

describe('decisions', () => {
  const is = (value: string) => ({ test: 'is' as const, field: 'c7', value });
  const rules = [
    {
      id: 'r1',
      when: { test: 'all' as const, of: [is('accepted'), { test: 'over' as const, field: 'c5', value: 5 }] },
      entry: 'long',
      wording: null,
    },
    { id: 'r2', when: is('accepted'), entry: 'welcome', wording: null },
  ];
  test('are by the first rule that holds; what fits none is a pile of its own', () => {
    const decider = new Decider(setupOf({ rules }));
    expect(ROWS.map((row) => decider.ruleFor(row)?.entry ?? null)).toEqual(['welcome', 'long', null]);
  });
  describe('of a column', () => {
    const setup = setupOf();
    const column = setup.columns[6]!;
    const withValues = (values: readonly string[]) =>
      conditionsOfColumn(
        setup,
        column,
        values.map((value) => ['', '', '', '', '', '', value]),
      );
    test('are one for each value, capitals aside, the most frequent first', () => {
      const { conditions, left } = conditionsOfColumn(setup, column, [
        ...ROWS,
        ['', '', '', '', '', '', 'ACCEPTED'],
      ]);
      const is = (value: string) => ({ test: 'is', field: column.id, value });
      expect([conditions, left]).toEqual([[is('accepted'), is('Declined')], 0]);
    });
    test('are twenty at the most, for those that most rows have', () => {
      const values = Array.from({ length: 25 }, (_, at) => `v${at}`);
      const { conditions, left } = withValues([...values, 'v24', 'v24', 'v23']);
      expect([conditions.length, left]).toEqual([20, 5]);
      expect(conditions.slice(0, 2)).toMatchObject([{ value: 'v24' }, { value: 'v23' }]);
    });
    test('are none for a value of more words than a rule holds: cut, it would fit no row', () => {
      const long = 'x'.repeat(201);
      expect(withValues([long, long, 'short'])).toMatchObject({ conditions: [{ value: 'short' }], left: 1 });
    });
  });
});

describe('the state of a letter', () => {
  const facts = {
    isDecided: true,
    isHeld: false,
    checked: null,
    seal: 'a',
    gaps: 0,
    gone: null,
    sending: null,
  };
  test.each([
    [{}, 'to-check'],
    [{ checked: 'a' }, 'checked'],
    [{ checked: 'b' }, 'to-check'],
    [{ checked: 'a', gaps: 1 }, 'to-check'],
    [{ isDecided: false, checked: 'a' }, 'undecided'],
    [{ checked: 'a', isHeld: true }, 'held'],
    [{ checked: 'a', gone: 'docx' }, 'gone'],
    [{ checked: 'a', sending: 'waiting' as const }, 'on-its-way'],
    [{ isHeld: true, sending: 'gone' as const }, 'gone'],
    [{ sending: 'perhaps-gone' as const }, 'perhaps-gone'],
    [{ checked: 'a', sending: 'taken-back' as const }, 'checked'],
  ])('%j is %s', (over, state) => {
    expect(letterState({ ...facts, ...over })).toBe(state);
  });
  test('seals of other words are others', () => {
    const seals = new Set(Array.from({ length: 20_000 }, (_, at) => sealOf(`Dear person ${at}, welcome.`)));
    expect(seals.size).toBe(20_000);
    expect(sealOf('ab')).not.toBe(sealOf('ba'));
  });
});

describe('names of files', () => {
  const named = (fileNames: string, rows: string[][]) =>
    fileNamesOf(
      setupOf({ fileNames }),
      rows.map((cells, position) => ({ cells, position })),
    );
  test('follow their pattern; two alike are told apart, and what no system takes is left out', () => {
    const rows = [
      ['Petra', '', 'a/b:c'],
      ['PETRA', '', 'a b c'],
      ['', '', ''],
    ];
    expect(named('{Name} {role}', rows)).toEqual(['Petra a b c', 'PETRA a b c (2)', '3']);
    expect(
      named(
        '{n}',
        Array.from({ length: 12 }, () => []),
      )[0],
    ).toBe('01');
    expect(named('{Name}', [['con'], ['../../etc'], ['...']])).toEqual(['con_', 'etc', '3']);
  });
  test('are never alike, never empty, and name no folder', () => {
    fc.assert(
      fc.property(fc.array(fc.array(fc.string(), { maxLength: 3 }), { maxLength: 12 }), (rows) => {
        const names = named('{Name}', rows);
        expect(new Set(names.map((name) => name.toLocaleLowerCase())).size).toBe(names.length);
        for (const name of names) {
          expect(name).not.toBe('');
          expect(name).not.toMatch(/[/\\:*?"<>|]|^\.|[. ]$/);
        }
      }),
    );
  });
});

test('an address label has the lines of an address in their order, those without words left out', () => {
  const heads = ['Postcode', 'Name', 'Street', 'Town'];
  const columns = columnsOf({ heads, rows: [] }, { fields: [], today: TODAY, language: 'en-GB' });
  expect(addressLabel({ columns }, ['HM1 2AB', 'Petra Lindow', '3 Reed Lane, Flat 2', ''])).toEqual([
    ...['Petra Lindow', '3 Reed Lane', 'Flat 2', 'HM1 2AB'],
  ]);
});
