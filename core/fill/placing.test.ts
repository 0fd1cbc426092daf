import { describe, expect, test } from '@jest/globals';
import { lastAnswers, type Answers } from '#core/draft';
import { readEntry } from '#core/notation';
import { plainText } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { finishedPassage, matchingPickables, place, type PlaceRequest } from '.';

/** An entry as people type it. */
function entry(source: string) {
  const read = readEntry(`title: A\n${source}`);
  if (!read.ok) throw new Error(JSON.stringify(read.error));
  return read.value;
}

const text = (path: string, value: string) => ({
  path,
  value: { kind: 'text' as const, text: value },
  source: 'Case',
  asOf: null,
});
const weight = (value: number, measured: string) => ({
  code: 'weight',
  label: 'Weight',
  value,
  unit: 'g',
  measured,
  minute: null,
  by: null,
  source: 'Measurement',
});
const record: CaseRecord = {
  ...emptyRecord(),
  details: [text('name', 'Bramble'), text('language', 'cy-GB')],
  measurements: [weight(412, '2026-11-14'), weight(398, '2026-11-16'), weight(512, '2026-11-23')],
  medicines: [
    { name: 'Levamisole', dose: null, status: 'active', since: '2026-11-14', until: null, source: 'List' },
    { name: 'Saline', dose: null, status: 'ended', since: '2026-11-14', until: null, source: 'List' },
  ],
  care: [
    {
      label: 'Lungworm screening',
      every: { count: 1, step: 'months' },
      done: '2026-10-31',
      from: null,
      source: 'Plan',
    },
    {
      label: 'Wing check',
      every: { count: 1, step: 'weeks' },
      done: null,
      from: '2026-11-27',
      source: 'Plan',
    },
  ],
};

const setting = { record, today: '2026-11-28', now: '08:15', id: 'p', cue: null };

function placed(source: string, request: Partial<PlaceRequest> = {}) {
  return place({ ...setting, entry: { id: 'e', revision: 1, content: entry(source) }, ...request });
}
const reads = (source: string, request: Partial<PlaceRequest> = {}) =>
  plainText(finishedPassage(placed(source, request).passage));

describe('what the record says', () => {
  test.each([
    ['a list as a sentence', 'medicines', '{D}', 'Levamisole'],
    ['a list as bullets', 'medicines', '{D|bullets}', '- Levamisole'],
    [
      'weights as a table, each with its change',
      'weight',
      '{D|table}',
      'Date | Weight (g) | Change\n14 November 2026 | 412 | \n16 November 2026 | 398 | −14\n23 November 2026 | 512 | +114',
    ],
    ['an amount with its day', 'weight', 'It weighs {D|dated}.', 'It weighs 512 g (23 November 2026).'],
    [
      'care that is due, at month ends too',
      'due',
      '{D|lines}',
      'Wing check: overdue since 27 November 2026, never done\nLungworm screening: due 30 November 2026, last done 31 October 2026',
    ],
    ['the change since admission', 'weight change', 'Gained {D}.', 'Gained 100 g.'],
  ])('%s', (_what, path, words, expected) => {
    const found = reads(`field D: detail ${path}\n== wording M\n${words}`);
    expect(found.replace(/\t/g, ' | ')).toBe(expected);
  });

  test('what it does not say becomes a question', () => {
    const { passage } = placed('field D: detail temperature\n== wording M\n{D|bullets}');
    expect(JSON.stringify(passage)).toContain('"state":"gap"');
  });
});

