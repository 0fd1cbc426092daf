import { Noticed } from '#client/kept';

/** Whether the server answered what was asked last; so until something was. */
const reached = new Noticed(true);

/** Whether the server answered the last request; true until one was sent. */
export const isReached = (): boolean => reached.now;

/** Has `changed` called whenever the server stops answering, or answers again. Gives what ends that. */
export const onReach = (changed: () => void): (() => void) => reached.on(changed);

/** Notes whether a request was answered. */
export const noteReach = (now: boolean): void => reached.note(now);
