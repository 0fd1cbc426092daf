import { expect, test } from '@jest/globals';
import { SpellChecker } from './spellChecker';

/** A checker that asks a list of words which can change, and what it asked about. */
function checking(...right: string[]) {
  const known = new Set(right);
  const asked: string[][] = [];
  const checker = new SpellChecker((words) => {
    asked.push([...words]);
    return Promise.resolve(words.map((word) => known.has(word)));
  });
  return { checker, asked, known };
}

test('words are asked about once; until it is known none is wrong', async () => {
  const { checker, asked } = checking('seen');
  const looking = checker.look(['seen', 'sene', 'sene']);
  expect(checker.isWrong('sene')).toBe(false);
  await looking;
  expect([checker.isWrong('seen'), checker.isWrong('sene')]).toEqual([false, true]);
  await checker.look(['sene', 'seen']);
  expect(asked).toEqual([['seen', 'sene']]);
});

test('many words are asked about in parts, and whoever waits waits for all', async () => {
  const { checker, asked } = checking();
  await checker.look(Array.from({ length: 1201 }, (_, at) => `w${at}`));
  expect(asked.map(({ length }) => length)).toEqual([500, 500, 201]);
  expect(checker.isWrong('w1200')).toBe(true);
});

test('what is right here alone is right whatever its capitals, and no longer once it is not told any more', async () => {
  const { checker } = checking();
  await checker.look(['Zolith', 'zolith']);
  checker.setRight(['ZOLITH']);
  expect([checker.isWrong('Zolith'), checker.isWrong('zolith')]).toEqual([false, false]);
  checker.setRight([]);
  expect(checker.isWrong('Zolith')).toBe(true);
});

test('once a glossary has changed all is asked again, and what was known holds until then', async () => {
  const { checker, known } = checking();
  await checker.look(['Zolith']);
  known.add('Zolith');
  checker.again();
  expect(checker.isWrong('Zolith')).toBe(true);
  await checker.look([]);
  expect(checker.isWrong('Zolith')).toBe(false);
});

test('where nothing can be asked no word is wrong, it is told why, and it is asked again later', async () => {
  let fails = true;
  const checker = new SpellChecker((words) =>
    fails ? Promise.reject(new Error('gone')) : Promise.resolve(words.map(() => false)),
  );
  let told = 0;
  const end = checker.onKnown(() => (told += 1));
  await checker.look(['sene']);
  expect([checker.isWrong('sene'), checker.failed?.message, told]).toEqual([false, 'gone', 1]);
  await checker.look(['sene']);
  expect(told).toBe(1);
  fails = false;
  checker.again();
  await checker.look(['sene']);
  expect([checker.isWrong('sene'), checker.failed]).toEqual([true, null]);
  end();
  checker.setRight([]);
  expect(told).toBe(3);
});
