/** A key as it was pressed while a lead-in was tried: what came of it, and whether AltGr was held. */
export interface TriedKey {
  key: string;
  altGraph: boolean;
}

/**
 * How a lead-in lies on a keyboard: `untried` before it came; `dead` where its key waits for the next letter, so that two
 * presses are needed; `altgr` where AltGr must be held; `good` otherwise.
 */
export type LeadInTried = 'untried' | 'dead' | 'altgr' | 'good';

/** What is told of each, with what to do. */
export const LEAD_IN_TRIED: Record<LeadInTried, string> = {
  untried: 'Type it here, then two letters.',
  dead: 'This key waits for the next letter on this keyboard. Choose another character.',
  altgr: 'This character needs AltGr on this keyboard. Choose another.',
  good: 'One key press: good on this keyboard.',
};

/**
 * Judges a lead-in by the keys that were pressed, the last of them last. A dead key tells of itself as `Dead`, before the sign that
 * comes of it (UI Events, 5.2).
 */
export function leadInTried(leadIn: string, keys: readonly TriedKey[]): LeadInTried {
  const first = leadIn.charAt(0);
  if (first === '') return 'untried';
  const at = keys.findLastIndex(({ key }) => key === first);
  if (at < 0) return keys.some(({ key }) => key === 'Dead') ? 'dead' : 'untried';
  if (keys[at - 1]?.key === 'Dead') return 'dead';
  return keys[at]!.altGraph ? 'altgr' : 'good';
}
