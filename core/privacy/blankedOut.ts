import type { BlankInline, Inline, Line } from '#core/passage';

/** A stretch of a line that becomes a blank. */
export interface BlankedStretch {
  from: number;
  to: number;
  blank: Omit<BlankInline, 'marks'>;
}

/** Splits a line's inlines so that each stretch, in reading order and apart, becomes one blank with the marks of its first character. */
export function blankedOut(line: Line, stretches: readonly BlankedStretch[]): Line {
  const changed: Inline[] = [];
  let next = 0;
  let at = 0;
  for (const inline of line) {
    const start = at;
    at += inline.type === 'text' ? inline.text.length : 1;
    if (inline.type !== 'text') {
      changed.push(inline);
      continue;
    }
    let done = start;
    const keepTo = (end: number) => {
      if (end > done) changed.push({ ...inline, text: inline.text.slice(done - start, end - start) });
    };
    while (next < stretches.length && stretches[next]!.from < at) {
      const { from, to, blank } = stretches[next]!;
      keepTo(from);
      // One that began in an inline before has its blank already.
      if (from >= start) changed.push({ ...blank, ...(inline.marks ? { marks: inline.marks } : {}) });
      done = Math.max(done, Math.min(to, at));
      if (to > at) break;
      next += 1;
    }
    keepTo(at);
  }
  return changed;
}
