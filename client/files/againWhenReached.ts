import { isReached, onReach, Unreachable } from '#client/api';
import { SendingStopped } from './sendFile';

/** So often something is sent in all: where the server answers all else and never this, it is not for want of a connection. */
const MOST_TRIES = 4;

interface Waiting {
  /** What is sent, as a person calls it. */
  name: string;
  /** Ends the waiting. */
  signal: AbortSignal;
  /** Called as it begins to wait for the server, and as it is sent again. */
  waits: (isWaiting: boolean) => void;
}

/** Resolves once the server is reached. Throws SendingStopped where `signal` ended it. */
function reached({ name, signal }: Waiting): Promise<void> {
  return new Promise((resolve, reject) => {
    const look = () => {
      if (!isReached() && !signal.aborted) return;
      stop();
      signal.removeEventListener('abort', look);
      if (signal.aborted) reject(new SendingStopped(name));
      else resolve();
    };
    const stop = onReach(look);
    signal.addEventListener('abort', look);
    look();
  });
}

/**
 * Sends something, and once more whenever its way broke off and the server is back: `send` does it from its beginning. Gives what `send` gives, and
 * throws what it throws; Unreachable only after so many tries, SendingStopped where `signal` ended the waiting.
 */
export async function againWhenReached<Kept>(send: () => Promise<Kept>, waiting: Waiting): Promise<Kept> {
  for (let tries = 1; ; tries += 1)
    try {
      return await send();
    } catch (error) {
      if (!(error instanceof Unreachable) || tries === MOST_TRIES) throw error;
      waiting.waits(true);
      await reached(waiting);
      waiting.waits(false);
    }
}
