import type { ResolvedCue } from './cue';

/** A cue that was perhaps meant by what is typed. */
export interface NearCue {
  cue: ResolvedCue;
  slip: 'mistyped' | 'no-lead-in';
}

/** Whether one letter put in, left out, changed, or swapped with the next makes `a` into `b`, and they differ. */
export function isOneSlip(a: string, b: string): boolean {
  if (a === b || Math.abs(a.length - b.length) > 1) return false;
  let from = 0;
  while (from < a.length && a[from] === b[from]) from += 1;
  let [endA, endB] = [a.length, b.length];
  while (endA > from && endB > from && a[endA - 1] === b[endB - 1]) {
    endA -= 1;
    endB -= 1;
  }
  const [left, right] = [endA - from, endB - from];
  if (left <= 1 && right <= 1) return true;
  return left === 2 && right === 2 && a[from] === b[from + 1] && a[from + 1] === b[from];
}

/**
 * Cues that a typed word comes near: its letters without the lead-in, or one slip away from a cue with its lead-in
 * right. Nothing for a cue that is typed right. `leadIns` is by entry.
 */
export function nearCues(
  typed: string,
  cues: readonly ResolvedCue[],
  leadInOf: (cue: ResolvedCue) => string,
): NearCue[] {
  const word = typed.toLowerCase();
  if (cues.some((cue) => cue.typed.toLowerCase() === word)) return [];
  return cues.flatMap((cue): NearCue[] => {
    const whole = cue.typed.toLowerCase();
    const leadIn = leadInOf(cue).toLowerCase();
    if (leadIn !== '' && word.length > 1 && word === whole.slice(leadIn.length))
      return [{ cue, slip: 'no-lead-in' }];
    const isMeant = leadIn !== '' && word.startsWith(leadIn) && whole.length - leadIn.length > 1;
    return isMeant && isOneSlip(word, whole) ? [{ cue, slip: 'mistyped' }] : [];
  });
}
