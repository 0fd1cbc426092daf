import { releaseProxy, wrap, type Remote } from 'comlink';

/** What another thread does, and how that thread is let go; once it is, letting it go again does nothing. */
export interface RunningWorker<T> {
  remote: Remote<T>;
  end: () => void;
}

/** Speaks with a worker that exposes something by comlink. */
export function runningWorker<T>(worker: Worker): RunningWorker<T> {
  const remote = wrap<T>(worker);
  let isOver = false;
  return {
    remote,
    end: () => {
      if (isOver) return;
      isOver = true;
      remote[releaseProxy]();
      worker.terminate();
    },
  };
}
