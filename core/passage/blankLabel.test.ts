import { expect, test } from '@jest/globals';
import type { BlankForm } from './forms';
import { blankLabel } from './blankLabel';

test.each<[string, BlankForm, string]>([
  ['Name', 'as-is', 'Name'],
  ['Admitted', 'weekday', 'Admitted'],
  ['They', 'they', 'they'],
  ['They', 'they have', 'they have'],
  ['They', 'are', 'are'],
  ['They', 'verb-s', '-s'],
  ['Doses', 'plural', '-s'],
  ['Hurt', 'silent', 'Hurt'],
])('%s as %s is called %s', (name, form, label) => expect(blankLabel(name, form)).toBe(label));
