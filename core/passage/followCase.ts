import type { Inline, Passage } from './passage';
import { mapLines } from './lines';

const upper = (inline: Inline): Inline => {
  if (inline.type === 'text') return { ...inline, text: inline.text.toLocaleUpperCase() };
  return inline.type === 'blank' ? { ...inline, attrs: { ...inline.attrs, form: 'upper' } } : inline;
};

const capital = (inline: Inline): Inline => {
  if (inline.type === 'blank') return { ...inline, attrs: { ...inline.attrs, form: 'capital' } };
  if (inline.type !== 'text') return inline;
  return { ...inline, text: inline.text.replace(/\p{L}/u, (letter) => letter.toLocaleUpperCase()) };
};

/** The passage in the case its cue was typed in: its first letter a capital, or all of it in capitals. */
export function followCase(passage: Passage, typed: 'as-is' | 'capital' | 'upper'): Passage {
  if (typed === 'as-is') return passage;
  let first = true;
  return mapLines(passage, (line) => {
    if (typed === 'upper') return line.map(upper);
    if (!first || line.length === 0) return line;
    first = false;
    return [capital(line[0]!), ...line.slice(1)];
  });
}
