import type { Closer, ResolvedCue } from './cue';

const CLOSER: Record<Closer, { sign: string; words: string }> = {
  space: { sign: '␣', words: 'Space' },
  enter: { sign: '⏎', words: 'Enter' },
  tab: { sign: '⇥', words: 'Tab' },
  punctuation: { sign: '.', words: 'a full stop' },
};

/** The first closing key that a cue waits for, in the order people reach for them; null for one that fires as it is typed. */
export function closingKey({ as, rules }: ResolvedCue): { sign: string; words: string } | null {
  if (as === 'keys' || (!as && rules.fires === 'last')) return null;
  const first = (Object.keys(CLOSER) as Closer[]).find((closer) => rules.closers.includes(closer));
  return CLOSER[first ?? 'space'];
}

/** The keys that really bring an entry by a cue, to be said: ";wt" or ";wt and Space". */
export function keysInWords(cue: ResolvedCue): string {
  const closer = closingKey(cue);
  return closer ? `${cue.typed} and ${closer.words}` : cue.typed;
}
