import { expect, test } from '@jest/globals';
import type { ClassCounts } from '#contracts';
import { slipsAgain, slipsByPerson, slipSums } from './slipSums';

type Slips = [entry: string, person: string, count: number][];
const assignment = (name: string, slips: Slips): ClassCounts['term'][number] => ({
  ...{ assignment: name, title: `Block ${name}`, madeAt: '2026-10-01T08:00:00Z' },
  slips: slips.map(([entry, person, count]) => ({ entry, title: `${entry} in ${name}`, person, count })),
});

const term = [
  assignment('1', [
    ['units', 'Tomos', 2],
    ['source', 'Ingrid', 1],
  ]),
  assignment('2', [
    ['units', 'Tomos', 1],
    ['units', 'Ingrid', 1],
  ]),
  assignment('3', [
    ['units', 'Tomos', 1],
    ['tide', 'Tomos', 1],
    ['alike', 'Ingrid', 1],
  ]),
];

test('slips of the term: the commonest first, then those of more people, called as they are called now', () => {
  expect(slipSums(term)).toEqual([
    { entry: 'units', title: 'units in 3', count: 5, people: 2 },
    { entry: 'alike', title: 'alike in 3', count: 1, people: 1 },
    { entry: 'source', title: 'source in 1', count: 1, people: 1 },
    { entry: 'tide', title: 'tide in 3', count: 1, people: 1 },
  ]);
  expect(slipSums([])).toEqual([]);
});

test('who has had the same slip in three pieces of work: how often in one does not count', () => {
  expect(slipsAgain(term)).toEqual([
    { person: 'Tomos', title: 'units in 3', assignments: ['Block 1', 'Block 2', 'Block 3'] },
  ]);
  expect(slipsAgain(term.slice(0, 2))).toEqual([]);
});

test('by person over the term, where nothing was told nothing is said', () => {
  expect(slipsByPerson(term)).toEqual([
    { person: 'Ingrid', counts: [1, 1, 1] },
    { person: 'Tomos', counts: [2, 1, 2] },
  ]);
  expect(slipsByPerson(term.slice(0, 1).concat(assignment('4', [])))[1]!.counts).toEqual([2, null]);
});
