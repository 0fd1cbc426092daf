import { Noticed } from '#client/kept';

const full = new Noticed(false);

/** Whether this computer had no room for what was to be kept last. */
export const hasNoRoom = (): boolean => full.now;

/** Has `changed` called when the computer runs out of room, or has some again. Gives what ends that. */
export const onRoom = (changed: () => void): (() => void) => full.on(changed);

/** Notes how keeping something went; null where it went well. What failed for another reason tells nothing of room. */
export function noteRoom(error: unknown): void {
  const isFull = error instanceof DOMException && error.name === 'QuotaExceededError';
  if (error === null || isFull) full.note(isFull);
}
