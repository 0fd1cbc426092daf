import type { Condition, EntryContent, Field, NamedCondition } from '#core/entry';
import { numbered } from '#core/numbering';
import {
  isLine,
  seenMarks,
  tidyInlines,
  wordsOfInline,
  type Block,
  type BlankForm,
  type Inline,
  type Mark,
  type Passage,
} from '#core/passage';
import { isMendable, startsSentence, takeMarks, takeSpaces } from './joints';
import { conditionOf, findField, placesOf, type Knowledge } from './knowledge';
import { PLAIN_WORD, plainBlank, type PlainLine } from './plainLine';
import { merged } from './refill';

/** One inline of a wording as it is wanted while filling. */
export interface Piece {
  /** The words themselves; '\n' for a break, null for a blank. */
  text: string | null;
  isBreak: boolean;
  field: Field | null;
  form: BlankForm;
  /** Ids of the conditions that must hold for it to stand; null for most, which always do. */
  conditions: readonly string[] | null;
  marks: readonly Mark[] | undefined;
  /** The marks as a string: pieces with the same one are written as a single run. */
  key: string;
  /** False for breaks and code, whose characters are never mended. */
  mendable: boolean;
}

/** One line made ready. */
export interface PreparedLine {
  pieces: readonly Piece[];
  /** The words of all pieces, '' for a blank: copied at each filling. */
  texts: readonly string[];
  mendable: readonly boolean[];
  /** Of which optional passages each piece is. */
  passages: readonly string[];
  /** Nought for each piece: copied at each filling in which something shows no words. */
  nothingDropped: readonly number[];
  /** Where its blanks stand among the pieces. */
  blanks: readonly number[];
  /** True when all of it is written alike and without breaks, as nearly every line is: one run in the end. */
  isUniform: boolean;
  hasBreaks: boolean;
  /** The ids of the conditions that some piece of it stands under. */
  conditions: readonly string[];
  /** What must be so for each of these, looked up when it is first filled. */
  when?: readonly (Condition | null)[];
  /** The line as it is for each way its conditions have fallen out: a bit for each, 1 for one that holds. */
  foldedWays: Map<number, PreparedLine>;
  /** The line for plain answers, made when it is first filled; null where it has none. */
  plain?: PlainLine | null;
}

/** A wording made ready to be filled many times: static text tidied, blanks joined to their fields. */
export interface Prepared {
  blocks: readonly Block[];
  lines: ReadonlyMap<Block, PreparedLine>;
  /** The lines of its paragraphs, where it has nothing else, as most have; null else. */
  paragraphs: readonly PreparedLine[] | null;
}

function conditionsOf(inline: Inline): readonly string[] | null {
  const ids = (inline.marks ?? []).flatMap((mark) => (mark.type === 'when' ? [mark.attrs.condition] : []));
  return ids.length > 0 ? ids : null;
}

function pieceOf(inline: Inline, fields: readonly Field[]): Piece {
  const own = seenMarks(inline.marks);
  const marks = own.length > 0 ? own : undefined;
  const shared = { conditions: conditionsOf(inline), marks, key: JSON.stringify(own) };
  if (inline.type === 'blank') {
    const { field, form } = inline.attrs;
    return { ...shared, text: null, isBreak: false, field: findField(fields, field), form, mendable: false };
  }
  const mendable = isMendable(inline);
  const isBreak = inline.type === 'hardBreak';
  return { ...shared, text: wordsOfInline(inline), isBreak, field: null, form: 'as-is', mendable };
}

function lineOf(pieces: readonly Piece[]): PreparedLine {
  return {
    pieces,
    texts: pieces.map(({ text }) => text ?? ''),
    mendable: pieces.map(({ mendable }) => mendable),
    passages: pieces.map(({ conditions }) => [...(conditions ?? [])].sort().join('\n')),
    nothingDropped: pieces.map(() => 0),
    blanks: pieces.flatMap(({ text }, at) => (text === null ? [at] : [])),
    isUniform: pieces.every(({ key, isBreak }) => !isBreak && key === pieces[0]!.key),
    hasBreaks: pieces.some(({ isBreak }) => isBreak),
    conditions: [...new Set(pieces.flatMap(({ conditions }) => conditions ?? []))],
    foldedWays: new Map(),
  };
}

