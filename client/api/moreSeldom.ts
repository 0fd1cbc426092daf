/** So long after it was done it is done again at the earliest; longer each time that it was asked for before, and at most the last, in ms. */
const LEAST_MS = 1000;
const MOST_MS = 60_000;

/**
 * Does something at once when it is asked for, and more and more seldom while it is asked for again and again: where what it
 * does leads to its being asked for anew, neither this computer nor the server is kept busy by it.
 *
 * @param work what is done
 * @returns `ask` asks for it, and is answered by its being done at some time after; `stop` forgets what is still to be done
 */
export function moreSeldom(work: () => void): { ask: () => void; stop: () => void } {
  let pause = LEAST_MS;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isAsked = false;
  const rest = () => {
    timer = setTimeout(() => {
      timer = undefined;
      if (!isAsked) {
        pause = LEAST_MS;
        return;
      }
      pause = Math.min(MOST_MS, pause * 2);
      begin();
    }, pause);
  };
  const begin = () => {
    isAsked = false;
    rest();
    work();
  };
  return {
    ask: () => {
      if (timer === undefined) begin();
      else isAsked = true;
    },
    stop: () => {
      clearTimeout(timer);
      timer = undefined;
      isAsked = false;
    },
  };
}
