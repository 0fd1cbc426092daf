import type { RouteName } from '#contracts';

/** Where answers are kept for when the server cannot be reached. */
export interface KeptAnswers {
  /** Keeps what a route answered at a path; soon, and without a word where it cannot. */
  keep: (name: RouteName, path: string, answer: unknown) => void;
  /** What was kept of a path; undefined where nothing is, or nothing that this page can read. */
  at: (name: RouteName, path: string) => Promise<unknown>;
}

const NOWHERE: KeptAnswers = { keep: () => undefined, at: () => Promise.resolve(undefined) };
let place = NOWHERE;

/** Says where answers are kept from here on; null for nowhere. */
export function answersAreKept(at: KeptAnswers | null): void {
  place = at ?? NOWHERE;
}

/** Where answers are kept now. */
export const keptAnswers = (): KeptAnswers => place;
