import type { z } from 'zod';

const PREFIX = 'elderleaf.';

/** Keeps a value on this computer under a name. Returns false when the browser has no room for it, or allows none. */
export function keep(name: string, value: unknown): boolean {
  try {
    localStorage.setItem(PREFIX + name, JSON.stringify(value));
    return true;
  } catch {
    return false;
  }
}

/** What is kept on this computer under a name; null where nothing is, or something that is not of this form. */
export function kept<Value>(name: string, schema: z.ZodType<Value>): Value | null {
  try {
    const read = schema.safeParse(JSON.parse(localStorage.getItem(PREFIX + name) ?? 'null'));
    return read.success ? read.data : null;
  } catch {
    return null;
  }
}

/** Takes away what is kept under a name. */
export function dropKept(name: string): void {
  try {
    localStorage.removeItem(PREFIX + name);
  } catch {
    // The browser allows nothing to be kept: then nothing is.
  }
}
