import { locks } from '#client/locks';

/** Held by every window in which something is being written; an update of the application waits for all of them. */
const WRITING = 'elderleaf-writing';

let writers = 0;
let letGo: (() => void) | null = null;

/** Notes that something is being written in this window from here on. Gives what ends that. */
export function beginWriting(): () => void {
  writers += 1;
  if (writers === 1) {
    const holding = new Promise<void>((resolve) => (letGo = resolve));
    void locks()?.request(WRITING, { mode: 'shared' }, () => holding);
  }
  return () => {
    writers -= 1;
    if (writers > 0) return;
    letGo?.();
    letGo = null;
  };
}

/** Whether something is being written in any window of this browser; in this one, where the browser cannot tell of others. */
export async function isWritten(): Promise<boolean> {
  const { held = [] } = (await locks()?.query()) ?? {};
  return writers > 0 || held.some(({ name }) => name === WRITING);
}
