import type { Response, Router } from 'express';
import { ROUTES, type ResponseOf, type Route, type RouteName } from '#contracts';
import type { Context } from '../context';
import { bind, checked, inTellingTurns, type Call } from '../http';
import { beatJob, beginJob, endJob, jobById, markSeen } from './jobs';

/** One hears how far a work is after this long. */
const TELL_MS = 100;
/** The process that does it says so after this long. */
const BEAT_MS = 2000;
/** What another process does is asked for after this long. */
const ASK_MS = 300;

/** A job that this process does: how far it is, and what came of it. */
interface Doing {
  progress: number;
  ended: Promise<void>;
  done?: { result: unknown };
}
/** The jobs that this process does, by their ids, until each has ended. */
const doing = new Map<string, Doing>();

const rest = (ms: number) => new Promise<void>((resolve) => setTimeout(resolve, ms));

type Work = AsyncGenerator<number, unknown>;

/** Does a job to its end, whether a page is there or not; ends early once it was stopped. Never throws. */
async function doJob(
  context: Context,
  id: string,
  work: Work,
  check: (result: unknown) => void,
): Promise<void> {
  const state = { isStopped: false };
  let beat = performance.now();
  const tell = (progress: number) => {
    const known = doing.get(id);
    if (known) known.progress = progress;
    if (performance.now() - beat > BEAT_MS) {
      beat = performance.now();
      void beatJob(context, id, progress).then(
        (goesOn) => (state.isStopped = !goesOn),
        () => undefined,
      );
    }
    return !state.isStopped;
  };
  try {
    const done = await inTellingTurns(work, tell);
    if (!done) return;
    check(done.result);
    const known = doing.get(id);
    if (known) known.done = done;
    await endJob(context, id, { state: 'done', result: done.result });
  } catch (error) {
    // Without its message, which may hold words of people.
    context.log.error({ name: (error as Error).name }, 'a job failed');
    await endJob(context, id, { state: 'failed' }).catch(() => undefined);
  }
}

/** How far a job is, from whichever process does it; null once it is under way no more. */
async function progressOf({ db }: Context, id: string): Promise<number | null> {
  const here = doing.get(id);
  if (here) return here.progress;
  const job = await jobById(db, id);
  return job?.state === 'working' ? job.progress : null;
}

/** What came of a job that another process did; null where it was stopped or failed. */
async function resultOf({ db }: Context, id: string): Promise<{ result: unknown } | null> {
  const job = await jobById(db, id);
  return job?.state === 'done' ? { result: job.result } : null;
}

/**
 * Answers with lines of JSON until a job has ended: `{"progress": 0.4}` now and then, at last `{"result": ...}`; without that last
 * line where it was stopped or failed. The job goes on when the page hangs up.
 */
async function answerInLines(context: Context, id: string, response: Response): Promise<void> {
  let isThere = true;
  response.on('close', () => (isThere = false));
  const write = (line: object) => {
    response.write(`${JSON.stringify(line)}\n`);
    // Through compression a line would wait for more.
    response.flush?.();
  };
  const ours = doing.get(id);
  response.writeHead(200, { 'Content-Type': 'application/x-ndjson', 'X-Accel-Buffering': 'no' });
  try {
    for (;;) {
      const progress = await progressOf(context, id);
      if (!isThere || progress === null) break;
      write({ progress });
      await (ours ? Promise.race([ours.ended, rest(TELL_MS)]) : rest(ASK_MS));
    }
    if (!isThere) return;
    const done = ours ? ours.done : await resultOf(context, id);
    if (!done) return;
    write({ result: done.result });
    await markSeen(context.db, id);
  } finally {
    response.end();
  }
}

/** What a long answer's route comes to once it is done. */
type ResultOf<N extends RouteName> =
  Extract<ResponseOf<N>, { result: unknown }> extends { result: infer Result } ? Result : never;

/**
 * Binds a long work to a route of the table, answered in lines: a generator that yields how far it is, 0 to 1. It is a job that
 * goes on when the page is closed: whoever asks just so meanwhile, in whichever process, follows the same one. Its result is
 * held against the route's contract as other answers are.
 */
export function bindLong<N extends RouteName>(
  router: Router,
  context: Context,
  name: N,
  work: (call: Call<N> & { member: NonNullable<Call<N>['member']> }) => AsyncGenerator<number, ResultOf<N>>,
): void {
  const { response: schema } = ROUTES[name] as Route;
  bind(router, context, name, async (call) => {
    const asked = call as Parameters<typeof work>[0];
    const { id, isOurs } = await beginJob(context, asked.member.id, name, asked.body ?? null);
    if (isOurs) {
      const known = { progress: 0, ended: Promise.resolve() };
      doing.set(id, known);
      known.ended = doJob(context, id, work(asked), (result) => checked(schema, { result })).finally(() =>
        doing.delete(id),
      );
    }
    await answerInLines(context, id, asked.response);
    // Answered already, as the route's `stream` says.
    return undefined as ResponseOf<N>;
  });
}
