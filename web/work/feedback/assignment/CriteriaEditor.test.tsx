import { afterEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { CriteriaEditor, criteriaWritten, writtenCriteria, type WrittenCriterion } from './CriteriaEditor';

afterEach(cleanup);

let now: readonly WrittenCriterion[] = [];
const tell = (criteria: readonly WrittenCriterion[]) => {
  now = criteria;
};

function Form({ begun }: { begun: readonly WrittenCriterion[] }) {
  const [criteria, put] = useState(begun);
  useEffect(() => tell(criteria));
  return <CriteriaEditor criteria={criteria} put={put} />;
}

const type = (label: string, value: string) =>
  fireEvent.change(screen.getByRole('textbox', { name: label }), { target: { value } });
const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }));
const here = () => document.activeElement;

test('criteria are typed one after another: Enter begins the next, and nothing where there is no name yet', () => {
  render(<Form begun={[]} />);
  press('Add a criterion');
  expect(here()).toBe(screen.getByRole('textbox', { name: 'Criterion 1' }));
  fireEvent.keyDown(here()!, { key: 'Enter' });
  expect(now).toHaveLength(1);
  type('Criterion 1', 'Method');
  fireEvent.keyDown(here()!, { key: 'Enter' });
  expect(here()).toBe(screen.getByRole('textbox', { name: 'Criterion 2' }));
  type('Criterion 2', 'Writing');
  expect(criteriaWritten(now).map(({ name }) => name)).toEqual(['Method', 'Writing']);
});

test('levels of one criterion are taken over for the next, to be changed apart', () => {
  render(<Form begun={[]} />);
  press('Add a criterion');
  type('Criterion 1', 'Method');
  press('Add a level to Method');
  type('Level', 'good');
  type('Points', '2,5');
  press('Add a criterion');
  type('Criterion 2', 'Writing');
  press('The same levels as before');
  const [method, writing] = criteriaWritten(now);
  expect(writing!.levels).toEqual([{ ...method!.levels[0]!, id: expect.any(String) }]);
  expect(writing!.levels[0]!.id).not.toBe(method!.levels[0]!.id);
  expect(method!.levels[0]).toMatchObject({ name: 'good', points: 2.5 });
  press('Remove the criterion Method');
  expect(criteriaWritten(now).map(({ name }) => name)).toEqual(['Writing']);
  expect(within(screen.getByRole('group', { name: 'Criteria' })).getAllByRole('textbox')).toHaveLength(4);
});

test.each([
  ['2', 2],
  ['2,5', 2.5],
  [' 0.25 ', 0.25],
  ['0', 0],
  ['', null],
  ['-1', null],
  ['two', null],
])('points typed as %j are %j', (typed, points) => {
  const level = { id: 'l', name: 'good', words: '', points: typed };
  expect(criteriaWritten([{ id: 'c', name: 'Method', levels: [level] }])[0]!.levels[0]!.points).toBe(points);
});

test('what was saved is written as it was; rows that were begun and left are none', () => {
  const saved = [
    { id: 'c', name: 'Method', levels: [{ id: 'l', name: 'good', words: 'Well done.', points: null }] },
  ];
  expect(criteriaWritten(writtenCriteria(saved))).toEqual(saved);
  const left = { id: 'x', name: ' ', words: '', points: '' };
  const written = [...writtenCriteria(saved), { id: 'd', name: ' ', levels: [] }];
  expect(criteriaWritten(written.map((one) => ({ ...one, levels: [...one.levels, left] })))).toEqual(saved);
});
