/** What one contender reached: work done in a second, and the time of one piece of work, in nanoseconds. */
export interface Measured {
  section: string;
  work: string;
  contender: string;
  perSecond: number;
  p50: number;
  p95?: number;
  p99: number;
  longest?: number;
  /** Where something is built first: how long that took, in milliseconds, and what it holds, in megabytes. */
  buildMs?: number;
  megabytes?: number;
}

const WARM_MS = 300;
const RUN_MS = 1200;

/** So many calls are timed together, that the clock's own cost (some 50 ns) does not count. */
function batchFor(work: () => unknown): number {
  let batch = 1;
  for (;;) {
    const start = process.hrtime.bigint();
    for (let call = 0; call < batch; call += 1) kept = work();
    if (process.hrtime.bigint() - start > 20_000n || batch >= 4096) return batch;
    batch *= 2;
  }
}

// Results go here, so that no work is left out as useless by the engine.
let kept: unknown;

/** The last result of any work measured: that it could be read keeps the work from being optimised away. @public */
export const lastResult = (): unknown => kept;

/** Runs a piece of work over and over for a second or so, after warming up, in batches. */
export function measure(section: string, work: string, contender: string, run: () => unknown): Measured {
  const warmUntil = performance.now() + WARM_MS;
  while (performance.now() < warmUntil) kept = run();
  const batch = batchFor(run);
  const times: number[] = [];
  let calls = 0;
  const started = process.hrtime.bigint();
  while (Number(process.hrtime.bigint() - started) < RUN_MS * 1e6) {
    const start = process.hrtime.bigint();
    for (let call = 0; call < batch; call += 1) kept = run();
    times.push(Number(process.hrtime.bigint() - start) / batch);
    calls += batch;
  }
  const seconds = Number(process.hrtime.bigint() - started) / 1e9;
  times.sort((a, b) => a - b);
  const at = (share: number) => times[Math.min(times.length - 1, Math.floor(times.length * share))]!;
  return { section, work, contender, perSecond: calls / seconds, p50: at(0.5), p99: at(0.99) };
}

/** Runs a piece of work so often, each call timed by itself, since a batch would hide the slow ones. */
export function measureEach(
  section: string,
  work: string,
  contender: string,
  calls: number,
  run: () => unknown,
): Measured {
  for (let call = 0; call < calls / 4; call += 1) kept = run();
  const times = new Float64Array(calls);
  const started = process.hrtime.bigint();
  for (let call = 0; call < calls; call += 1) {
    const start = process.hrtime.bigint();
    kept = run();
    times[call] = Number(process.hrtime.bigint() - start);
  }
  const seconds = Number(process.hrtime.bigint() - started) / 1e9;
  times.sort();
  const at = (share: number) => times[Math.min(calls - 1, Math.floor(calls * share))]!;
  return { section, work, contender, perSecond: calls / seconds, p50: at(0.5), p99: at(0.99) };
}
