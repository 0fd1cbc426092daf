import { releaseProxy, wrap, type Remote } from 'comlink';
import type { BranchTrier } from './branches.worker';

/** A worker that tries the branches of wordings; `end` lets it go. */
export interface RunningTrier {
  try: Remote<BranchTrier>['try'];
  end(): void;
}

/** Starts a worker that tries the branches of wordings away from the thread that takes keys. */
export function startBranchTrier(): RunningTrier {
  const worker = new Worker(new URL('./branches.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<BranchTrier>(worker);
  return {
    try: remote.try,
    end: () => {
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
