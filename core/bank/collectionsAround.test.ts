import { expect, test } from '@jest/globals';
import { collectionsAround } from './index';

const tree = new Map([
  ['top', { parent: null }],
  ['in', { parent: 'top' }],
  ['inmost', { parent: 'in' }],
  ['a', { parent: 'b' }],
  ['b', { parent: 'a' }],
  ['lost', { parent: 'unseen' }],
]);

test.each([
  ['inmost', ['inmost', 'in', 'top']],
  ['top', ['top']],
  ['a', ['a', 'b']],
  ['lost', ['lost', 'unseen']],
])('around %s', (id, way) => {
  expect(collectionsAround(id, tree)).toEqual(way);
});
