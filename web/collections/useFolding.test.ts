import { expect, test } from '@jest/globals';
import type { Collection } from '#contracts';
import { treeBranches } from '#core/rights';
import { shownOf } from './useFolding';

const collection = (id: string, parent: string | null, name = id) =>
  ({ id, parent, name, order: 0 }) as unknown as Collection;
const all = treeBranches([
  collection('ward', null, 'Ward notes'),
  collection('night', 'ward', 'Night rounds'),
  collection('dawn', 'night', 'Dawn, café corner'),
  collection('school', null, 'Field school'),
  // What it is in is not seen by this member.
  collection('lone', 'hidden', 'Lone'),
]);
const shown = (query: string, ...open: string[]) =>
  shownOf(all, query, new Set(open)).map(({ node, depth }) => `${node.id} ${depth}`);

test('folded, what is within nothing that is seen stands alone', () => {
  expect(new Set(shown(''))).toEqual(new Set(['ward 0', 'school 0', 'lone 0']));
});

test('what is open shows what is in it, and no more', () => {
  expect(shown('', 'ward')).toContain('night 1');
  expect(shown('', 'ward')).not.toContain('dawn 2');
  expect(shown('', 'ward', 'night')).toContain('dawn 2');
  // Within something that is closed, what was opened before is not seen.
  expect(shown('', 'night').filter((one) => one.startsWith('dawn'))).toEqual([]);
});

test('by name, wherever they are, whatever is open', () => {
  expect(shown('cafe')).toEqual(['dawn 0']);
  expect(shown('rounds night', 'ward')).toEqual(['night 0']);
  expect(shown('nobody')).toEqual([]);
});
