import { runningWorker, type RunningWorker } from '#client/workers';
import type { SignSearch } from './signSearch.worker';

/** Starts a worker that looks for signs in a submission. */
export const startSignSearch = (): RunningWorker<SignSearch> =>
  runningWorker(new Worker(new URL('./signSearch.worker.ts', import.meta.url), { type: 'module' }));
