import type { Placements } from '#core/draft';
import {
  DROPPED,
  mapLines,
  wordsOfInline,
  type BlankAttrs,
  type BlankInline,
  type DroppedSpace,
  type FoldedInline,
  type Inline,
  type Line,
  type Mark,
  type Passage,
  type Took,
} from '#core/passage';
import { isAnswered } from './isAnswered';
import { fit, isMendable, takeMarks, takeSpaces, takeStops, type Joining, type Taken } from './joints';
import { knowledgeOf } from './knowledge';
import { wordsOf } from './wordsOf';

/*
 * A line is filled in one way whatever was answered in whatever order: all that shows no words gives back the
 * spaces it took, folded passages are laid open, then what does not stand now is folded again, blanks get their
 * words, spaces are taken anew, and answers are fitted to what stands beside them. So the result depends on the
 * answers alone. Where nothing has changed it comes out as it was.
 */

const isLive = (inline: Inline): inline is BlankInline | FoldedInline =>
  inline.type === 'blank' || inline.type === 'folded';

/** The marks that a space given back, or a fold, has of what it stands beside: those of its placement. */
const placedMarks = (marks: readonly Mark[] | undefined): Mark[] =>
  (marks ?? []).filter(({ type }) => type === 'placed');

const withMarks = (marks: Mark[]) => (marks.length > 0 ? { marks } : {});

/** Gives back a space on one side of the inline at the end of `line`, or at the start of what comes next. */
function spaceBeside(neighbour: Inline | undefined, side: 'before' | 'after', of: Inline): Inline[] {
  if (neighbour?.type === 'text' && isMendable(neighbour)) {
    if (side === 'before' ? neighbour.text.endsWith(' ') : neighbour.text.startsWith(' ')) return [neighbour];
    return [{ ...neighbour, text: side === 'before' ? `${neighbour.text} ` : ` ${neighbour.text}` }];
  }
  // A fold's own first words may begin with the space that was kept: none is put beside it twice.
  // Nor is it a part of a link or of code, where spaces are not mended.
  // It belongs to an optional passage only where what stands on its other side does too.
  const isShared = (mark: Mark) =>
    neighbour?.marks?.some((other) => JSON.stringify(other) === JSON.stringify(mark)) ?? false;
  const marks = (of.marks ?? []).filter(
    (mark) => mark.type !== 'link' && mark.type !== 'code' && (mark.type !== 'when' || isShared(mark)),
  );
  const space: Inline = { type: 'text', text: ' ', ...withMarks(marks) };
  if (!neighbour) return [space];
  return side === 'before' ? [neighbour, space] : [space, neighbour];
}

const gaveBack = (inline: BlankInline | FoldedInline): Inline =>
  inline.type === 'blank'
    ? { ...inline, attrs: withTook({ ...inline.attrs, dropped: 'none' as const }, undefined) }
    : { ...inline, attrs: withTook({ ...inline.attrs, dropped: 'none' as const }, undefined) };

/** Attributes with what was taken; none of it named where nothing was. */
function withTook<Attrs extends Took>(attrs: Attrs, taken: Taken | undefined): Attrs {
  if (!taken && attrs.tookBefore === undefined && attrs.tookAfter === undefined && attrs.put === undefined)
    return attrs;
  const { before = '', after = '', put = '' } = taken ?? {};
  const { tookBefore: _before, tookAfter: _after, put: _put, ...others } = attrs;
  return {
    ...(others as Attrs),
    ...(before !== '' && { tookBefore: before }),
    ...(after !== '' && { tookAfter: after }),
    ...(put !== '' && { put }),
  };
}

/** What stands beside an inline with the marks given back that it took there; someone may have typed them since. */
function marksBeside(
  neighbour: Inline | undefined,
  side: 'before' | 'after',
  of: Inline,
  given: string,
): Inline[] {
  if (neighbour?.type === 'text' && isMendable(neighbour)) {
    const { text } = neighbour;
    if (side === 'before' ? text.endsWith(given) : text.startsWith(given)) return [neighbour];
    if (passagesOf(neighbour) === passagesOf(of))
      return [{ ...neighbour, text: side === 'before' ? text + given : given + text }];
  }
  const marks = (of.marks ?? []).filter(({ type }) => type === 'placed' || type === 'when');
  const text: Inline = { type: 'text', text: given, ...withMarks(marks) };
  if (!neighbour) return [text];
  return side === 'before' ? [neighbour, text] : [text, neighbour];
}

