import { comparePoints, type TextPoint } from '#core/passage';
import { scanXml } from '../scanXml';
import { besideNotes } from './besideNotes';
import { commentXml, escaped, type DocxComment } from './commentXml';
import { NotDocx, relationsIn, relationsOf, wordPartsOf, type DocxParts } from './docxParts';
import { readDocx } from './readDocx';
import type { TextPiece } from './textPieces';
import { isWord, RELATIONS, wordAttr } from './wordNames';

/** Something to be written into a part: at a place between tags, or within a run, which is then parted there. */
interface Splice {
  at: number;
  /** What ends the run before, and begins it again behind; '' where nothing is parted. */
  close: string;
  open: string;
  /** Of what stands at one place: what ends stands before what begins. */
  order: 0 | 1;
  put: string;
}

const COMMENTS_TYPE = 'application/vnd.openxmlformats-officedocument.wordprocessingml.comments+xml';

const preserving = (opening: string): string =>
  /\sxml:space=/.test(opening)
    ? opening.replace(/\sxml:space=("[^"]*"|'[^']*')/, ' xml:space="preserve"')
    : opening.replace(/>$/, ' xml:space="preserve">');

/**
 * Where, in the file, a stretch begins or ends: beside a run, between two things in it, or within a text, which then becomes two. What
 * cannot be parted is within the stretch as a whole.
 */
function placeIn(
  source: string,
  { piece, at }: Edge,
  side: 'from' | 'to',
): Omit<Splice, 'order' | 'put'> & { text?: TextPiece } {
  const inner = at - piece.at;
  const { run, text } = piece;
  const whole = (edge: number) => ({ at: edge, close: '', open: '' });
  if (text && run && inner > 0 && inner < piece.length)
    return {
      at: text.offsets[inner]!,
      close: `${endTag(text.opening)}${endTag(run.opening)}`,
      open: `${run.opening}${run.properties}${preserving(text.opening)}`,
      text: piece,
    };
  const edge = side === 'from' ? piece.start : piece.end;
  if (!run) return whole(edge);
  const between = side === 'from' ? source.slice(run.contentStart, edge) : source.slice(edge, run.contentEnd);
  if (between.trim() === '') return whole(side === 'from' ? run.start : run.end);
  return { at: edge, close: endTag(run.opening), open: `${run.opening}${run.properties}` };
}

/** The end tag of what a start tag begins. */
const endTag = (opening: string): string => `</${/^<([^\s/>]+)/.exec(opening)![1]}>`;

/** The pieces of each block, in their order. */
function byBlock(pieces: readonly TextPiece[]): Map<number, TextPiece[]> {
  const found = new Map<number, TextPiece[]>();
  for (const piece of pieces) found.set(piece.block, [...(found.get(piece.block) ?? []), piece]);
  return found;
}

/** The piece that a stretch begins or ends in: where two meet, the one within the stretch; null where nothing stands there. */
function pieceAt(
  pieces: readonly TextPiece[] | undefined,
  at: number,
  edge: 'from' | 'to',
): TextPiece | null {
  if (!pieces) return null;
  const found =
    edge === 'from'
      ? pieces.find((piece) => at < piece.at + piece.length)
      : pieces.findLast((piece) => at > piece.at);
  return found ?? null;
}

/** Where a stretch begins or ends: in a piece, at so many units of its block. */
interface Edge {
  piece: TextPiece;
  at: number;
}

/** A comment that is put on its words, with the pieces it begins and ends in. */
interface Anchored {
  comment: DocxComment;
  from: Edge;
  to: Edge;
}

/** Where comments begin and end; of one on nothing but empty lines the nearest words before, else behind. */
function anchored(pieces: readonly TextPiece[], comments: readonly DocxComment[]): Anchored[] {
  const blocks = byBlock(pieces);
  const ordered = [...blocks.keys()].sort((a, b) => a - b);
  const nextBlock = (after: number) => ordered.find((block) => block > after);
  const blockBefore = (before: number) => ordered.findLast((block) => block < before);
  const edge = (point: TextPoint, of: 'from' | 'to'): Edge | null => {
    const here = pieceAt(blocks.get(point.block), point.at, of);
    if (here) return { piece: here, at: point.at };
    const near = of === 'from' ? nextBlock(point.block) : blockBefore(point.block);
    if (near === undefined) return null;
    const piece = of === 'from' ? blocks.get(near)![0]! : blocks.get(near)!.at(-1)!;
    return { piece, at: of === 'from' ? piece.at : piece.at + piece.length };
  };
  return comments.flatMap((comment) => {
    let [from, to] = [edge(comment.on.from, 'from'), edge(comment.on.to, 'to')];
    from ??= to && { piece: to.piece, at: to.piece.at };
    to ??= from && { piece: from.piece, at: from.piece.at + from.piece.length };
    if (!from || !to) return [];
    const isTurned =
      comparePoints({ block: from.piece.block, at: from.at }, { block: to.piece.block, at: to.at }) >= 0;
    // On empty lines between two texts: the words before them.
    if (isTurned) from = { piece: to.piece, at: to.piece.at };
    return [{ comment, from, to }];
  });
}

/** A part with things written into it; what several put at one place stands together. */
function spliced(source: string, splices: readonly (Splice & { text?: TextPiece })[]): string {
  const inOrder = [...splices].sort((a, b) => a.at - b.at || a.order - b.order);
  let out = '';
  let done = 0;
  const preserved = new Set<TextPiece>();
  // The start tags of texts that are parted say that their spaces count: they are written anew, each once.
  const edits = inOrder.flatMap(({ text }) => {
    if (!text || preserved.has(text)) return [];
    preserved.add(text);
    const { opening } = text.text!;
    return [{ at: text.start, end: text.start + opening.length, with: preserving(opening) }];
  });
  const cuts: { at: number; end: number; with: string }[] = [...edits];
  for (let at = 0; at < inOrder.length;) {
    const first = inOrder[at]!;
    const same = inOrder.slice(at).filter((one) => one.at === first.at);
    const parted = same.find(({ close }) => close !== '') ?? first;
    const put = same.map((one) => one.put).join('');
    cuts.push({ at: first.at, end: first.at, with: `${parted.close}${put}${parted.open}` });
    at += same.length;
  }
  for (const cut of cuts.sort((a, b) => a.at - b.at || a.end - b.end)) {
    out += source.slice(done, cut.at) + cut.with;
    done = cut.end;
  }
  return out + source.slice(done);
}

/** The prefix that a part's words have, and the greatest id of a comment in it. */
function headOf(source: string): { prefix: string; uri: string } {
  let head: { prefix: string; uri: string } | null = null;
  scanXml(source, {
    open: (tag) => {
      if (!head && isWord(tag)) head = { prefix: tag.prefix === '' ? '' : `${tag.prefix}:`, uri: tag.uri };
    },
    close: () => undefined,
    text: () => undefined,
  });
  if (!head) throw new NotDocx('it holds no text of a Word document');
  return head;
}

function greatestId(source: string | undefined): number {
  let most = -1;
  if (source !== undefined)
    scanXml(source, {
      open: (tag) => {
        if (isWord(tag) && tag.name === 'comment') most = Math.max(most, Number(wordAttr(tag, 'id') ?? -1));
      },
      close: () => undefined,
      text: () => undefined,
    });
  return most;
}

/** A part with something written in before the end of its outermost element, be that empty. */
function beforeEnd(source: string, put: string): string {
  const last = source.lastIndexOf('</');
  if (last >= 0) return source.slice(0, last) + put + source.slice(last);
  const empty = /<([^\s/>?!]+)([^<>]*)\/>\s*$/.exec(source)!;
  return `${source.slice(0, empty.index)}<${empty[1]}${empty[2]}>${put}</${empty[1]}>`;
}

/** The part that comments stand in, made and named to the others where there is none. */
function withCommentPart(
  parts: DocxParts,
  out: Map<string, string>,
  head: { prefix: string; uri: string },
): string {
  const { document, comments } = wordPartsOf(parts);
  if (comments !== null) return comments;
  const folder = document.replace(/[^/]*$/, '');
  let name = `${folder}comments.xml`;
  for (let n = 1; parts.has(name); n += 1) name = `${folder}comments${n}.xml`;
  const { prefix, uri } = head;
  const declared = prefix === '' ? `xmlns="${uri}"` : `xmlns:${prefix.slice(0, -1)}="${uri}"`;
  out.set(
    name,
    `<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n<${prefix}comments ${declared}></${prefix}comments>`,
  );
  const relations = relationsOf(document);
  const taken = new Set(relationsIn(parts, document).map(({ id }) => id));
  let id = 'rIdComments';
  for (let n = 1; taken.has(id); n += 1) id = `rIdComments${n}`;
  const strict = uri.startsWith('http://purl') ? 1 : 0;
  const relation = `<Relationship Id="${id}" Type="${RELATIONS[strict]}/comments" Target="${name.slice(folder.length)}"/>`;
  const known =
    parts.get(relations) ??
    '<?xml version="1.0" encoding="UTF-8" standalone="yes"?>\n<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"></Relationships>';
  out.set(relations, beforeEnd(known, relation));
  const types = parts.get('[Content_Types].xml') ?? '';
  out.set(
    '[Content_Types].xml',
    beforeEnd(types, `<Override PartName="/${escaped(name)}" ContentType="${COMMENTS_TYPE}"/>`),
  );
  return name;
}

/**
 * The parts of a docx that change when comments are put into it, by their names: marks where each begins and ends, and their words.
 * All else of the file stays as it is, byte for byte: a run is parted in two where a comment begins or ends within it, with the
 * properties it has. Comments that are in it stay; one on a note stands on its number. Throws a NotDocx where the file cannot be read.
 */
export function withComments(parts: DocxParts, comments: readonly DocxComment[]): Map<string, string> {
  const out = new Map<string, string>();
  if (comments.length === 0) return out;
  const { submission, pieces } = readDocx(parts);
  const head = headOf(parts.get(wordPartsOf(parts).document)!);
  const name = withCommentPart(parts, out, head);
  const first = greatestId(parts.get(name)) + 1;
  const all = anchored(pieces, besideNotes(submission, comments));
  const splices = new Map<string, (Splice & { text?: TextPiece })[]>();
  const put = (edge: Edge, side: 'from' | 'to', words: string) => {
    const { part } = edge.piece;
    const where = placeIn(parts.get(part)!, edge, side);
    const order = side === 'from' ? 1 : 0;
    splices.set(part, [...(splices.get(part) ?? []), { ...where, order, put: words }]);
  };
  const { prefix: w } = head;
  all.forEach(({ from, to }, index) => {
    const id = first + index;
    put(from, 'from', `<${w}commentRangeStart ${w}id="${id}"/>`);
    put(
      to,
      'to',
      `<${w}commentRangeEnd ${w}id="${id}"/><${w}r><${w}commentReference ${w}id="${id}"/></${w}r>`,
    );
  });
  for (const [part, own] of splices) out.set(part, spliced(parts.get(part)!, own));
  const written = all.map(({ comment }, index) => commentXml(comment, first + index, head.prefix)).join('');
  out.set(name, beforeEnd(out.get(name) ?? parts.get(name)!, written));
  return out;
}
