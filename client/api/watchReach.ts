import { openCall } from './call';
import { isReached, onReach } from './reach';
import { ROUTES } from '#contracts';

/** So long after the server was found away it is asked for again, each time later, and then at the last of these. */
const AGAIN_MS = [500, 1000, 2000, 4000];

/**
 * While the server cannot be reached, asks for it again and again, and at once when the browser has a connection again or its
 * window is looked at: so a page learns that it is back without anybody asking. Gives what ends that.
 */
export function watchReach(): () => void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  let tries = 0;
  const ask = async () => {
    clearTimeout(timer);
    timer = undefined;
    // An answer of any kind is noted by the call itself.
    await openCall(ROUTES.health, ROUTES.health.path, {}).catch(() => undefined);
    if (!isReached()) later();
  };
  const later = () => {
    timer ??= setTimeout(() => void ask(), AGAIN_MS[Math.min(tries++, AGAIN_MS.length - 1)]);
  };
  const changed = () => {
    tries = 0;
    if (!isReached()) later();
  };
  const now = () => void (isReached() ? undefined : ask());
  const stop = onReach(changed);
  window.addEventListener('online', now);
  document.addEventListener('visibilitychange', now);
  return () => {
    stop();
    clearTimeout(timer);
    window.removeEventListener('online', now);
    document.removeEventListener('visibilitychange', now);
  };
}
