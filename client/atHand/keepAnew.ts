import { keepAnswer } from './answers';
import { casesOnComputers } from './onComputers';

/** So long after the last of several changes. */
const KEEP_ANEW_MS = 1000;

const due = new Map<string, ReturnType<typeof setTimeout>>();

/**
 * Keeps what the server was asked for about a case anew, as this window knows it after a change: once one pauses, since it may be
 * thousands of lines. Without it what is saved from here would be missing here while the server cannot be reached.
 */
export function keepAnew(path: string, read: () => unknown): void {
  clearTimeout(due.get(path));
  const keep = () => {
    due.delete(path);
    const answer = read();
    if (answer !== undefined && casesOnComputers() !== 'none') void keepAnswer(path, 'case', answer);
  };
  due.set(path, setTimeout(keep, KEEP_ANEW_MS));
}
