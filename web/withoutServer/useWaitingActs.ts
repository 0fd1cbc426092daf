import { useCallback } from 'react';
import { waitingActs } from '#client/waiting';
import type { WaitingAct } from '#client/atHand';
import { useWhileWaiting } from './useWhileWaiting';

/** What a member made and the server has not yet, in the order it was made. */
export const useWaitingActs = (member: string): readonly WaitingAct[] =>
  useWhileWaiting(useCallback(() => waitingActs(member), [member]));
