import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { granteeKey, mergedGrants } from './mergedGrants';
import type { Grant } from './rights';

type Granted = Pick<Grant, 'to' | 'right'>;
const grant = (id: string, right: Granted['right']): Granted => ({ to: { kind: 'member', id }, right });
const TEAM: Granted = { to: { kind: 'team' }, right: 'read' };

test.each<[string, Granted[], Granted[], Granted[], Granted[] | null]>([
  [
    'each named another',
    [TEAM, grant('a', 'keep')],
    [TEAM],
    [TEAM, grant('b', 'read')],
    [TEAM, grant('b', 'read'), grant('a', 'keep')],
  ],
  [
    'one took the team out, the other named somebody',
    [grant('a', 'keep')],
    [TEAM, grant('a', 'keep')],
    [TEAM, grant('a', 'keep'), grant('b', 'read')],
    [grant('a', 'keep'), grant('b', 'read')],
  ],
  [
    'both did the same',
    [grant('a', 'keep')],
    [grant('a', 'read')],
    [grant('a', 'keep')],
    [grant('a', 'keep')],
  ],
  ['both gave one something else', [grant('a', 'keep')], [grant('a', 'read')], [grant('a', 'none')], null],
  ['both named one, otherwise', [grant('a', 'keep')], [], [grant('a', 'read')], null],
  ['one took out whom the other changed', [], [grant('a', 'read')], [grant('a', 'keep')], null],
])('%s', (_name, mine, base, theirs, wanted) => {
  expect(mergedGrants(mine, base, theirs)).toEqual(wanted);
});

test('nobody is granted what neither of the two gave, and nobody stands twice', () => {
  const right = fc.constantFrom<Granted['right']>('read', 'contribute', 'keep', 'none');
  const grants = fc
    .uniqueArray(fc.tuple(fc.constantFrom('a', 'b', 'c'), right), { selector: ([id]) => id })
    .map((all) => all.map(([id, given]) => grant(id, given)));
  fc.assert(
    fc.property(grants, grants, grants, (mine, base, theirs) => {
      const merged = mergedGrants(mine, base, theirs);
      const swapped = mergedGrants(theirs, base, mine);
      const sorted = (all: readonly Granted[] | null) =>
        all && [...all].sort((a, b) => (granteeKey(a.to) < granteeKey(b.to) ? -1 : 1));
      expect(sorted(swapped)).toEqual(sorted(merged));
      if (merged === null) return;
      expect(new Set(merged.map(({ to }) => granteeKey(to))).size).toBe(merged.length);
      for (const one of merged) expect([...mine, ...theirs]).toContainEqual(one);
    }),
  );
});
