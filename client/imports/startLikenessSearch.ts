import { runningWorker, type RunningWorker } from '#client/workers';
import type { LikenessSearch } from './likeness.worker';

/** Starts a worker that finds what says nearly the same among many entries. */
export const startLikenessSearch = (): RunningWorker<LikenessSearch> =>
  runningWorker(new Worker(new URL('./likeness.worker.ts', import.meta.url), { type: 'module' }));
