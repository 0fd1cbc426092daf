import { expect, test } from '@jest/globals';
import { KIND_IDS, KINDS } from './kinds';
import { kindsOfTeam, TeamKindsSchema } from './teamKinds';

const OWN = [
  { kind: 'reply' as const, work: 'Letters', caseName: 'Letter' },
  { kind: 'feedback' as const, work: 'Marking', caseName: 'Essay' },
];

test('a team that has set nothing does all kinds, by their usual names', () => {
  const { done, workOf, caseOf } = kindsOfTeam(null);
  expect(done).toEqual(KIND_IDS.filter((id) => !KINDS[id].reachesAll));
  expect([workOf('reply'), caseOf('admission')]).toEqual(['Replies', 'Admission']);
});

test('what a team does goes by its own names, in the usual order; the rest keeps its own', () => {
  const { done, workOf, caseOf, inWords } = kindsOfTeam(OWN);
  expect(done).toEqual(['feedback', 'reply']);
  expect([workOf('reply'), caseOf('feedback'), caseOf('admission'), workOf('of a later Elderleaf')]).toEqual([
    'Letters',
    'Essay',
    'Admission',
    'of a later Elderleaf',
  ]);
  expect(inWords([])).toBe('all work');
  expect(inWords(['reply', 'admission'])).toBe('ward notes, letters');
});

test.each([
  ['none at all', []],
  ['a kind twice', [OWN[0], OWN[0]]],
  ['a name of nothing but spaces', [{ ...OWN[0], work: '  ' }]],
  ['a kind that is none', [{ ...OWN[0], kind: 'cooking' }]],
])('%s is refused', (_what, kinds) => {
  expect(TeamKindsSchema.safeParse(kinds).success).toBe(false);
});