/** The text that took the capital of a sentence's start, with its own small letter again. */
function madeSmall(neighbour: Inline | undefined, put: string): Inline[] {
  if (!neighbour) return [];
  if (neighbour.type !== 'text' || !neighbour.text.trimStart().startsWith(put)) return [neighbour];
  return [{ ...neighbour, text: neighbour.text.replace(put, put.toLocaleLowerCase()) }];
}

/** True for what has taken spaces or marks away. */
const hasTaken = ({ attrs }: BlankInline | FoldedInline): boolean =>
  attrs.dropped !== 'none' || !!attrs.tookBefore || !!attrs.tookAfter || !!attrs.put;

/** The line with all taken spaces and marks given back, unless someone has typed one there since. */
function spacesGivenBack(line: Line): Inline[] {
  const out: Inline[] = [];
  const rest = [...line].reverse();
  for (let next = rest.pop(); next; next = rest.pop()) {
    if (!isLive(next) || !hasTaken(next)) {
      out.push(next);
      continue;
    }
    const { dropped, tookBefore = '', tookAfter = '', put = '' } = next.attrs;
    // Marks were taken last, and come back first.
    if (tookBefore !== '') out.push(...marksBeside(out.pop(), 'before', next, tookBefore));
    if (put !== '') rest.push(...madeSmall(rest.pop(), put).reverse());
    if (tookAfter !== '') rest.push(...marksBeside(rest.pop(), 'after', next, tookAfter).reverse());
    if (dropped === 'before' || dropped === 'both') out.push(...spaceBeside(out.pop(), 'before', next));
    out.push(gaveBack(next));
    if (dropped === 'after' || dropped === 'both')
      rest.push(...spaceBeside(rest.pop(), 'after', next).reverse());
  }
  return out;
}

const laidOpen = (line: readonly Inline[]): Inline[] =>
  line.flatMap((inline) => (inline.type === 'folded' ? laidOpen(inline.attrs.content) : [inline]));

/** True while some optional passage the inline belongs to does not stand. */
function isHidden(inline: Inline, placements: Placements): boolean {
  return (inline.marks ?? []).some((mark) => {
    if (mark.type !== 'when' || mark.attrs.placement === null) return false;
    const placement = placements[mark.attrs.placement];
    return placement !== undefined && !knowledgeOf(placement).holds(mark.attrs.condition);
  });
}

/** A blank as it is before anything is answered: what it said when it was folded is not kept. */
const unanswered = (inline: Inline): Inline =>
  inline.type === 'blank'
    ? {
        ...inline,
        attrs: withTook(
          { ...inline.attrs, text: '', state: 'gap' as const, dropped: 'none' as const },
          undefined,
        ),
      }
    : inline;

/** What does not stand now is folded: each stretch of it becomes one inline that keeps it. */
function folded(line: readonly Inline[], placements: Placements): Inline[] {
  const out: Inline[] = [];
  for (const inline of line) {
    if (!isHidden(inline, placements)) {
      out.push(inline);
      continue;
    }
    const last = out[out.length - 1];
    if (last?.type === 'folded') last.attrs.content.push(unanswered(inline));
    else {
      const attrs = { content: [unanswered(inline)], dropped: 'none' as const };
      out.push({ type: 'folded', attrs, ...withMarks(placedMarks(inline.marks)) });
    }
  }
  return out;
}

/** A blank with its state and its words as they are before they are fitted to the line. */
function answered(blank: BlankInline, placements: Placements): BlankInline {
  const placement = blank.attrs.placement === null ? undefined : placements[blank.attrs.placement];
  const know = placement && knowledgeOf(placement);
  const field = know?.field(blank.attrs.field);
  if (!know || !field) return blank;
  const answer = know.answerTo(field);
  const text = wordsOf(field, answer, blank.attrs.form, know.language, know);
  const open = text === '' && field.required && !isAnswered(field, answer);
  const state: BlankAttrs['state'] = text !== '' ? 'answered' : open ? 'gap' : 'left-out';
  return { ...blank, attrs: { ...blank.attrs, text, state } };
}

/** Of which optional passages an inline is; a fold stands where they do not. */
const passagesOf = (inline: Inline): string =>
  (inline.marks ?? [])
    .flatMap((mark) => (mark.type === 'when' ? [mark.attrs.condition] : []))
    .sort()
    .join('\n');

