import type { Placements } from '#core/draft';
import {
  mapLines,
  type BlankAttrs,
  type BlankInline,
  type BlankState,
  type Inline,
  type Line,
  type Passage,
  type TextInline,
} from '#core/passage';
import { wordsOf } from './wordsOf';

/** The character before and the text after a blank, as a reader sees them; '' at the line's edge. */
interface Neighbours {
  before: string;
  after: string;
}

const ENDS_SENTENCE = /[.!?…][”’"')\]]*\s*$/u;

/** An answer's words fitted to where they stand: a capital at a sentence's start, one full stop at its end. */
function fit(words: string, { before, after }: Neighbours): string {
  let fitted = words;
  if (before.trim() === '' || ENDS_SENTENCE.test(before)) {
    fitted = fitted.replace(/^\p{Ll}/u, (letter) => letter.toLocaleUpperCase());
  }
  if (after.startsWith('.')) fitted = fitted.replace(/\.$/, '');
  else if (/^[!?]/.test(after)) fitted = fitted.replace(/(?<!\.)\.$/, '');
  if (/[,;:.!?]$/.test(fitted) && /^\p{L}/u.test(after)) fitted += ' ';
  return fitted;
}

const isSafeText = (inline: Inline | undefined): inline is TextInline =>
  inline?.type === 'text' && !inline.marks?.some((mark) => mark.type === 'code');

/** Takes away the one space that a left-out blank would double; says on which side it stood. */
function takeSpace(line: Inline[], at: number, { before, after }: Neighbours): BlankAttrs['dropped'] {
  const [left, right] = [line[at - 1], line[at + 1]];
  const spaceBefore = /\s$/.test(before);
  if (isSafeText(right) && /^ /.test(right.text) && (spaceBefore || before === '')) {
    line[at + 1] = { ...right, text: right.text.slice(1) };
    return 'after';
  }
  if (isSafeText(left) && / $/.test(left.text) && (after === '' || /^[,.;:!?)]/.test(after))) {
    line[at - 1] = { ...left, text: left.text.slice(0, -1) };
    return 'before';
  }
  return 'none';
}

/**
 * Gives back the space that a blank took when it was left out, unless someone has typed one since. Returns
 * where the blank now stands: a space put in before it moves it on by one.
 */
function giveSpaceBack(
  line: Inline[],
  at: number,
  side: BlankAttrs['dropped'],
  marks: TextInline['marks'],
): number {
  if (side === 'none') return at;
  const beside = side === 'before' ? at - 1 : at + 1;
  const neighbour = line[beside];
  if (neighbour?.type === 'text') {
    const there = side === 'before' ? /\s$/ : /^\s/;
    const text = side === 'before' ? `${neighbour.text} ` : ` ${neighbour.text}`;
    if (!there.test(neighbour.text)) line[beside] = { ...neighbour, text };
    return at;
  }
  line.splice(side === 'before' ? at : at + 1, 0, { type: 'text', text: ' ', ...(marks ? { marks } : {}) });
  return side === 'before' ? at + 1 : at;
}

const shown = (inline: Inline): string => {
  if (inline.type === 'text') return inline.text;
  return inline.type === 'hardBreak' ? '\n' : inline.attrs.text || (inline.attrs.state === 'gap' ? 'x' : '');
};

/** What stands beside a position: enough of the line to see the sentence's edge, read only as far as needed. */
function neighbours(line: readonly Inline[], at: number): Neighbours {
  let before = '';
  for (let i = at - 1; i >= 0 && before.trim().length < 4; i -= 1) before = shown(line[i]!) + before;
  let after = '';
  for (let i = at + 1; i < line.length && after === ''; i += 1) after = shown(line[i]!);
  // A line break starts a line: what stands before it does not join.
  return { before: before.slice(before.lastIndexOf('\n') + 1), after: after.startsWith('\n') ? '' : after };
}

const sameAttrs = (a: BlankAttrs, b: BlankAttrs) =>
  a.text === b.text && a.state === b.state && a.dropped === b.dropped;

/** Fills one blank in a copied line; returns where the blank now stands. */
function fillBlank(line: Inline[], at: number, blank: BlankInline, placements: Placements): number {
  const placement = blank.attrs.placement === null ? undefined : placements[blank.attrs.placement];
  const field = placement?.fields.find(({ id }) => id === blank.attrs.field);
  if (!placement || !field) return at;
  const words = wordsOf(field, placement.answers[field.id], blank.attrs.form, placement.language);
  const state: BlankState = words !== '' ? 'answered' : field.required ? 'gap' : 'left-out';
  let place = at;
  let { dropped } = blank.attrs;
  if (state === 'left-out') {
    if (blank.attrs.state !== 'left-out') dropped = takeSpace(line, at, neighbours(line, at));
  } else {
    place = giveSpaceBack(line, at, dropped, blank.marks);
    dropped = 'none';
  }
  const text = state === 'answered' ? fit(words, neighbours(line, place)) : '';
  const attrs = { ...blank.attrs, text, state, dropped };
  if (!sameAttrs(attrs, blank.attrs)) line[place] = { ...blank, attrs };
  return place;
}

/**
 * A line with its blanks showing what the placements answer now, spaces, capitals and full stops mended
 * around each. Only blanks and the one space beside a left-out blank change: what people typed stays.
 * The same line when nothing changed; blanks of unknown placements are left as they are.
 */
export function refillLine(line: Line, placements: Placements): Line {
  if (!line.some((inline) => inline.type === 'blank')) return line;
  const filled = [...line];
  for (let at = 0; at < filled.length; at += 1) {
    const inline = filled[at]!;
    if (inline.type === 'blank') at = fillBlank(filled, at, inline, placements);
  }
  const kept = filled.filter((inline) => inline.type !== 'text' || inline.text !== '');
  const same = kept.length === line.length && kept.every((inline, index) => inline === line[index]);
  return same ? line : kept;
}

/** `refillLine` over a whole passage; the same passage when nothing changed. */
export function refillPassage(passage: Passage, placements: Placements): Passage {
  return mapLines(passage, (line) => refillLine(line, placements));
}
