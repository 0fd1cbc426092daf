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

// Until the engine has settled on how it compiles each: a second is short for what has many functions.
const WARM_MS = 1000;
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

/** One contender while it is measured. */
class Runner {
  private readonly times: number[] = [];
  private batch = 1;
  private calls = 0;
  private took = 0;

  constructor(private readonly run: () => unknown) {}

  warm(): void {
    const until = performance.now() + WARM_MS;
    while (performance.now() < until) kept = this.run();
    this.batch = batchFor(this.run);
  }

  /** Runs it in batches for so many milliseconds. */
  time(ms: number): void {
    const { run, batch } = this;
    const started = process.hrtime.bigint();
    while (Number(process.hrtime.bigint() - started) < ms * 1e6) {
      const start = process.hrtime.bigint();
      for (let call = 0; call < batch; call += 1) kept = run();
      this.times.push(Number(process.hrtime.bigint() - start) / batch);
      this.calls += batch;
    }
    this.took += Number(process.hrtime.bigint() - started);
  }

  get measured(): Pick<Measured, 'perSecond' | 'p50' | 'p99'> {
    const times = this.times.sort((a, b) => a - b);
    const at = (share: number) => times[Math.min(times.length - 1, Math.floor(times.length * share))]!;
    return { perSecond: this.calls / (this.took / 1e9), p50: at(0.5), p99: at(0.99) };
  }
}

/** Runs a piece of work over and over for a second or so, after warming up, in batches. */
export function measure(section: string, work: string, contender: string, run: () => unknown): Measured {
  const runner = new Runner(run);
  runner.warm();
  runner.time(RUN_MS);
  return { section, work, contender, ...runner.measured };
}

const TURNS = 40;

/** As `measure`, several that are held against each other, in turns: what else the machine does meanwhile slows all alike. */
export function measureInTurns(
  section: string,
  work: string,
  contenders: readonly (readonly [contender: string, run: () => unknown])[],
): Measured[] {
  const runners = contenders.map(([contender, run]) => ({ contender, runner: new Runner(run) }));
  for (const { runner } of runners) runner.warm();
  for (let turn = 0; turn < TURNS; turn += 1)
    for (const { runner } of runners) runner.time((2 * RUN_MS) / TURNS);
  return runners.map(({ contender, runner }) => ({ section, work, contender, ...runner.measured }));
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