const shownOf = (inline: Inline): string =>
  inline.type === 'blank' && inline.attrs.state === 'gap' ? inline.attrs.text || 'x' : wordsOfInline(inline);

/** Spaces taken where nothing shows, and every answer fitted to what stands beside it. */
function joined(line: readonly Inline[]): Inline[] {
  const joining: Joining = {
    shown: line.map(shownOf),
    mendable: line.map(isMendable),
    dropped: line.map(() => 0),
    passages: line.map(passagesOf),
  };
  const { shown, dropped } = joining;
  const empty = line.flatMap((inline, at) => (isLive(inline) && shown[at] === '' ? [at] : []));
  takeSpaces(joining, empty);
  const taken = takeMarks(joining, empty);
  const side = (at: number): DroppedSpace => DROPPED[dropped[at]!]!;
  return line.flatMap((inline, at): Inline[] => {
    if (inline.type === 'text') return shown[at] === '' ? [] : [{ ...inline, text: shown[at]! }];
    if (inline.type === 'folded')
      return [{ ...inline, attrs: withTook({ ...inline.attrs, dropped: side(at) }, taken.get(at)) }];
    if (inline.type !== 'blank') return [inline];
    if (inline.attrs.state !== 'answered')
      return [{ ...inline, attrs: withTook({ ...inline.attrs, dropped: side(at) }, taken.get(at)) }];
    const text = fit(inline.attrs.text, line.length, at, (index) => shown[index]!);
    shown[at] = text;
    const stop = takeStops(joining, [at]).get(at);
    return [{ ...inline, attrs: withTook({ ...inline.attrs, text, dropped: side(at) }, stop) }];
  });
}

const sameMarks = (a: Inline, b: Inline) => JSON.stringify(a.marks ?? []) === JSON.stringify(b.marks ?? []);

/** Texts with the same marks run together, as the editor has them. */
export function merged(line: readonly Inline[]): Inline[] {
  const out: Inline[] = [];
  for (const inline of line) {
    const last = out[out.length - 1];
    if (inline.type === 'text' && last?.type === 'text' && sameMarks(last, inline))
      out[out.length - 1] = { ...last, text: last.text + inline.text };
    else out.push(inline);
  }
  return out;
}

const belongsTo = (inline: Inline, placement: string): boolean =>
  (inline.type === 'blank' && inline.attrs.placement === placement) ||
  (inline.type === 'folded' && inline.attrs.content.some((inner) => belongsTo(inner, placement))) ||
  (inline.marks ?? []).some((mark) => mark.type === 'when' && mark.attrs.placement === placement);

const isInvolved = (inline: Inline): boolean =>
  isLive(inline) || (inline.marks ?? []).some(({ type }) => type === 'when');

/** An editor writes out what a passage leaves out: that nothing was taken. */
const saysNothing = (key: string, value: unknown): unknown =>
  value === '' && (key === 'tookBefore' || key === 'tookAfter' || key === 'put') ? undefined : value;

const same = (a: Inline, b: Inline | undefined): boolean =>
  a === b ||
  (b !== undefined &&
    a.type === b.type &&
    (JSON.stringify(a) === JSON.stringify(b) ||
      (isLive(a) && JSON.stringify(a, saysNothing) === JSON.stringify(b, saysNothing))));

/**
 * A line with its blanks showing what the placements answer now, optional passages there or folded, and spaces,
 * capitals and full stops mended around each. What people typed stays; what they changed in an optional passage is
 * kept with it while it is folded. The same line when nothing changed; what belongs to unknown placements is left as
 * it is. With `only`, a line that has nothing of that placement is not looked at.
 */
export function refillLine(line: Line, placements: Placements, only?: string): Line {
  const concerned = only === undefined ? isInvolved : (inline: Inline) => belongsTo(inline, only);
  if (!line.some(concerned)) return line;
  const open = folded(laidOpen(spacesGivenBack(line)), placements);
  const filled = merged(
    joined(merged(open).map((inline) => (inline.type === 'blank' ? answered(inline, placements) : inline))),
  );
  const unchanged = filled.length === line.length && filled.every((inline, at) => same(inline, line[at]));
  return unchanged ? line : filled.map((inline, at) => (same(inline, line[at]) ? line[at]! : inline));
}

/** `refillLine` over a whole passage; the same passage when nothing changed. */
export function refillPassage(passage: Passage, placements: Placements): Passage {
  return mapLines(passage, (line) => refillLine(line, placements));
}
