import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { passageFrom } from '#core/notation';
import { plainText } from '#core/passage';
import { merge3 } from './merge3';
import { mergedPassage } from './mergedPassage';

const list = fc.array(fc.constantFrom('a', 'b', 'c', 'd'), { maxLength: 8 });
const same = (item: string) => item;
const never = () => {
  throw new Error('Nothing clashes here.');
};

describe('three lists', () => {
  test('what one alone changed comes, from either side; what both changed alike comes once', () => {
    fc.assert(
      fc.property(list, list, (base, other) => {
        expect(merge3([base, other, base], same, never)).toEqual(other);
        expect(merge3([base, base, other], same, never)).toEqual(other);
        expect(merge3([base, other, other], same, never)).toEqual(other);
      }),
    );
  });

  test('changes that stand apart both come, whatever stands between them', () => {
    fc.assert(
      fc.property(list, list, list, list, (head, mine, tail, theirs) => {
        const base = ['<', ...head, '|', ...tail, '>'];
        const own = ['<', ...mine, '|', ...tail, '>'];
        const other = ['<', ...head, '|', ...theirs, '>'];
        expect(merge3([base, own, other], same, never)).toEqual(['<', ...mine, '|', ...theirs, '>']);
      }),
    );
  });
});

describe('three passages', () => {
  const merged = (base: string, mine: string, theirs: string) => {
    const { passage, clashes } = mergedPassage(passageFrom(base), passageFrom(mine), passageFrom(theirs));
    return [plainText(passage), clashes];
  };

  test.each([
    [
      'Fed twice. Kept warm.',
      'Fed thrice. Kept warm.',
      'Fed twice. Kept warm and dry.',
      'Fed thrice. Kept warm and dry.',
      0,
    ],
    ['Fed twice.', 'Fed thrice.', 'Fed once.', 'Fed thrice.', 1],
    ['Fed twice.', 'Fed twice. It slept.', 'Fed twice. Ring us.', 'Fed twice. Ring us. It slept.', 0],
    [
      'One.\n\nTwo.',
      'One.\n\nTwo, mine.',
      'One, theirs.\n\nTwo.\n\nThree.',
      'One, theirs.\n\nTwo, mine.\n\nThree.',
      0,
    ],
    ['One.\n\nTwo.', 'One.', 'One.\n\nTwo more.', 'One.', 1],
    ['- a\n- b', '- a\n- b mine', '- a theirs\n- b\n- c', '- a theirs\n- b mine\n- c', 0],
  ])('%s: mine %s, theirs %s', (base, mine, theirs, text, clashes) => {
    expect(merged(base, mine, theirs)).toEqual([text, clashes]);
  });
});
