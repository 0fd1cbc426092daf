import type { z } from 'zod';

const PREFIX = 'elderleaf.';

/** Where something is kept: on this computer, or in this tab alone and no longer than it is open. */
export type Where = 'computer' | 'tab';
const storageOf = (where: Where): Storage => (where === 'tab' ? sessionStorage : localStorage);

/** Keeps a value under a name. Returns false when the browser has no room for it, or allows none. */
export const keep = (name: string, value: unknown, where: Where = 'computer'): boolean =>
  keepWritten(name, JSON.stringify(value), where);

/** Keeps a value that is JSON already, as `keep` does. */
export function keepWritten(name: string, json: string, where: Where = 'computer'): boolean {
  try {
    storageOf(where).setItem(PREFIX + name, json);
    return true;
  } catch {
    return false;
  }
}

/** What is kept under a name; null where nothing is, or something that is not of this form. */
export function kept<Value>(name: string, schema: z.ZodType<Value>, where: Where = 'computer'): Value | null {
  try {
    const read = schema.safeParse(JSON.parse(storageOf(where).getItem(PREFIX + name) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** The names beginning so under which something is kept, here or in this tab, each once and without its beginning. */
export function keptNames(beginning: string): string[] {
  const whole = PREFIX + beginning;
  const names = (['computer', 'tab'] as const).flatMap((where) => {
    try {
      return Object.keys(storageOf(where));
    } catch {
      // The browser allows nothing to be kept.
      return [];
    }
  });
  return [...new Set(names.filter((name) => name.startsWith(whole)))].map((name) => name.slice(whole.length));
}

/** Takes away what is kept under a name. */
export function dropKept(name: string, where: Where = 'computer'): void {
  try {
    storageOf(where).removeItem(PREFIX + name);
  } catch {
    // The browser allows nothing to be kept: then nothing is.
  }
}

/** The tab is this member's from now on: what it keeps of somebody else goes. Null when nobody is signed in. */
export function ownTab(member: string | null): void {
  try {
    if (sessionStorage.getItem(`${PREFIX}member`) === member) return;
    const names = Object.keys(sessionStorage).filter((name) => name.startsWith(PREFIX));
    for (const name of names) sessionStorage.removeItem(name);
    if (member !== null) sessionStorage.setItem(`${PREFIX}member`, member);
  } catch {
    // The browser allows nothing to be kept: then nothing is.
  }
}
