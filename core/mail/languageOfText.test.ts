import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { MESSAGE_SENTENCES } from '#core/testing';
import { languageOfText } from '.';

const sentences = Object.entries(MESSAGE_SENTENCES).flatMap(([language, all]) =>
  all.map((sentence) => ({ language, sentence, words: sentence.split(/\s+/).length })),
);
const told = sentences.map((one) => ({ ...one, found: languageOfText(one.sentence) }));
const share = (of: typeof told, is: (one: (typeof told)[0]) => boolean) => of.filter(is).length / of.length;

describe('the language of two hundred sentences of messages', () => {
  test('from eight words on nearly every one is told right', () => {
    const long = told.filter(({ words }) => words >= 8);
    expect(long.length).toBeGreaterThan(100);
    expect(share(long, ({ language, found }) => found?.language === language)).toBeGreaterThanOrEqual(0.97);
  });

  test('what is said to be sure is right, and most of them are sure', () => {
    const sure = told.filter(({ found }) => found?.isSure);
    expect(share(sure, ({ language, found }) => found?.language === language)).toBe(1);
    expect(sure.length / told.length).toBeGreaterThan(0.85);
  });
});

test.each(['', '12 34', 'Zanthrop', 'owlet@marsh.example'])('of “%s” nothing is told for sure', (text) => {
  expect(languageOfText(text)?.isSure ?? false).toBe(false);
});

test('capitals and the kind of apostrophe make no difference', () => {
  fc.assert(
    fc.property(fc.constantFrom(...sentences), ({ sentence }) => {
      const { language } = languageOfText(sentence)!;
      expect(languageOfText(sentence.toUpperCase().replaceAll('ẞ', 'ß'))?.language).toBe(language);
      expect(languageOfText(sentence.replaceAll("'", '’'))?.language).toBe(language);
    }),
  );
});
