import { call, callsGoTo, inWords } from '#client/api';
import { endJoining, renew } from './renew';
import { joined, setJoined } from './settings';
import { forgetAll } from './store';

/** The origin of an address as somebody types it; null where it is none. Without a scheme it is `https`, on this computer `http`. */
export function originOf(typed: string): string | null {
  const text = typed.trim();
  const isHere = /^(localhost|127\.0\.0\.1|\[::1\])(:|\/|$)/.test(text);
  try {
    const url = new URL(/^[a-z]+:\/\//i.test(text) ? text : `${isHere ? 'http' : 'https'}://${text}`);
    return ['http:', 'https:'].includes(url.protocol) ? url.origin : null;
  } catch {
    return null;
  }
}

/** Joins this browser by a code, and fetches the bank. Gives what hindered it; null when it is joined. */
export async function joinBy(address: string, code: string, name: string): Promise<string | null> {
  const origin = originOf(address);
  if (!origin) return 'That is no address. Type it as it stands in the browser when Elderleaf is open.';
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
