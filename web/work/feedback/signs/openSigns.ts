import { z } from 'zod';
import { keep, kept } from '#client/kept';
import { compareRanges, comparePoints, type TextRange } from '#core/passage';
import { wordsBefore, wordsOn, type Submission } from '#core/submission';

/** A place where an entry would fit, as it is pointed out. */
export interface SignShown {
  entry: string;
  on: TextRange;
  /** Stays its own where another version is handed in: by the entry, the words, and what stands before them on their line. */
  key: string;
}

/** So many places are remembered as let be, of one submission. */
const MOST_LET_BE = 2000;

const nameOf = (member: string, of: string) => `signs-let-be.${member}.${of}`;

/** The places that a member let be in a submission, by their keys. */
export const letBeIn = (member: string, of: string): readonly string[] =>
  kept(nameOf(member, of), z.array(z.string())) ?? [];

/** Remembers on this computer what is let be; what is too much, or finds no room, is pointed out again another time. */
export const keepLetBe = (member: string, of: string, keys: readonly string[]): void =>
  void keep(nameOf(member, of), keys.slice(-MOST_LET_BE));

/** What tells a place from all others of its submission. */
export const keyOfSign = (submission: Submission, entry: string, on: TextRange): string =>
  [entry, wordsOn(submission, on), wordsBefore(submission, on.from).split('\n').at(-1)].join('\n');

/** Whether two stretches share something. */
const overlaps = (one: TextRange, other: TextRange): boolean =>
  comparePoints(one.from, other.to) < 0 && comparePoints(other.from, one.to) < 0;

/**
 * The places that are still pointed out, in reading order: those that were not let be, and on whose words there is no comment of the
 * same entry.
 */
export function openSigns(
  places: readonly SignShown[],
  letBe: readonly string[],
  said: readonly { entry: string; on: TextRange }[],
): SignShown[] {
  const hidden = new Set(letBe);
  return places
    .filter(({ key }) => !hidden.has(key))
    .filter(({ entry, on }) => !said.some((one) => one.entry === entry && overlaps(one.on, on)))
    .sort((one, other) => compareRanges(one.on, other.on));
}

/** The next place from one on, else from where one reads; null behind the last. */
export function nextSign(
  all: readonly SignShown[],
  here: string | null,
  from: TextRange['from'],
): SignShown | null {
  const at = all.findIndex(({ key }) => key === here);
  if (at >= 0) return all[at + 1] ?? null;
  return all.find(({ on }) => comparePoints(on.from, from) >= 0) ?? null;
}
