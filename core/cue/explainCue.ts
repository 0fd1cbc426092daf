import type { Closer, ResolvedCue } from './cue';
import { CueIndex, type CueMatch } from './cueIndex';

/** What a line typed so far does, and why. */
export type Explanation =
  | { code: 'fires'; match: CueMatch; closer: Closer | null }
  | { code: 'waits'; cue: ResolvedCue }
  /** Its letters stand there, but a rule keeps it back: what stands before it, its capitals, or the closing key. */
  | { code: 'before' | 'letters' | 'closer'; cue: ResolvedCue }
  | { code: 'nothing' };

const closerOf = (char: string): Closer | null => {
  if (char === ' ') return 'space';
  if (char === '\n') return 'enter';
  if (char === '\t') return 'tab';
  return /^[.,;:!?)\]]$/.test(char) ? 'punctuation' : null;
};

/** The longest cue whose letters end a line, whatever its rules say. */
function endingWith(line: string, cues: readonly ResolvedCue[]): ResolvedCue | null {
  const small = line.toLowerCase();
  const fitting = cues.filter(({ as, typed }) => !as && small.endsWith(typed.toLowerCase()));
  return fitting.sort((a, b) => b.typed.length - a.typed.length)[0] ?? null;
}

/** Why a cue whose letters end a line does not fire at the key given. */
function heldBack(cue: ResolvedCue, line: string, closer: Closer | null, typed: string): Explanation {
  const alone = new CueIndex([{ ...cue, rules: { ...cue.rules, before: 'anything' } }]);
  if (cue.rules.letters === 'exact' && !line.endsWith(cue.typed)) return { code: 'letters', cue };
  if (closer && cue.rules.fires === 'closing' && !cue.rules.closers.includes(closer))
    return { code: 'closer', cue };
  if (alone.find(line, cue.rules.fires === 'last' ? null : (closer ?? cue.rules.closers[0]!))) {
    const own = new CueIndex([cue]);
    const stands = own.find(line, cue.rules.fires === 'last' ? null : cue.rules.closers[0]!);
    if (!stands) return { code: 'before', cue };
  }
  return cue.rules.fires === 'closing' && typed === line ? { code: 'waits', cue } : { code: 'nothing' };
}

/** What the key typed last does, as the leaf would take it: a cue fires, waits, or is held back by one of its rules. */
export function explainCue(line: string, cues: readonly ResolvedCue[]): Explanation {
  const index = new CueIndex(cues.filter(({ as }) => !as));
  const atOnce = index.find(line);
  if (atOnce) return { code: 'fires', match: atOnce, closer: null };
  const closer = closerOf(line.slice(-1));
  const before = line.slice(0, -1);
  const closed = closer && index.find(before, closer);
  if (closed) return { code: 'fires', match: closed, closer };
  const here = endingWith(line, cues);
  if (here) return heldBack(here, line, null, line);
  const there = closer && endingWith(before, cues);
  return there ? heldBack(there, before, closer, line) : { code: 'nothing' };
}
