import type { Answer } from '#core/draft';
import type { EntryContent, Field } from '#core/entry';
import {
  isLine,
  tidyInlines,
  type Block,
  type BlankForm,
  type Inline,
  type Line,
  type LineBlock,
  type Mark,
  type Passage,
  type TextInline,
} from '#core/passage';
import { answerFromRecord } from './answersFromRecord';
import { finishBlocks } from './finishedPassage';
import { fit, spaceToTake } from './joints';
import { wordingOf, type PlaceRequest } from './place';
import { wordsOf } from './wordsOf';

/** One inline of a wording as it is wanted while filling. */
interface Piece {
  /** The words themselves; '\n' for a break, null for a blank. */
  text: string | null;
  isBreak: boolean;
  field: Field | null;
  form: BlankForm;
  marks: readonly Mark[] | undefined;
  /** The marks as a string: pieces with the same one are written as a single run. */
  key: string;
  /** False for breaks and code, whose characters are never mended. */
  mendable: boolean;
}

/** One line made ready. */
interface PreparedLine {
  pieces: readonly Piece[];
  /** The words of all pieces, null for a blank: copied at each filling. */
  texts: readonly (string | null)[];
  /** Where its blanks stand among the pieces. */
  blanks: readonly number[];
  /** True when all of it is written alike and without breaks, as nearly every line is: one run in the end. */
  isUniform: boolean;
}

/** A wording made ready to be filled many times: static text tidied, blanks joined to their fields. */
interface Prepared {
  blocks: readonly Block[];
  lines: ReadonlyMap<Block, PreparedLine>;
  language: string;
}

function pieceOf(inline: Inline, fields: readonly Field[]): Piece {
  const marks = inline.marks?.length ? inline.marks : undefined;
  const key = JSON.stringify(marks ?? []);
  if (inline.type === 'blank') {
    const { field, form } = inline.attrs;
    return {
      text: null,
      isBreak: false,
      field: fields.find(({ id }) => id === field) ?? null,
      form,
      marks,
      key,
      mendable: false,
    };
  }
  const text = inline.type === 'text' ? inline.text : '\n';
  const mendable = inline.type === 'text' && !marks?.some((mark) => mark.type === 'code');
  return { text, isBreak: inline.type === 'hardBreak', field: null, form: 'as-is', marks, key, mendable };
}

function prepareLine(line: Line, fields: readonly Field[]): PreparedLine {
  const pieces = tidyInlines(line).map((inline) => pieceOf(inline, fields));
  return {
    pieces,
    texts: pieces.map(({ text }) => text),
    blanks: pieces.flatMap(({ text }, at) => (text === null ? [at] : [])),
    isUniform: pieces.every(({ key, isBreak }) => !isBreak && key === pieces[0]!.key),
  };
}

function prepareLines(
  blocks: readonly Block[],
  fields: readonly Field[],
  into: Map<Block, PreparedLine>,
): void {
  for (const block of blocks) {
    if (isLine(block)) into.set(block, prepareLine(block.content ?? [], fields));
    else if ('content' in block) prepareLines(block.content, fields, into);
  }
}

// Content does not change once it is made, so what is prepared for it holds as long as it lives.
const prepared = new WeakMap<EntryContent, Map<string, Prepared>>();

function prepare(content: EntryContent, id: string | undefined): Prepared {
  let ofContent = prepared.get(content);
  if (!ofContent) prepared.set(content, (ofContent = new Map<string, Prepared>()));
  const wording = wordingOf(content, id);
  let found = ofContent.get(wording.id);
  if (!found) {
    const lines = new Map<Block, PreparedLine>();
    const blocks = wording.parts[0]!.passage.content;
    prepareLines(blocks, content.fields, lines);
    ofContent.set(wording.id, (found = { blocks, lines, language: wording.language }));
  }
  return found;
}

/** The answer to a field, if there is one. */
type AnswerTo = (field: Field) => Answer | undefined;

/** Words of each piece as they come out; null for a blank still open, which counts as a letter beside others. */
function fillPieces(
  { pieces, texts, blanks }: PreparedLine,
  answerTo: AnswerTo,
  language: string,
): (string | null)[] {
  const count = pieces.length;
  const out = texts.slice();
  const shown = (index: number) => out[index] ?? 'x';
  const textAt = (index: number) => (pieces[index]?.mendable ? out[index]! : null);
  for (const at of blanks) {
    const { field, form } = pieces[at]!;
    if (!field) continue;
    const words = wordsOf(field, answerTo(field), form, language);
    if (words !== '') out[at] = fit(words, count, at, shown);
    else if (!field.required) {
      const side = spaceToTake({ count, at, shown }, textAt(at - 1), textAt(at + 1));
      if (side === 'after') out[at + 1] = out[at + 1]!.slice(1);
      if (side === 'before') out[at - 1] = out[at - 1]!.slice(0, -1);
      out[at] = '';
    }
  }
  return out;
}

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
    this.run = marks ? { type: 'text', text: words, marks: [...marks] } : { type: 'text', text: words };
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
function writePieces(pieces: readonly Piece[], out: readonly (string | null)[]): Inline[] {
  const writer = new LineWriter();
  pieces.forEach(({ text, isBreak, marks, key }, at) => {
    if (isBreak) writer.break();
    else if (text === null) writer.writeAnswer(out[at] ?? '', marks, key);
    else writer.write(out[at] ?? '', marks, key);
  });
  return writer.line;
}

function fillLine(line: PreparedLine, answerTo: AnswerTo, language: string): Inline[] | null {
  const { pieces, blanks, isUniform } = line;
  const out = fillPieces(line, answerTo, language);
  const words = out.join('');
  // Every word was an answer that has been left out, or is still open: so is the line.
  if (blanks.length > 0 && isAllSpace(words) && !pieces.some(({ isBreak }) => isBreak)) return null;
  if (!isUniform || words.includes('\n')) return writePieces(pieces, out);
  const marks = pieces[0]?.marks;
  if (words === '') return [];
  return [marks ? { type: 'text', text: words, marks: [...marks] } : { type: 'text', text: words }];
}

const isAllSpace = (words: string): boolean => !/\S/.test(words);

/**
 * An entry's wording filled to plain rich text at once, as a reader would get it; gaps come out empty. The
 * same as placing it and finishing the draft, without the draft: what it does for one wording is prepared
 * once, and a filling is a single walk over it.
 */
export function fillWording(request: Omit<PlaceRequest, 'id' | 'cue'>): Passage {
  const { content } = request.entry;
  const { blocks, lines, language } = prepare(content, request.wording);
  const answerTo = (field: Field) =>
    request.answers?.[field.id] ?? answerFromRecord(field, request.record, request.today);
  return finishBlocks(blocks, (block: LineBlock) => fillLine(lines.get(block)!, answerTo, language));
}
