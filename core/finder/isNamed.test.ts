import { expect, test } from '@jest/globals';
import { isNamed } from './isNamed';

test.each([
  ['Imke Tarrow', 'tar', true],
  ['Imke Tarrow', 'TARROW imk', true],
  ['Imke Tarrow', ' imke  tarrow ', true],
  ['Imke Tarrow', 'imke fell', false],
  ['Zoë Ångström', 'zoe angstrom', true],
  ['Zoe Angstrom', 'zoë', true],
  ['Collection 3.1', '3.1', true],
  ['Collection 1.3', '3.1', false],
  ['odile@hollin.example', 'odile@hol', true],
  ['Imke Tarrow', '', true],
  ['Imke Tarrow', '  ', true],
  ['', 'x', false],
])('%s, by "%s": %s', (text, typed, expected) => {
  expect(isNamed(text, typed)).toBe(expected);
});
