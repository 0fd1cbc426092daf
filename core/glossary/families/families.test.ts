import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { TermSchema } from '../wordList';
import { Families, familiesOf, hasChoices, memberCount, membersOf } from '.';

describe('a term with choices', () => {
  test.each([
    ['he was', ['he was']],
    ['{he|she} was', ['he was', 'she was']],
    ['{he|she} {was|is}', ['he was', 'he is', 'she was', 'she is']],
    ['{he|she} was{| not} seen', ['he was seen', 'he was not seen', 'she was seen', 'she was not seen']],
    ['{| not} {a|b}', ['a', 'b', 'not a', 'not b']],
    ['{name} was', ['{name} was']],
    ['a {b', ['a {b']],
  ])('%s', (text, members) => {
    expect(membersOf(text)).toEqual(members);
    expect(memberCount(text)).toBe(members.length);
    expect(hasChoices(text)).toBe(members.length > 1);
  });

  test('stands for as many as its choices make, each of words that it has', () => {
    const word = fc.constantFrom('he', 'she', 'was', 'is', 'not', '');
    const choice = fc.array(word, { minLength: 2, maxLength: 4 });
    fc.assert(
      fc.property(fc.array(choice, { minLength: 1, maxLength: 4 }), (choices) => {
        const members = membersOf(choices.map((of) => `{${of.join('|')}}`).join(' '));
        expect(members).toHaveLength(choices.reduce((count, of) => count * of.length, 1));
        expect(members[0]).toBe(
          choices
            .map((of) => of[0])
            .filter((one) => one !== '')
            .join(' '),
        );
      }),
    );
  });

  test('no term stands for more than four hundred', () => {
    const six = '{a|b|c|d|e|f}';
    expect(TermSchema.shape.text.safeParse(`${six} ${six} ${six}`).success).toBe(true);
    expect(TermSchema.shape.text.safeParse(`${six} ${six} ${six} ${six}`).error?.issues[0]?.message).toBe(
      'a family has 400 members at the most',
    );
  });
});

describe('small words of English', () => {
  const english = new Families(familiesOf('en-GB'));
  const words = (letters: string) => english.of(letters).map(({ text }) => text);

  test.each([
    ['hw', 'he was'],
    ['iw', 'I was'],
    ['tw', 'that was'],
    ['twn', 'that was not'],
    ['wi', 'what is'],
    ['hhb', 'he had been'],
    ['hwb', 'he will be'],
    ['wnh', "wasn't he"],
  ])('%s is first of all “%s”', (letters, first) => {
    expect(words(letters)[0]).toBe(first);
  });

  test('each verb has the form of its subject', () => {
    const all = familiesOf('en').map(({ text }) => text);
    for (const wrong of [
      'I is',
      'he were',
      'they was',
      'he have',
      'we has',
      'I are',
      'he do',
      'you does',
      'is they',
      'was you',
    ])
      expect(all).not.toContain(wrong);
    for (const right of [
      'I am',
      'he has been',
      'they were not',
      'we have',
      'are there',
      "doesn't it",
      'she cannot',
    ])
      expect(all).toContain(right);
  });

  test('each is found by its own first letters, and by capitals as by small ones', () => {
    for (const { text } of familiesOf('en')) {
      const letters = text
        .replace(/n't/, ' n')
        .split(' ')
        .map((word) => word[0]!)
        .join('');
      expect(words(letters.toUpperCase())).toContain(text);
    }
  });
});

test('Welsh has families of its own; a language without a rule has none', () => {
  const welsh = new Families(familiesOf('cy'));
  expect(welsh.of('rh')[0]?.text).toBe('roedd hi');
  expect(welsh.of('dhd').map(({ text }) => text)).toContain('dydy hi ddim');
  expect(familiesOf('fr')).toEqual([]);
});
