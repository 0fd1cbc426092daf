import type { createBrowserRouter } from 'react-router';
import { Workbox } from 'workbox-window';
import { isWritten } from '#client/atHand';
import { isDataSaved } from './isDataSaved';

type Router = ReturnType<typeof createBrowserRouter>;

/** A page that stays open for days asks for an update this often. */
const ASK_EVERY_MS = 3_600_000;
/** So long after one went to another screen that is drawn. */
const SETTLED_MS = 200;
/** A leaf that was just left says so late where the computer is busy: it is looked so often. Later a reload would come in the midst of something. */
const MOST_LOOKS = 10;

/**
 * Has the pages open without the server from now on, and keeps them up to date. An update is fetched beside the work, and taken when
 * one goes to another screen while nothing is being written in any window: that screen is then opened by the new one.
 */
export function openWithoutServer(router: Router): void {
  // Without TLS browsers have none.
  if (!('serviceWorker' in navigator)) return;
  // It would fetch every file. One that is there already is kept up to date.
  if (isDataSaved() && !navigator.serviceWorker.controller) return;
  const worker = new Workbox('/service-worker.js');
  let isWaiting = false;
  let isTaken = false;
  worker.addEventListener('waiting', () => {
    isWaiting = true;
  });
  worker.addEventListener('controlling', ({ isUpdate, isExternal }) => {
    // Another window took it, or this one did: what is shown from here on is the new one's.
    if (isUpdate || isExternal) isTaken = true;
  });
  const take = async (): Promise<void> => {
    if ((!isWaiting && !isTaken) || !(await isNothingWritten())) return;
    if (isTaken) return window.location.reload();
    worker.addEventListener('controlling', () => window.location.reload());
    worker.messageSkipWaiting();
  };
  let { pathname } = router.state.location;
  /** Whether nothing is being written by now, or within a moment on this screen. */
  const isNothingWritten = async (): Promise<boolean> => {
    const here = pathname;
    for (let looks = 0; looks < MOST_LOOKS && pathname === here; looks += 1) {
      if (!(await isWritten())) return true;
      await new Promise((go) => setTimeout(go, SETTLED_MS));
    }
    return false;
  };
  router.subscribe(({ location, navigation }) => {
    if (navigation.state !== 'idle' || location.pathname === pathname) return;
    ({ pathname } = location);
    // By then the screen that was left is gone, and with it what was being written on it.
    setTimeout(() => void take(), SETTLED_MS);
  });
  void worker.register().catch(() => undefined);
  setInterval(() => void worker.update().catch(() => undefined), ASK_EVERY_MS);
}
