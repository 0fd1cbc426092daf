import { expect, test } from '@jest/globals';
import { ownWorkFirst } from './ownWorkFirst';

const BANK = [
  { id: 'ward', parent: null, kindsOfWork: ['admission'] },
  { id: 'birds', parent: 'ward', kindsOfWork: [] },
  { id: 'all', parent: null, kindsOfWork: [] },
  { id: 'school', parent: null, kindsOfWork: ['feedback', 'reply'] },
  { id: 'method', parent: 'school', kindsOfWork: ['admission'] },
  { id: 'lent', parent: 'hidden', kindsOfWork: ['feedback'] },
];
const order = (...kinds: string[]) => ownWorkFirst(BANK, new Set(kinds)).map(({ id }) => id);

test('what is of my own work comes first, with all that is within it; the rest as it was', () => {
  expect(order('feedback')).toEqual(['school', 'method', 'lent', 'ward', 'birds', 'all']);
  expect(order('admission')).toEqual(['ward', 'birds', 'all', 'school', 'method', 'lent']);
});

test('with no work, or of all kinds, the order is the bank’s own', () => {
  const own = BANK.map(({ id }) => id);
  expect(order()).toEqual(own);
  expect(order('transcript')).toEqual(own);
  expect(ownWorkFirst([], new Set(['reply']))).toEqual([]);
});
