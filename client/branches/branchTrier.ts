import { runningWorker, type RunningWorker } from '#client/workers';
import type { BranchTrier } from './branches.worker';

/** Starts a worker that tries the branches of wordings away from the thread that takes keys. */
export const startBranchTrier = (): RunningWorker<BranchTrier> =>
  runningWorker(new Worker(new URL('./branches.worker.ts', import.meta.url), { type: 'module' }));