function prepareLines(
  blocks: readonly Block[],
  fields: readonly Field[],
  into: Map<Block, PreparedLine>,
): void {
  for (const block of blocks) {
    if (isLine(block))
      // Run together as in a draft: whether a space may be taken is asked of the whole run.
      into.set(block, lineOf(merged(tidyInlines(block.content ?? [])).map((one) => pieceOf(one, fields))));
    else if ('content' in block) prepareLines(block.content, fields, into);
  }
}

/** What is needed to fill a passage of an entry whose content is given. */
export function prepared(passage: Passage, { fields }: EntryContent): Prepared {
  const lines = new Map<Block, PreparedLine>();
  const { content } = numbered(passage);
  prepareLines(content, fields, lines);
  const isPlain = content.every(({ type }) => type === 'paragraph');
  return { blocks: content, lines, paragraphs: isPlain ? content.map((block) => lines.get(block)!) : null };
}

/** Stands for a stretch of pieces that does not show now: a blank of no field, which shows nothing. */
const FOLDED: Piece = {
  text: null,
  isBreak: false,
  field: null,
  form: 'silent',
  conditions: null,
  marks: undefined,
  key: '[]',
  mendable: false,
};

/** The line with each stretch of what does not stand now put together into one piece that shows nothing. */
export function standing(
  line: PreparedLine,
  conditions: readonly NamedCondition[],
  know: Knowledge,
): PreparedLine {
  if (line.conditions.length === 0) return line;
  line.when ??= line.conditions.map((id) => conditionOf(conditions, id));
  // Conditions fall out in few ways, and each way is put together once.
  let way = 0;
  for (const condition of line.when) way = way * 2 + (know.meets(condition) ? 1 : 0);
  let folded = line.foldedWays.get(way);
  if (!folded) {
    folded = foldedLine(line, know);
    if (line.conditions.length <= MOST_BITS) line.foldedWays.set(way, folded);
  }
  return folded;
}

/** So many conditions have a bit each in a number. */
const MOST_BITS = 50;

function foldedLine(line: PreparedLine, know: Knowledge): PreparedLine {
  const pieces: Piece[] = [];
  for (const piece of line.pieces) {
    if (piece.conditions === null || piece.conditions.every((id) => know.holds(id))) pieces.push(piece);
    else if (pieces[pieces.length - 1] !== FOLDED) pieces.push(FOLDED);
  }
  return pieces.includes(FOLDED) ? lineOf(pieces) : line;
}

/** The line as plain answers find it: all of its mending done, as it comes out for any of them. */
export function plainLineOf(line: PreparedLine, among: readonly Field[]): PlainLine | null {
  if (!line.isUniform) return null;
  const { pieces, blanks, mendable, passages } = line;
  const shown = line.texts.slice();
  const fields = blanks.filter((at) => pieces[at]!.field !== null);
  const empty = blanks.filter((at) => pieces[at]!.field === null);
  for (const at of fields) shown[at] = PLAIN_WORD;
  if (empty.length > 0) {
    const joining = { shown, mendable, passages, dropped: line.nothingDropped.slice() };
    takeSpaces(joining, empty);
    takeMarks(joining, empty);
  }
  const from = [0, ...fields.map((at) => at + 1)];
  return {
    between: from.map((start, at) => shown.slice(start, fields[at]).join('')),
    blanks: fields.map((at) => {
      const { field, form } = pieces[at]!;
      const begins = startsSentence(at, (index) => shown[index]!);
      return plainBlank(field!, form, placesOf(among).get(field!.id)!, begins);
    }),
  };
}
