import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Asker } from './asker';

/** A service whose answers come when they are let go. */
function slowService() {
  const waiting: (() => void)[] = [];
  const asked: number[] = [];
  const service = (question: number) => {
    asked.push(question);
    return new Promise<number>((resolve) => waiting.push(() => resolve(question)));
  };
  return { service, asked, letGo: () => waiting.shift()?.() };
}
const settle = async () => {
  for (let turn = 0; turn < 5; turn += 1) await Promise.resolve();
};

test('answers come in the order asked, the newest always comes, and one question at most waits', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.constantFrom('ask', 'answer', 'forget'), { maxLength: 30 }),
      async (steps) => {
        const { service, asked, letGo } = slowService();
        const told: number[] = [];
        const asker = new Asker(service, (answer: number) => void told.push(answer));
        let last = 0;
        let isWanted = false;
        for (const [at, step] of steps.entries()) {
          if (step === 'ask') asker.ask((last = at + 1));
          if (step === 'forget') asker.forget();
          isWanted = step === 'ask' || (step === 'answer' && isWanted);
          if (step === 'answer') letGo();
          await settle();
        }
        for (let turn = 0; turn < 3; turn += 1) {
          letGo();
          await settle();
        }
        expect(told).toEqual([...told].sort((a, b) => a - b));
        expect(asked.length).toBeLessThanOrEqual(steps.filter((step) => step === 'ask').length);
        if (isWanted) expect(told.at(-1)).toBe(last);
      },
    ),
  );
});

test('a service that fails once is asked again', async () => {
  const told: string[] = [];
  const asker = new Asker(
    (question: string) =>
      question === 'bad' ? Promise.reject(new Error('gone')) : Promise.resolve(question),
    (answer: string) => void told.push(answer),
  );
  asker.ask('bad');
  await settle();
  asker.ask('good');
  await settle();
  expect(told).toEqual(['good']);
});
