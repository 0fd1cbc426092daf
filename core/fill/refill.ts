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
import { fit, spaceToTake, type Shown } from './joints';
import { wordsOf } from './wordsOf';

const isSafeText = (inline: Inline | undefined): inline is TextInline =>
  inline?.type === 'text' && !inline.marks?.some((mark) => mark.type === 'code');

const shown = (inline: Inline): string => {
  if (inline.type === 'text') return inline.text;
  return inline.type === 'hardBreak' ? '\n' : inline.attrs.text || (inline.attrs.state === 'gap' ? 'x' : '');
};

const shownIn =
  (line: readonly Inline[]): Shown =>
  (index) =>
    shown(line[index]!);

/** Takes away the one space that a left-out blank would double; says on which side it stood. */
function takeSpace(line: Inline[], at: number): BlankAttrs['dropped'] {
  const [left, right] = [line[at - 1], line[at + 1]];
  const textOf = (inline: Inline | undefined) => (isSafeText(inline) ? inline.text : null);
  const side = spaceToTake({ count: line.length, at, shown: shownIn(line) }, textOf(left), textOf(right));
  if (side === 'after' && isSafeText(right)) line[at + 1] = { ...right, text: right.text.slice(1) };
  if (side === 'before' && isSafeText(left)) line[at - 1] = { ...left, text: left.text.slice(0, -1) };
  return side;
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
  const next = side === 'before' ? at - 1 : at + 1;
  const neighbour = line[next];
  if (neighbour?.type === 'text') {
    const there = side === 'before' ? /\s$/ : /^\s/;
    const text = side === 'before' ? `${neighbour.text} ` : ` ${neighbour.text}`;
    if (!there.test(neighbour.text)) line[next] = { ...neighbour, text };
    return at;
  }
  line.splice(side === 'before' ? at : at + 1, 0, { type: 'text', text: ' ', ...(marks ? { marks } : {}) });
  return side === 'before' ? at + 1 : at;
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
    if (blank.attrs.state !== 'left-out') dropped = takeSpace(line, at);
  } else {
    place = giveSpaceBack(line, at, dropped, blank.marks);
    dropped = 'none';
  }
  const text = state === 'answered' ? fit(words, line.length, place, shownIn(line)) : '';
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
