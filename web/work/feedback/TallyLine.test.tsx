import { afterEach, expect, jest, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { emptyDraft } from '#core/draft';
import { tallyOf, type Criterion } from '#core/work';
import { levelInWords, TallyLine } from './TallyLine';

afterEach(cleanup);

const level = (id: string, points: number | null) => ({ id, name: id, words: '', points });
const METHOD: Criterion = { id: 'm', name: 'Method', levels: [level('good', 2), level('poor', 1)] };
const STYLE: Criterion = { id: 's', name: 'Style', levels: [] };
const tally = (levels: Record<string, string>) => {
  const empty = emptyDraft();
  return tallyOf({ ...empty, attrs: { ...empty.attrs, levels } }, [METHOD, STYLE]);
};

test('each criterion that has levels can be given one, and have it taken away', () => {
  const give = jest.fn();
  const { rerender } = render(<TallyLine tally={tally({})} give={give} />);
  expect(screen.getAllByRole('combobox')).toHaveLength(1);
  const choice = screen.getByRole('combobox', { name: 'Level for Method' });
  fireEvent.change(choice, { target: { value: 'poor' } });
  expect(give).toHaveBeenLastCalledWith(METHOD, METHOD.levels[1]);
  rerender(<TallyLine tally={tally({ m: 'poor' })} give={give} />);
  expect(screen.getByText('1 of 2 points')).toBeDefined();
  fireEvent.change(choice, { target: { value: '' } });
  expect(give).toHaveBeenLastCalledWith(METHOD, null);
});

test('finished, the levels are read and not chosen; without criteria and comments nothing is said', () => {
  const { container, rerender } = render(<TallyLine tally={tally({ m: 'good' })} give={null} />);
  expect(screen.queryByRole('combobox')).toBeNull();
  expect(screen.getByText('good (2 points)')).toBeDefined();
  rerender(<TallyLine tally={tallyOf(emptyDraft(), [])} give={null} />);
  expect(container.childElementCount).toBe(0);
});

test.each([
  [level('good', null), 'good'],
  [level('good', 1), 'good (1 point)'],
  [level('good', 2.5), 'good (2.5 points)'],
  [level('good', 0), 'good (0 points)'],
])('%j in words', (one, words) => expect(levelInWords(one)).toBe(words));
