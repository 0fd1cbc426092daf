import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { act, cleanup, renderHook, waitFor } from '@testing-library/react';
import { tableShapes, type IntakeTable } from '#core/intake';
import { mainPassage } from '#core/entry';
import { plainText } from '#core/passage';
import { personalFinder } from '#core/privacy';
import { useIntake } from './useIntake';

beforeEach(() => localStorage.clear());
afterEach(cleanup);

const TABLE: IntakeTable = {
  name: '',
  heads: ['Title', 'Abbreviation', 'Text', 'Category'],
  rows: [
    ['Fed', 'fe', 'It ate well.', 'Ward'],
    ['Weighed', 'we', 'It weighs [weight] g.', 'Ward'],
    ['Thanks', 'ty', 'Thank you, Petra Lindow, for bringing it in.', 'Letters'],
    ['Nothing yet', 'no', '', 'Letters'],
  ],
  remarks: [],
};
const FIND = personalFinder({ names: ['Petra Lindow'], numbers: [] }, new Set());

/** What is brought in, as a page has it; details are looked for where a finder is given. */
const bringing = (tables = [TABLE], find: typeof FIND | null = null) =>
  renderHook(() => useIntake({ shapes: tableShapes(tables), remarks: [] }, 'Wordings.xlsx', find));
type Result = ReturnType<typeof bringing>['result'];

const entries = ({ current }: Result) => current.file.entries.map(({ content }) => content);
const words = (result: Result) => entries(result).map((content) => plainText(mainPassage(content)));
const titles = (result: Result) => entries(result).map(({ title }) => title);
const columnOf = ({ current }: Result, head: string) => current.shape.table.heads.indexOf(head);

test('columns are read by their heads; a row without words is left, and told', () => {
  const { result } = bringing();
  expect(result.current.columns.map(({ role }) => role)).toEqual(['title', 'cue', 'wording', 'collection']);
  expect(titles(result)).toEqual(['Fed', 'Weighed', 'Thanks']);
  expect(entries(result)[0]!.cues).toEqual([{ text: 'fe' }]);
  expect(result.current.left.map(({ words: told }) => told)).toEqual([
    expect.stringContaining('Nothing yet'),
  ]);
});

describe('changed by hand', () => {
  test('a title, a cue and words stay as given, whatever else is changed', () => {
    const { result } = bringing();
    act(() => result.current.edit(0, { title: 'Ate', cue: ' ate ' }));
    act(() => result.current.edit(0, { words: 'It ate everything.' }));
    act(() => result.current.setLanguage('de'));
    const [first] = entries(result);
    expect([first!.title, first!.cues, words(result)[0]]).toEqual([
      'Ate',
      [{ text: 'ate' }],
      'It ate everything.',
    ]);
    expect(first!.wordings[0]!.language).toBe('de');
  });

  test('a cue that is emptied is none; a title that is emptied stays what it was', () => {
    const { result } = bringing();
    act(() => result.current.edit(0, { title: '  ', cue: '' }));
    expect([titles(result)[0], entries(result)[0]!.cues]).toEqual(['Fed', []]);
  });

  test('words given to a row that had none make it an entry, and it is no longer left', () => {
    const { result } = bringing();
    const [row] = result.current.left;
    act(() => result.current.edit(row!.row, { words: 'Nothing was found.' }));
    expect(words(result)).toContain('Nothing was found.');
    expect(result.current.left).toEqual([]);
    act(() => result.current.edit(row!.row, { words: '' }));
    expect(result.current.left).toHaveLength(1);
  });

  test('many rows at once, each on top of what was changed in it before', () => {
    const { result } = bringing();
    act(() => result.current.edit(1, { title: 'On the scales' }));
    act(() => result.current.editMany(new Map([0, 1].map((row) => [row, { cue: `c${row}` }]))));
    expect(titles(result).slice(0, 2)).toEqual(['Fed', 'On the scales']);
    expect(entries(result).map(({ cues }) => cues[0]?.text)).toEqual(['c0', 'c1', 'ty']);
  });

  test('with another table what was changed in rows of the first does not come along', () => {
    const other = { ...TABLE, heads: ['Name', 'Wording'], rows: [['Slept', 'It slept.']] };
    const { result } = bringing([TABLE, other]);
    act(() => result.current.edit(0, { title: 'Ate' }));
    const at = result.current.shapes.findIndex(({ table }) => table.rows.length === 1);
    act(() => result.current.pickShape(at));
    expect(titles(result)).toEqual(['Slept']);
  });
});

test('a column is something else from then on, and the next time a table has these heads', () => {
  const first = bringing();
  const column = columnOf(first.result, 'Category');
  act(() => first.result.current.joinColumn(column, { role: 'leave' }));
  expect(first.result.current.hasGroups).toBe(false);
  const next = bringing();
  expect(next.result.current.columns[column]).toEqual({ role: 'leave' });
});

test('groups are collections within the one that is made, or tags', () => {
  const { result } = bringing();
  expect(result.current.file.collections.map(({ name }) => name)).toEqual(['Wordings', 'Ward', 'Letters']);
  act(() => result.current.setGroups('tags'));
  expect(result.current.file.collections.map(({ name }) => name)).toEqual(['Wordings']);
  expect(entries(result).map(({ tags }) => tags)).toEqual([['Ward'], ['Ward'], ['Letters']]);
});

test('a sign that stands for something is a blank until it is said that it is none, and is called as one says', () => {
  const { result } = bringing();
  const sign = result.current.signs.find(({ key }) => key.includes('weight'))!;
  act(() => result.current.decideSign(sign.key, { isTaken: true, name: 'Weight today' }));
  expect(entries(result)[1]!.fields.map(({ name }) => name)).toEqual(['Weight today']);
  act(() => result.current.decideSign(sign.key, { isTaken: false }));
  expect([entries(result)[1]!.fields, words(result)[1]]).toEqual([[], 'It weighs [weight] g.']);
  // As it was before any sign became a blank, whatever is decided.
  expect(result.current.wordsOf(result.current.file.entries[1]!.id)).toBe('It weighs [weight] g.');
});

test('somebody’s details become blanks, unless one of them is left as it is', async () => {
  const { result } = bringing([TABLE], FIND);
  expect(result.current.personal).toBeNull();
  await waitFor(() => expect(result.current.personal).not.toBeNull());
  expect(result.current.personal).toEqual([{ words: 'Petra Lindow', places: 1, isTaken: true }]);
  expect(words(result)[2]).not.toContain('Petra');
  act(() => result.current.togglePersonal('Petra Lindow'));
  await waitFor(() => expect(result.current.personal![0]!.isTaken).toBe(false));
  expect(words(result)[2]).toContain('Petra Lindow');
});
