import { goingTo } from './goingTo';
import { pathFor } from '#contracts';

/** What a screen that cannot be fetched falls back on; others are for tests. */
export interface LoadingAnew {
  /** Whether the server answers. */
  isThere: () => Promise<boolean>;
  /** Opens the page itself anew, at the screen that one goes to. */
  goAnew: () => void;
  /** When the page was opened anew for this last, in ms since the epoch; 0 for never. */
  lastAnew: () => number;
}

/** Opened anew a moment ago and failed again, it would go on for ever. */
const AGAIN_AFTER_MS = 20_000;
const LAST_ANEW = 'opened-anew';

const ANEW: LoadingAnew = {
  isThere: () =>
    fetch(pathFor('health', {})).then(
      ({ ok }) => ok,
      () => false,
    ),
  goAnew: () => {
    sessionStorage.setItem(LAST_ANEW, String(Date.now()));
    const { pathname, search } = goingTo();
    if (window.location.pathname + window.location.search === pathname + search) window.location.reload();
    else window.location.assign(pathname + search);
  },
  lastAnew: () => Number(sessionStorage.getItem(LAST_ANEW) ?? 0),
};

/**
 * Fetches what draws a screen. A browser may remember for as long as the page is open that a script could not be fetched, when the
 * server was down for a moment; and a server that was brought up to date has it no more. Where the server answers, the page is then
 * opened anew: nothing is lost, since what is written is kept on this computer.
 * @throws what the browser threw, where the server does not answer either, or opening the page anew did not help.
 */
export async function loadScreen<T>(load: () => Promise<T>, anew: LoadingAnew = ANEW): Promise<T> {
  try {
    return await load();
  } catch (error) {
    if (Date.now() - anew.lastAnew() < AGAIN_AFTER_MS || !(await anew.isThere())) throw error;
    anew.goAnew();
    // The page goes: nothing is shown of the failure until then.
    return new Promise<T>(() => undefined);
  }
}
