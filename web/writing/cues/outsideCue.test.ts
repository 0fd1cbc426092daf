import { expect, test } from '@jest/globals';
import { CueIndex, DEFAULT_CUE_RULES, resolveCue } from '#core/cue';
import { leafOf } from '../../testing/leafState';
import { outsideCueAt } from './outsideCue';

const outside = (fires: 'last' | 'closing') =>
  new CueIndex([
    resolveCue('e', { text: 'eff' }, { leadIn: ';', cueRules: { ...DEFAULT_CUE_RULES, fires } }),
    resolveCue('w', { text: 'well' }, { leadIn: '', cueRules: { ...DEFAULT_CUE_RULES, fires } }),
  ]);

test.each<[string, 'last' | 'closing', [number, number] | null]>([
  ['See ;eff|', 'last', [5, 9]],
  ['See ;eff|', 'closing', [5, 9]],
  // The space that closed it goes with it, a mark does not.
  ['See ;eff |', 'closing', [5, 10]],
  ['See ;eff.|', 'closing', [5, 9]],
  ['See ;ef|', 'last', null],
  ['x;eff|', 'last', null],
  // A plain word is written often.
  ['It ate well|', 'last', null],
])('of "%s", with cues that fire on %s: %j', (line, fires, found) => {
  const cue = outsideCueAt(leafOf([line], []), outside(fires));
  expect(cue && [cue.from, cue.to]).toEqual(found);
});
