import { expect, test } from '@jest/globals';
import { Finder, type Findable } from './index';

const entry = (id: string, title: string, wording: string, cue: string, purpose = ''): Findable => ({
  id,
  title,
  purpose,
  wording,
  cues: [cue],
  tags: [],
});

const finder = new Finder([
  entry('wt', 'Weight today', 'It weighed more than on admission.', 'wt', 'After each weighing'),
  entry('adm', 'Hedgehog admission', 'It was admitted weighing little.', 'adm'),
  entry('fl', 'Fluids given', 'Warmed fluids were given by mouth.', 'fl', 'Under the skin or by mouth'),
  entry('cafe', 'Opening hours', 'The café is open until dusk.', 'hrs'),
]);

// What people see, in order: a change of ranking shows here as a readable difference.
test.each([
  ['weight', ['wt']],
  ['weigh', ['wt', 'adm']],
  ['wieght', ['wt']],
  ['fluds', ['fl']],
  ['admission', ['adm', 'wt']],
  ['adm', ['adm', 'wt']],
  ['mouth fluids', ['fl']],
  ['cafe', ['cafe']],
  ['hrs', ['cafe']],
  ['skin', ['fl']],
  ['otter', []],
  ['', ['wt', 'adm', 'fl', 'cafe']],
])('%j finds %j', (query, expected) => {
  expect(finder.find(query)).toEqual(expected);
});
