import { z } from 'zod';
import { call, isProblem } from '#client/api';
import { dropKept, keep, kept } from '#client/kept';

const OWED = 'sign-out-owed';

/** Signs out, at once or, where the server cannot be reached now, before anything is asked of it again from this computer. */
export async function signOut(): Promise<void> {
  keep(OWED, true);
  await signOutOwed();
}

/** Somebody is signed in: nothing is owed of an earlier session. */
export const settleSignOut = (): void => dropKept(OWED);

/** Signs out where that is owed. False where it still is: the server cannot be reached. */
export async function signOutOwed(): Promise<boolean> {
  if (kept(OWED, z.literal(true)) === null) return true;
  try {
    await call('signOut');
  } catch (error) {
    if (!isProblem(error, 'not-signed-in')) return false;
  }
  dropKept(OWED);
  return true;
}
