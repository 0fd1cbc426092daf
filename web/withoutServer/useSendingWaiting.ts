import { useEffect } from 'react';
import { isReached, moreSeldom, onReach } from '#client/api';
import { sendWaiting } from '#client/waiting';
import { KEYS, queryClient } from '../api';

const AGAIN_MS = 60_000;

/** Asks again for what is shown: what this computer kept may be out of date. The text of a leaf is at home on the page, and stays. */
const askAgainForAll = () =>
  queryClient.invalidateQueries({ predicate: ({ queryKey }) => queryKey[0] !== 'draft' });

/**
 * Sends what waits of a member's: now, and whenever the server can be reached again. What was shown as this computer kept it
 * is then asked for anew; more and more seldom where one question always fails, as a proxy may have it: the server then seems
 * to go away and to come back each time.
 */
export function useSendingWaiting(member: string): void {
  useEffect(() => {
    let isOver = false;
    const anew = moreSeldom(() => void askAgainForAll());
    const send = async (isBack: boolean) => {
      if (!isReached()) return;
      const { cases, entries } = await sendWaiting(member);
      if (isOver) return;
      if (isBack) return anew.ask();
      for (const of of new Set(cases)) void queryClient.invalidateQueries({ queryKey: KEYS.case(of) });
      if (cases.length > 0) void queryClient.invalidateQueries({ queryKey: KEYS.cases });
      if (entries.length > 0) void queryClient.invalidateQueries({ queryKey: KEYS.bank });
    };
    void send(false);
    const stop = onReach(() => void send(true));
    // What was held up by a session that had run out, or a server in trouble, is tried again.
    const again = setInterval(() => void send(false), AGAIN_MS);
    return () => {
      isOver = true;
      clearInterval(again);
      anew.stop();
      stop();
    };
  }, [member]);
}
