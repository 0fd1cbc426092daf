import { call, callsGoTo, inWords } from '#client/api';
import { NO_ADDRESS, originOf } from '../originOf';
import { endJoining, renew } from './renew';
import { joined, setJoined } from './settings';
import { forgetAll } from './store';

/** Joins this browser by a code, and fetches the bank. Gives what hindered it; null when it is joined. */
export async function joinBy(address: string, code: string, name: string): Promise<string | null> {
  const origin = originOf(address);
  if (!origin) return NO_ADDRESS;
  try {
    callsGoTo({ address: origin, token: null });
    const { token, member } = await call('joinBrowser', { body: { code, name } });
    await forgetAll();
    await setJoined({ address: origin, token, member, name });
  } catch (error) {
    return inWords(error);
  }
  await renew();
  return null;
}

/** Ends the joining here, and at the server where it can be reached. */
export async function leaveJoined(): Promise<void> {
  const to = await joined();
  if (to) {
    callsGoTo(to);
    // Out of reach it ends on the account, or by itself after some months.
    await call('leaveBrowser').catch(() => undefined);
  }
  await endJoining();
}
