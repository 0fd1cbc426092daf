import { RE2JS } from 're2js';
import type { ResolvedCue } from '#core/cue';

/** A cue that is a pattern, ready to be looked for. */
export interface PatternCue {
  cue: ResolvedCue;
  pattern: RE2JS;
}

/** What a pattern found right before the caret. */
export interface PatternMatch {
  cue: ResolvedCue;
  from: number;
  typed: string;
  /** What its groups hold, in their order; a group that took no part is null. Names are of fields. */
  groups: { name: string | null; text: string | null }[];
}

/**
 * What is wrong with a pattern (RE2 syntax, which runs in linear time whatever is typed): the words of its reader, and
 * `empty` for one that would match nothing at all; null when it can be used.
 */
export function patternProblem(source: string): string | null {
  try {
    // By itself first, so that a fault is told of what was written and not of what is put around it.
    RE2JS.compile(source);
    return RE2JS.compile(`(?:${source})\\z`).matcher('').find() ? 'It fits where nothing is typed.' : null;
  } catch (error) {
    return error instanceof Error
      ? error.message.replace('error parsing regexp: ', '')
      : 'It cannot be read.';
  }
}

/** Makes the pattern cues of a list ready; those that cannot be read are passed over, as they are told where they are made. */
export function compilePatterns(cues: readonly ResolvedCue[]): PatternCue[] {
  return cues.flatMap((cue) => {
    if (cue.as !== 'pattern' || patternProblem(cue.typed) !== null) return [];
    const flags = cue.rules.letters === 'exact' ? 0 : RE2JS.CASE_INSENSITIVE;
    return [{ cue, pattern: RE2JS.compile(`(?:${cue.typed})\\z`, flags) }];
  });
}

/** A pattern is looked for in so many characters before the caret. */
const LOOKED_AT = 400;

const LETTER_OR_DIGIT = /[\p{L}\p{N}]/u;

function mayStand(before: string, rule: ResolvedCue['rules']['before']): boolean {
  if (before === '' || rule === 'anything') return true;
  return rule === 'space' ? /\s/.test(before) : !LETTER_OR_DIGIT.test(before);
}

/** The pattern cue that a line ends with, the longest match of all; null when there is none. Patterns wait for a closing key. */
export function findPattern(patterns: readonly PatternCue[], whole: string): PatternMatch | null {
  // Even in linear time a large pattern takes its time of a long line, at each closing key.
  const before = Math.max(0, whole.length - LOOKED_AT);
  const line = whole.slice(before);
  let best: PatternMatch | null = null;
  for (const { cue, pattern } of patterns) {
    const matcher = pattern.matcher(line);
    if (!matcher.find()) continue;
    const from = matcher.start();
    if (from === line.length || !mayStand(line.charAt(from - 1), cue.rules.before)) continue;
    if (best && best.from <= from) continue;
    const names = new Map(Object.entries(pattern.namedGroups()).map(([name, at]) => [Number(at), name]));
    const groups = Array.from({ length: matcher.groupCount() }, (_, at) => ({
      name: names.get(at + 1) ?? null,
      text: matcher.group(at + 1) ?? null,
    }));
    best = { cue, from, typed: line.slice(from), groups };
  }
  return best && { ...best, from: best.from + before };
}
