import { runningWorker, type RunningWorker } from '#client/workers';
import type { LetterFiles } from './letterFiles.worker';

export type { LetterForm, LetterToWrite } from './letterFiles.worker';

/** Starts a worker that writes letters into files; ended, it stops. */
export const startLetterFiles = (): RunningWorker<LetterFiles> =>
  runningWorker(new Worker(new URL('./letterFiles.worker.ts', import.meta.url), { type: 'module' }));
