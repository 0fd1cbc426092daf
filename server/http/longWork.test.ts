import { EventEmitter } from 'node:events';
import type { Response } from 'express';
import { expect, test } from '@jest/globals';
import { answerInLines, inTurns } from './longWork';

/** A response that keeps the lines it is given. */
class Lines extends EventEmitter {
  readonly lines: unknown[] = [];
  ended = false;
  writeHead = () => this;
  write = (line: string) => void this.lines.push(JSON.parse(line));
  end = () => void (this.ended = true);
  get results() {
    return this.lines.filter((line) => typeof line === 'object' && line !== null && 'result' in line);
  }
}
const answer = (to: Lines, member: string, work: () => AsyncGenerator<number, string>) =>
  answerInLines(to as unknown as Response, member, work, () => undefined);

/** A work that has begun once `begun` resolves, and goes on when it is let. */
function gated() {
  let begin = () => undefined as void;
  let go = () => undefined as void;
  const begun = new Promise<void>((resolve) => (begin = resolve));
  const gate = new Promise<void>((resolve) => (go = resolve));
  async function* work() {
    yield 0.1;
    begin();
    await gate;
    yield 0.5;
    return 'done';
  }
  return { begun, go, work };
}
async function* short() {
  yield Promise.resolve(0.5);
  return 'done';
}

test('a work tells how far it is and what came of it; another of the same member ends it, one of another member does not', async () => {
  const [first, second, other] = [new Lines(), new Lines(), new Lines()];
  const { begun, go, work } = gated();
  const running = answer(first, 'imke', work);
  await begun;
  await answer(other, 'desta', short);
  await answer(second, 'imke', short);
  go();
  await running;
  expect(first.results).toEqual([]);
  expect([second.results, other.results]).toEqual([[{ result: 'done' }], [{ result: 'done' }]]);
  expect(first.lines).toContainEqual({ progress: 0.1 });
  expect([first.ended, second.ended, other.ended]).toEqual([true, true, true]);
});

test('a page that hangs up ends its work', async () => {
  const page = new Lines();
  const { begun, go, work } = gated();
  const running = answer(page, 'imke', work);
  await begun;
  page.emit('close');
  go();
  await running;
  expect(page.results).toEqual([]);
});

test('a result that is not what the contract says is an error, and is not sent', async () => {
  const page = new Lines();
  const refuse = () => {
    throw new Error('not so');
  };
  await expect(answerInLines(page as unknown as Response, 'imke', short, refuse)).rejects.toThrow('not so');
  expect(page.results).toEqual([]);
});

test('work in steps lets others have their turn, and comes to what it comes to', async () => {
  let others = 0;
  let isOver = false;
  const other = () => {
    others += 1;
    if (!isOver) setImmediate(other);
  };
  setImmediate(other);
  function* long() {
    // As long as it takes until another has had its turn: at once, if nobody ever had one, it would never end.
    for (let step = 0; step < 1e9 && others < 3; step += 1) yield;
    return others;
  }
  expect(await inTurns(long())).toBeGreaterThanOrEqual(3);
  isOver = true;
});
