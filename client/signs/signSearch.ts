import { releaseProxy, wrap, type Remote } from 'comlink';
import type { SignSearch } from './signSearch.worker';

/** A worker that looks for signs in a submission; `end` lets it go, once it has. */
export interface RunningSearch {
  find: Remote<SignSearch>['find'];
  end(): void;
}

/** Starts a worker that looks for signs. */
export function startSignSearch(): RunningSearch {
  const worker = new Worker(new URL('./signSearch.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<SignSearch>(worker);
  let isOver = false;
  return {
    find: remote.find,
    end: () => {
      if (isOver) return;
      isOver = true;
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
