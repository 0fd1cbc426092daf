import type { Field } from '#core/entry';
import {
  isLine,
  seenMarks,
  tidyInlines,
  wordsOfInline,
  type Block,
  type BlankForm,
  type Inline,
  type LineBlock,
  type Mark,
  type Passage,
  type TextInline,
} from '#core/passage';
import { numbered } from '#core/numbering';
import { answerFromRecord, answersFromRecord } from './answersFromRecord';
import { finishBlocks } from './finishedPassage';
import { isAnswered } from './isAnswered';
import { fit, isMendable, startsSentence, takeMarks, takeSpaces, takeStops } from './joints';
import { findField, Knowledge } from './knowledge';
import { preparedEntry } from './place';
import type { PlaceRequest } from './placeRequest';
import { fillPlainly, PLAIN_WORD, type PlainLine } from './plainLine';
import { hasRecordBlocks, recordBlocks } from './recordBlocks';
import { merged } from './refill';
import { wordsOf } from './wordsOf';

/** One inline of a wording as it is wanted while filling. */
interface Piece {
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
interface PreparedLine {
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
  /** The conditions that some piece of it stands under. */
  conditions: readonly string[];
  /** The line as it is for each way its conditions have fallen out: a 1 for one that holds, else a 0. */
  foldedWays: Map<string, PreparedLine>;
  /** The line for plain answers, made when it is first filled; null where it has none. */
  plain?: PlainLine | null;
}

/** A wording made ready to be filled many times: static text tidied, blanks joined to their fields. */
interface Prepared {
  blocks: readonly Block[];
  lines: ReadonlyMap<Block, PreparedLine>;
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

const isAllSpace = (words: string): boolean => !/\S/.test(words);

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

// A passage does not change once it is made, so what is prepared for it holds as long as it lives.
const ready = new WeakMap<Passage, Prepared>();

function prepare(passage: Passage, fields: readonly Field[]): Prepared {
  let found = ready.get(passage);
  if (!found) {
    const lines = new Map<Block, PreparedLine>();
    const { content } = numbered(passage);
    prepareLines(content, fields, lines);
    ready.set(passage, (found = { blocks: content, lines }));
  }
  return found;
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
function standing(line: PreparedLine, know: Knowledge): PreparedLine {
  if (line.conditions.length === 0) return line;
  // Conditions fall out in few ways, and each way is put together once.
  let way = '';
  for (const id of line.conditions) way += know.holds(id) ? '1' : '0';
  let folded = line.foldedWays.get(way);
  if (!folded) {
    const pieces: Piece[] = [];
    for (const piece of line.pieces) {
      if (piece.conditions === null || piece.conditions.every((id) => know.holds(id))) pieces.push(piece);
      else if (pieces[pieces.length - 1] !== FOLDED) pieces.push(FOLDED);
    }
    folded = pieces.includes(FOLDED) ? lineOf(pieces) : line;
    line.foldedWays.set(way, folded);
  }
  return folded;
}

/** The line as plain answers find it: all of its mending done, as it comes out for any of them. */
function plainLineOf(line: PreparedLine): PlainLine | null {
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
    blanks: fields.map((at) => ({
      field: pieces[at]!.field!,
      form: pieces[at]!.form,
      begins: startsSentence(at, (index) => shown[index]!),
    })),
  };
}

/** Words of each piece as they come out; 'x' for a blank still open, which counts as a letter beside others. */
function fillPieces(line: PreparedLine, know: Knowledge): { shown: string[]; runsOver: boolean } {
  const { pieces, texts, blanks } = line;
  const shown = texts.slice();
  const empty: number[] = [];
  const open: number[] = [];
  let runsOver = false;
  for (const at of blanks) {
    const { field, form } = pieces[at]!;
    const answer = field ? know.answerTo(field) : undefined;
    const words = field ? wordsOf(field, answer, form, know.language, know) : '';
    shown[at] = words;
    if (words !== '') {
      // Only an answer can be of several lines.
      runsOver ||= words.includes('\n');
      continue;
    }
    if (field?.required && !isAnswered(field, answer)) {
      shown[at] = 'x';
      open.push(at);
    } else empty.push(at);
  }
  const { mendable, passages } = line;
  const joining = { shown, mendable, passages, dropped: [] as number[] };
  if (empty.length > 0) {
    const own = { ...joining, dropped: line.nothingDropped.slice() };
    takeSpaces(own, empty);
    takeMarks(own, empty);
  }
  const look = (index: number) => shown[index]!;
  const count = pieces.length;
  // What is open shows its "x" beside others until all are fitted.
  for (const at of blanks)
    if (shown[at] !== '' && !open.includes(at)) {
      shown[at] = fit(shown[at]!, count, at, look);
      takeStops(joining, [at]);
    }
  for (const at of open) shown[at] = '';
  return { shown, runsOver };
}

const textRunOf = (text: string, marks: readonly Mark[] | undefined): TextInline =>
  marks ? { type: 'text', text, marks: [...marks] } : { type: 'text', text };

/** Writes a finished line: words with the same marks run together, a line end in an answer becomes a break. */
class LineWriter {
  readonly line: Inline[] = [];
  private run: TextInline | null = null;
  private runKey = '';

