import type { Measured } from './measure';

/** Milliseconds from each key to what was painted of it. */
export interface Timed {
  text: number[];
  offers: number[];
}

/** In the page: from each key to the next frame that shows its text, and to the one that shows its offers. */
export function watch(): void {
  const timed: Timed = { text: [], offers: [] };
  (window as unknown as { timed: Timed }).timed = timed;
  let pressed = 0;
  let isAwaited = false;
  // A frame is painted when a task that was asked for within it runs.
  const afterThisFrame = (then: () => void) => {
    const { port1, port2 } = new MessageChannel();
    port1.onmessage = then;
    port2.postMessage(null);
  };
  // What changes while the frame of a key is drawn is painted with it, anything else with the next.
  let isDrawing = false;
  const painted = (then: () => void) =>
    isDrawing ? afterThisFrame(then) : requestAnimationFrame(() => afterThisFrame(then));
  window.addEventListener(
    'keydown',
    (event) => {
      const start = event.timeStamp;
      pressed = start;
      isAwaited = true;
      requestAnimationFrame(() => {
        isDrawing = true;
        afterThisFrame(() => {
          isDrawing = false;
          timed.text.push(performance.now() - start);
        });
      });
    },
    true,
  );
  new MutationObserver(() => {
    if (!isAwaited) return;
    isAwaited = false;
    const start = pressed;
    painted(() => timed.offers.push(performance.now() - start));
  }).observe(document.querySelector('aside')!, { subtree: true, childList: true, characterData: true });
}

const at = (sorted: readonly number[], share: number) =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * share))]! * 1e6;

/** How many keys were measured somewhere, as it is told. */
export const keysIn = (where: string, { length }: readonly number[]): string =>
  `${where} (${length} keys measured)`;

/** What was measured of a work done again and again; `times` in milliseconds. */
export function measured(section: string, contender: string, work: string, times: number[]): Measured {
  const sorted = [...times].sort((a, b) => a - b);
  const mean = times.reduce((sum, time) => sum + time, 0) / times.length;
  return {
    section,
    work,
    contender,
    perSecond: 1000 / mean,
    p50: at(sorted, 0.5),
    p95: at(sorted, 0.95),
    p99: at(sorted, 0.99),
  };
}
