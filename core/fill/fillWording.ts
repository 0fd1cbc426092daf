import type { Answer } from '#core/draft';
import type { EntryContent, Field } from '#core/entry';
import {
  isLine,
  tidyInlines,
  type Block,
  type BlankForm,
  type Inline,
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

/** A wording made ready to be filled many times: static text tidied, blanks joined to their fields. */
interface Prepared {
  blocks: readonly Block[];
  lines: ReadonlyMap<Block, readonly Piece[]>;
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

function prepareLines(
  blocks: readonly Block[],
  fields: readonly Field[],
  into: Map<Block, readonly Piece[]>,
) {
  for (const block of blocks) {
    if (isLine(block))
      into.set(
        block,
        tidyInlines(block.content ?? []).map((inline) => pieceOf(inline, fields)),
      );
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
    const lines = new Map<Block, readonly Piece[]>();
    const blocks = wording.parts[0]!.passage.content;
    prepareLines(blocks, content.fields, lines);
    ofContent.set(wording.id, (found = { blocks, lines, language: wording.language }));
  }
  return found;
}

/** The answer to a field, if there is one. */
type AnswerTo = (field: Field) => Answer | undefined;

/** Words of each piece as they come out; null for a blank still open, which counts as a letter beside others. */
function fillPieces(pieces: readonly Piece[], answerTo: AnswerTo, language: string): (string | null)[] {
  const count = pieces.length;
  const out: (string | null)[] = [];
  for (let at = 0; at < count; at += 1) out.push(pieces[at]!.text);
  const shown = (index: number) => out[index] ?? 'x';
  const textAt = (index: number) => (pieces[index]?.mendable ? out[index]! : null);
  for (let at = 0; at < count; at += 1) {
    const { text, field, form } = pieces[at]!;
    if (text !== null || !field) continue;
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

/** Writes a finished line: words with the same marks run together, a line end becomes a break. */
class LineWriter {
  readonly line: Inline[] = [];
  private run: TextInline | null = null;
  private runKey = '';

  write(words: string, marks: readonly Mark[] | undefined, key: string): void {
    if (words.includes('\n')) {
      words.split('\n').forEach((part, at) => {
        if (at > 0) this.break();
        this.write(part, marks, key);
      });
    } else if (words === '') return;
    else if (this.run && this.runKey === key) this.run.text += words;
    else {
      this.run = marks ? { type: 'text', text: words, marks: [...marks] } : { type: 'text', text: words };
      this.runKey = key;
      this.line.push(this.run);
    }
  }

  break(): void {
    this.line.push({ type: 'hardBreak' });
    this.run = null;
  }
}

function fillLine(pieces: readonly Piece[], answerTo: AnswerTo, language: string): Inline[] | null {
  const out = fillPieces(pieces, answerTo, language);
  const writer = new LineWriter();
  let hasBlank = false;
  let isBlankOnly = true;
  for (let at = 0; at < pieces.length; at += 1) {
    const { text, isBreak, marks, key } = pieces[at]!;
    const words = out[at] ?? '';
    hasBlank ||= text === null;
    if (isBreak) writer.break();
    else writer.write(words, marks, key);
    isBlankOnly &&= !isBreak && words.trim() === '';
  }
  return hasBlank && isBlankOnly ? null : writer.line;
}

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
