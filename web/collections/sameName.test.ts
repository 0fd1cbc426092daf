import { expect, test } from '@jest/globals';
import { sameName } from './sameName';

const all = [
  { id: 'w', name: 'Ward notes', parent: null },
  { id: 'h', name: 'Hedgehogs', parent: 'w' },
];

test.each([
  [
    'hedgehogs ',
    undefined,
    'There is a collection “Hedgehogs” already in Ward notes. Another name tells them apart.',
  ],
  ['WARD NOTES', undefined, 'There is a collection “Ward notes” already. Another name tells them apart.'],
  // Its own name is no other's.
  ['Hedgehogs', 'h', null],
  ['Owls', undefined, null],
])('%s (of %s): %s', (name, own, told) => {
  expect(sameName(name, all, own)).toBe(told);
});
