import type { Response } from 'express';

/** Others have their turn after this long, and one hears how far it is after that. */
const TURN_MS = 12;
const TELL_MS = 100;

const othersTurn = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Does long work in its steps; others have their turn between them. */
export async function inTurns<Result>(work: Generator<void, Result>): Promise<Result> {
  let turn = performance.now();
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
    if (performance.now() - turn <= TURN_MS) continue;
    await othersTurn();
    turn = performance.now();
  }
}

/** The running long work of each member: the next one ends the one before. */
const running = new Map<string, AbortController>();

/**
 * Answers with lines of JSON: `{"progress": 0.4}` now and then, at last `{"result": ...}`. The work is a generator that yields
 * how far it is (0 to 1); between its steps other requests are answered, so that nobody waits for it. It stops when the
 * page hangs up, or when the member begins another. `check` is given the last line before it goes out.
 */
export async function answerInLines<Result>(
  response: Response,
  member: string,
  work: () => AsyncGenerator<number, Result>,
  check: (line: { result: Result }) => unknown,
): Promise<void> {
  running.get(member)?.abort();
  const stop = new AbortController();
  running.set(member, stop);
  response.on('close', () => stop.abort());
  const write = (line: object) => {
    response.write(`${JSON.stringify(line)}\n`);
    // Through compression a line would wait for more.
    response.flush?.();
  };
  try {
    const steps = work();
    response.writeHead(200, { 'Content-Type': 'application/x-ndjson', 'X-Accel-Buffering': 'no' });
    let turn = performance.now();
    let told = 0;
    for (;;) {
      const { done, value } = await steps.next();
      if (stop.signal.aborted) return;
      if (done) {
        const last = { result: value };
        check(last);
        write(last);
        return;
      }
      const now = performance.now();
      if (now - told > TELL_MS) {
        told = now;
        write({ progress: value });
      }
      if (now - turn > TURN_MS) {
        await othersTurn();
        turn = performance.now();
      }
    }
  } finally {
    if (running.get(member) === stop) running.delete(member);
    response.end();
  }
}
