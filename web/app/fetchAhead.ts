import { isDataSaved } from './isDataSaved';

const IN_BETWEEN_MS = 100;

const idle = () => new Promise<unknown>((resolve) => requestIdleCallback(resolve));
const moment = () => new Promise((resolve) => setTimeout(resolve, IN_BETWEEN_MS));

/**
 * Fetches screens one after another while nothing else is to be done, so that going there later is quick, and does not
 * fail when the server goes down in the middle of the work. A screen that cannot be fetched now is left to when one
 * goes there. Where data is saved nothing is fetched ahead.
 *
 * @param screens what fetches each, in the order in which they are likely to be wanted
 * @param isBusy whether the page waits for something that somebody wants to see now
 * @returns a promise that is kept once all were tried
 */
export async function fetchAhead(
  screens: readonly (() => Promise<unknown>)[],
  isBusy: () => boolean,
): Promise<void> {
  if (isDataSaved()) return;
  for (const screen of screens) {
    await idle();
    while (isBusy()) {
      await moment();
      await idle();
    }
    await screen().catch(() => undefined);
  }
}
