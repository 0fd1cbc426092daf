import type { z } from 'zod';
import type { RESOURCES } from './resources';

/** Why something of a record was not taken: a key of `WHY`. */
const WHY = {
  'not-read': 'Elderleaf does not read these',
  'in-error': 'marked as entered in error',
  'not-done': 'cancelled or refuted',
  'no-value': 'without a value',
  'no-day': 'without a day',
  'no-name': 'without a name',
  'someone-else': 'about a patient who is not in these files',
  nobody: 'without a patient, and these files hold several',
  older: 'older versions',
  'too-many': 'since a record holds no more of them; the newest were taken',
} as const;
/** Why something of a record was not taken. */
export type WhyLeftOut = keyof typeof WHY;

/** How many resources of each type were left out, and why: by "type why". */
export class LeftOut {
  private readonly counts = new Map<string, { type: string; why: WhyLeftOut; count: number }>();

  /** Counts one more. */
  add(type: string, why: WhyLeftOut): void {
    const key = `${type} ${why}`;
    const one = this.counts.get(key) ?? { type, why, count: 0 };
    this.counts.set(key, { ...one, count: one.count + 1 });
  }

  /** Sentences for a person, the most frequent first: "Left out: 3 Observation, marked as entered in error." */
  inWords(): string[] {
    return [...this.counts.values()]
      .sort((a, b) => b.count - a.count)
      .map(({ type, why, count }) => `Left out: ${count} ${type}, ${WHY[why]}.`);
  }
}

/** What JSON values are called to people. */
const KINDS: Record<string, string> = {
  ...{ string: 'a text', number: 'a number', boolean: 'true or false', object: 'an object', array: 'a list' },
  ...{ null: 'null', undefined: 'missing' },
};
const kindOf = (kind: string): string => KINDS[kind] ?? kind;

/** What is wrong with one value, in words of ours. */
function inWords(issue: z.core.$ZodIssue, value: unknown): string {
  if (issue.code !== 'invalid_type') return issue.message;
  const found = issue.path.reduce<unknown>(
    (at, key) =>
      typeof at === 'object' && at !== null ? (at as Record<PropertyKey, unknown>)[key] : undefined,
    value,
  );
  const is = found === null ? 'null' : Array.isArray(found) ? 'array' : typeof found;
  return found === undefined
    ? `must be ${kindOf(issue.expected)}, and is missing`
    : `must be ${kindOf(issue.expected)}, and is ${kindOf(is)}`;
}

/** What is wrong with a value, each thing with the place where it is. */
export const issuesOf = (error: z.ZodError, value: unknown, place: string) =>
  error.issues.map((issue) => ({ place: place + dotted(issue.path), message: inWords(issue, value) }));

const dotted = (path: PropertyKey[]) =>
  path.map((key) => (typeof key === 'number' ? `[${key}]` : `.${String(key)}`)).join('');

/** Whether a type of resource is read at all. */
export const isRead = (type: string, resources: typeof RESOURCES): type is keyof typeof RESOURCES =>
  Object.hasOwn(resources, type);
