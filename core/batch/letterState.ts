import type { SendingState } from '#core/sending';

/** Where the letter of a row is. */
export const LETTER_STATES = [
  'undecided',
  'to-check',
  'checked',
  'held',
  'on-its-way',
  'gone',
  'perhaps-gone',
  'refused',
] as const;
export type LetterState = (typeof LETTER_STATES)[number];

/** What is known of a row's letter. */
export interface LetterFacts {
  /** Whether an entry was decided on, by a rule or by hand. */
  isDecided: boolean;
  isHeld: boolean;
  /** The seal of the letter as it was checked; null for one that was not. */
  checked: string | null;
  /** The seal of the letter as it reads now. */
  seal: string;
  /** How many gaps it has: with one it is not checked, whoever said so. */
  gaps: number;
  /** How it went out as a file or on paper; null where it did not. */
  gone: string | null;
  /** Where it is on its way by mail; null for one that was never sent, or was taken back. */
  sending: SendingState | null;
}

/** Where a letter is, by all that is known of it: what has happened to it goes before what is planned. */
export function letterState(facts: LetterFacts): LetterState {
  switch (facts.sending) {
    case 'waiting':
    case 'going':
      return 'on-its-way';
    case 'gone':
    case 'perhaps-gone':
    case 'refused':
      return facts.sending;
    default:
  }
  if (facts.gone !== null) return 'gone';
  if (facts.isHeld) return 'held';
  if (!facts.isDecided) return 'undecided';
  return facts.gaps === 0 && facts.checked === facts.seal ? 'checked' : 'to-check';
}

/** Whether a letter was checked and reads otherwise now. */
export const hasChangedSince = ({ checked, seal }: Pick<LetterFacts, 'checked' | 'seal'>): boolean =>
  checked !== null && checked !== seal;

/**
 * A short sum of a letter's words by which it is told whether it is the one that was checked (two 32-bit rounds of FNV-1a, over UTF-16
 * units, in base 36). It keeps slips from going out, not people.
 */
export function sealOf(words: string): string {
  let [first, second] = [0x811c9dc5, 0x01000193 ^ words.length];
  for (let at = 0; at < words.length; at += 1) {
    const unit = words.charCodeAt(at);
    first = Math.imul(first ^ unit, 0x01000193);
    second = Math.imul(second ^ unit, 0x85ebca6b) ^ (second >>> 13);
  }
  return `${(first >>> 0).toString(36)}-${(second >>> 0).toString(36)}`;
}
