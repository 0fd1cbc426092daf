import { expect, test } from '@jest/globals';
import { askedTogether } from './askedTogether';
import type { Database } from './openStore';

/** A store that answers when it is told to: questions it was asked together, in their order. */
function slowStore() {
  const asked: string[][] = [];
  const under: { resolve: () => void; reject: (error: Error) => void }[] = [];
  const ask = askedTogether(async (_db, questions: readonly string[]) => {
    asked.push([...questions]);
    await new Promise<void>((resolve, reject) => under.push({ resolve, reject }));
    return questions.map((question) => `${question}, answer ${asked.length}`);
  });
  return { asked, ask, under };
}
const one = {} as Database;

test('what is asked while an answer is under way is answered together, by one that is read after it was asked', async () => {
  const { ask, asked, under } = slowStore();
  const first = ask(one, 'a');
  const others = ['b', 'c', 'd'].map((question) => ask(one, question));
  expect(asked).toEqual([['a']]);
  under[0]!.resolve();
  expect(await first).toBe('a, answer 1');
  under[1]!.resolve();
  expect(await Promise.all(others)).toEqual(['b, answer 2', 'c, answer 2', 'd, answer 2']);
  expect(asked).toEqual([['a'], ['b', 'c', 'd']]);
  // Once nothing is waited for, one goes at once again.
  const last = ask(one, 'e');
  under[2]!.resolve();
  expect(await last).toBe('e, answer 3');
});

test('where an answer fails all who waited for it are told; who asked after them are answered', async () => {
  const { ask, under } = slowStore();
  const first = ask(one, 'a');
  const others = [ask(one, 'b'), ask(one, 'c')];
  under[0]!.reject(new Error('No store.'));
  await expect(first).rejects.toThrow('No store.');
  under[1]!.resolve();
  expect(await Promise.all(others)).toEqual(['b, answer 2', 'c, answer 2']);
});

test('one database does not wait for another', async () => {
  const { ask, asked, under } = slowStore();
  const both = [ask(one, 'a'), ask({} as Database, 'b')];
  expect(asked).toEqual([['a'], ['b']]);
  for (const { resolve } of under) resolve();
  await Promise.all(both);
});

test('of very many no more than 500 are answered at once, and none is forgotten', async () => {
  const sizes: number[] = [];
  const ask = askedTogether((_db, questions: readonly number[]) => {
    sizes.push(questions.length);
    return Promise.resolve(questions.map((question) => question * 2));
  });
  const asked = Array.from({ length: 1200 }, (_, at) => at);
  expect(await Promise.all(asked.map((at) => ask(one, at)))).toEqual(asked.map((at) => at * 2));
  expect(sizes).toEqual([1, 500, 500, 199]);
});
