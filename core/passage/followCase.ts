import { withCapital } from '#core/language';
import type { Inline } from './inlines';
import type { Passage } from './passage';
import { mapLines, type Line } from './lines';

const upper = (inline: Inline): Inline => {
  if (inline.type === 'text') return { ...inline, text: inline.text.toLocaleUpperCase() };
  return inline.type === 'blank' ? { ...inline, attrs: { ...inline.attrs, form: 'upper' } } : inline;
};

const HAS_SIGN = /[\p{L}\p{N}]/u;

/** A line with its first letter large, where it begins with one; what opens it (a quotation mark, a bracket) is passed over. */
function capital(line: Line): Line {
  const at = line.findIndex((inline) => inline.type !== 'text' || HAS_SIGN.test(inline.text));
  const inline = line[at];
  if (inline?.type === 'text') return line.with(at, { ...inline, text: withCapital(inline.text) });
  // A blank in a form of its own keeps that: filled, it begins its sentence as it should.
  if (inline?.type !== 'blank' || inline.attrs.form !== 'as-is') return line;
  return line.with(at, { ...inline, attrs: { ...inline.attrs, form: 'capital' } });
}

/** The passage in the case its cue was typed in: its first letter a capital, or all of it in capitals. */
export function followCase(passage: Passage, typed: 'as-is' | 'capital' | 'upper'): Passage {
  if (typed === 'as-is') return passage;
  let first = true;
  return mapLines(passage, (line) => {
    if (typed === 'upper') return line.map(upper);
    if (!first || line.length === 0) return line;
    first = false;
    return capital(line);
  });
}