  /** Words without a line end in them. */
  write(words: string, marks: readonly Mark[] | undefined, key: string): void {
    if (words === '') return;
    if (this.run !== null && this.runKey === key) {
      this.run.text += words;
      return;
    }
    this.run = textRunOf(words, marks);
    this.runKey = key;
    this.line.push(this.run);
  }

  /** An answer, which may be of several lines. */
  writeAnswer(words: string, marks: readonly Mark[] | undefined, key: string): void {
    if (!words.includes('\n')) return this.write(words, marks, key);
    words.split('\n').forEach((part, at) => {
      if (at > 0) this.break();
      this.write(part, marks, key);
    });
  }

  break(): void {
    this.line.push({ type: 'hardBreak' });
    this.run = null;
  }
}

/** Piece by piece: for a line in which marks change, or that has breaks or answers of several lines. */
function writePieces(pieces: readonly Piece[], shown: readonly string[]): Inline[] {
  const writer = new LineWriter();
  pieces.forEach(({ text, isBreak, marks, key }, at) => {
    if (isBreak) writer.break();
    else if (text === null) writer.writeAnswer(shown[at]!, marks, key);
    else writer.write(shown[at]!, marks, key);
  });
  return writer.line;
}

function fillLine(prepared: PreparedLine, know: Knowledge): Inline[] | null {
  const line = standing(prepared, know);
  const { pieces, blanks, isUniform } = line;
  if (line.plain === undefined) line.plain = plainLineOf(line);
  const plainly = line.plain && fillPlainly(line.plain, know);
  if (plainly) return [textRunOf(plainly, pieces[0]?.marks)];
  const { shown, runsOver } = fillPieces(line, know);
  let words = '';
  for (const one of shown) words += one;
  // Every word was an answer that has been left out, or is still open: so is the line.
  if (blanks.length > 0 && !line.hasBreaks && isAllSpace(words)) return null;
  if (!isUniform || runsOver) return writePieces(pieces, shown);
  return words === '' ? [] : [textRunOf(words, pieces[0]?.marks)];
}

/**
 * An entry's wording filled to plain rich text at once, as a reader would get it; gaps come out empty. The
 * same as placing it and finishing the draft, without the draft: what it does for one wording is prepared
 * once, and a filling is a single walk over it. Of several parts the last one is filled.
 */
export function fillWording(request: Omit<PlaceRequest, 'id' | 'cue'>): Passage {
  const { content, wording } = preparedEntry(request);
  const { fields } = content;
  const { record, today, now, writer, last, answers } = request;
  const { language } = wording;
  const beginning = { record, today, now, writer, last, language };
  const know = new Knowledge({
    fields,
    conditions: content.conditions ?? [],
    language,
    day: today,
    answerTo: (field) => answers?.[field.id] ?? answerFromRecord(field, beginning),
  });
  const whole = wording.parts.at(-1)!.passage;
  const passage = hasRecordBlocks(whole)
    ? recordBlocks(whole, fields, answersFromRecord(fields, beginning), { record, today, language })
    : whole;
  const { blocks, lines } = prepare(passage, fields);
  return finishBlocks(blocks, (block: LineBlock) => fillLine(lines.get(block)!, know));
}