describe('greetings, alternates and who writes', () => {
  const greeting =
    'field G: alternates\n  by time of day\n  alternate until 12:00: Good morning\n  alternate until 18:00: Good afternoon\n  alternate: Good evening\n== wording M\n{G}.';
  test.each([
    ['00:00', 'Good morning.'],
    ['11:59', 'Good morning.'],
    ['12:00', 'Good afternoon.'],
    ['17:59', 'Good afternoon.'],
    ['18:00', 'Good evening.'],
    ['23:59', 'Good evening.'],
  ])('at %s it is %s', (now, expected) => expect(reads(greeting, { now })).toBe(expected));

  test('the same person is never given the same alternate twice running', () => {
    const source =
      'field C: alternates\n  alternate: Yours\n  alternate: Best wishes\n  alternate: Kindly\n== wording M\n{C}';
    let last: Answers = {};
    const said = Array.from({ length: 7 }, () => {
      const { placement, passage } = placed(source, { last });
      last = lastAnswers([{ entry: 'e', answers: placement.answers }], 'e');
      return plainText(passage);
    });
    expect(said.slice(0, 4)).toEqual(['Yours', 'Best wishes', 'Kindly', 'Yours']);
    said.forEach((one, at) => expect(one).not.toBe(said[at + 1]));
  });

  test('wording is signed with the details of who writes; what is not known is asked', () => {
    const source = 'field N: writer first name\nfield J: writer job\n== wording M\n{N}, {J}';
    const writer = {
      name: 'Anouk Fell',
      job: 'Helpline',
      email: 'anouk@hollin.example',
      phone: 'extension 214',
    };
    expect(reads(source, { writer })).toBe('Anouk, Helpline');
    expect(reads(source, { writer: { ...writer, job: '' } })).toBe('Anouk, ');
  });

  test('an answer given last is offered again only where the field says so', () => {
    const source = 'field A: text\n  offer last answer\nfield B: text\n== wording M\n{A} {B}';
    const last: Answers = { a: { kind: 'text', text: 'x' }, b: { kind: 'text', text: 'y' } };
    const { placement } = placed(source, { last });
    expect([placement.offered, placement.answers]).toEqual([{ a: last.a }, {}]);
  });
});

describe('wordings, parts and entries within entries', () => {
  const two =
    '== wording English: en-GB\n-- part Subject\nHello\n-- part Text\nGood day\n== wording Cymraeg: cy\n-- part Subject\nHelo\n-- part Text\nDydd da';

  test('the case chooses the wording by its language, be it of another region; or it is named', () => {
    expect(reads(two)).toBe('Dydd da');
    expect(reads(two, { wording: 'english' })).toBe('Good day');
    expect(reads(two, { record: emptyRecord() })).toBe('Good day');
  });

  test('all parts but the last go to boxes of their own', () => {
    expect(placed(two).boxes.map(({ name, passage }) => [name, plainText(passage)])).toEqual([
      ['Subject', 'Helo'],
    ]);
  });

  test('an entry within an entry brings its words, fields and conditions; one not to be had brings nothing', () => {
    const inner = entry(
      'field Name: detail name\nfield Loud: computed\n  formula: UPPER(Name)\nfield Wet: yes-no\nwhen wet: "Wet" is "yes"\n== wording M\nIt is {Loud}[when wet: , and wet].',
    );
    const find = (id: string) => (id === 'inner' ? inner : undefined);
    const source =
      'field Name: text\n== wording M\n{Name} says: [include inner] [include gone]\n\n[include gone]';
    const answers: Answers = {
      name: { kind: 'text', text: 'Odile' },
      'inner:wet': { kind: 'yes-no', yes: true },
    };
    expect(reads(source, { find, answers }).trim()).toBe('Odile says: It is BRAMBLE, and wet.');
  });

  test('a ring of entries ends, should one ever be stored', () => {
    const ring = entry('== wording M\nOne [include e]');
    expect(reads('== wording M\nOne [include e]', { find: () => ring }).startsWith('One One')).toBe(true);
  });
});

describe('looking for one of many options', () => {
  const sites = ['Salt marsh', 'Marsh edge', 'Old quay', 'Étang', 'Saltpan hide', 'North salt marsh'].map(
    (label, at) => ({ id: `o${at}`, label }),
  );
  test.each<[string, string[]]>([
    ['', sites.map(({ label }) => label)],
    ['salt', ['Salt marsh', 'Saltpan hide', 'North salt marsh']],
    ['marsh', ['Marsh edge', 'Salt marsh', 'North salt marsh']],
    ['marsh no', ['North salt marsh']],
    ['etang', ['Étang']],
    ['  QUAY ', ['Old quay']],
    ['heath', []],
  ])('%j finds %j', (asked, found) => {
    expect(matchingPickables(sites, asked).map(({ label }) => label)).toEqual(found);
  });
});
