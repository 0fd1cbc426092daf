import { keepAnswer } from './answers';
import { keepAllDue, keepLater } from './dueAnswers';
import { casesOnComputers } from './onComputers';

/** So long after the last of several changes. */
const KEEP_ANEW_MS = 300;

if (typeof window !== 'undefined') window.addEventListener('pagehide', keepAllDue);

/**
 * Keeps what the server was asked for about a case anew, as this window knows it after a change: once one pauses, since it may be
 * thousands of lines, or as soon as it is asked for. Without it what is saved from here would be missing here while the server
 * cannot be reached.
 */
export function keepAnew(path: string, read: () => unknown): void {
  keepLater(path, KEEP_ANEW_MS, async () => {
    const answer = read();
    if (answer !== undefined && casesOnComputers() !== 'none') await keepAnswer(path, 'case', answer);
  });
}
