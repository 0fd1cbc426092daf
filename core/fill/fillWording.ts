import type { Answer, Answers } from '#core/draft';
import { fullWordings, type EntryContent, type Field, type Wording } from '#core/entry';
import type { Block, Inline, LineBlock, Mark, Passage, TextInline } from '#core/passage';
import { answerFromRecord, answersFromRecord, type PlacementBeginning } from './answersFromRecord';
import { finishBlocks, finishedParagraph, finishedWhole } from './finishedPassage';
import { includedIn } from './includes';
import { isAnswered } from './isAnswered';
import { fit, takeMarks, takeSpaces, takeStops } from './joints';
import { Knowledge, placesOf } from './knowledge';
import { preparedEntry } from './place';
import type { PlaceRequest } from './placeRequest';
import { fillPlainly, type PlainAnswers } from './plainLine';
import { plainRecord } from './plainRecord';
import {
  plainLineOf,
  prepared,
  standing,
  type Piece,
  type Prepared,
  type PreparedLine,
} from './preparedWording';
import { hasRecordBlocks, recordBlocks } from './recordBlocks';
import { wordsOf } from './wordsOf';

const isAllSpace = (words: string): boolean => !/\S/.test(words);

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

function fillLine(
  prepared: PreparedLine,
  { fields, conditions = [] }: EntryContent,
  answers: PlainAnswers,
): Inline[] | null {
  const { know } = answers;
  const line = standing(prepared, conditions, know);
  const { pieces, blanks, isUniform } = line;
  if (line.plain === undefined) line.plain = plainLineOf(line, fields);
  const plainly = line.plain && fillPlainly(line.plain, answers);
  if (plainly) return [textRunOf(plainly, pieces[0]?.marks)];
  const { shown, runsOver } = fillPieces(line, know);
  let words = '';
  for (const one of shown) words += one;
  // Every word was an answer that has been left out, or is still open: so is the line.
  if (blanks.length > 0 && !line.hasBreaks && isAllSpace(words)) return null;
  if (!isUniform || runsOver) return writePieces(pieces, shown);
  return words === '' ? [] : [textRunOf(words, pieces[0]?.marks)];
}

/** A wording of an entry as it is filled. */
interface Filling {
  content: EntryContent;
  wording: Wording;
  /** Null where some of its lines come from the record: it is prepared for each. */
  prepared: Prepared | null;
}

// An entry's content does not change once it is made, so what is found for its wordings holds as long as it lives.
const fillings = new WeakMap<EntryContent, Map<string, Filling>>();

function fillingOf(content: EntryContent, wording: Wording): Filling {
  let known = fillings.get(content);
  if (!known) fillings.set(content, (known = new Map<string, Filling>()));
  let filling = known.get(wording.id);
  if (!filling) {
    const { passage } = wording.parts.at(-1)!;
    filling = { content, wording, prepared: hasRecordBlocks(passage) ? null : prepared(passage, content) };
    known.set(wording.id, filling);
  }
  return filling;
}

/** True for an entry of which nothing but itself says how it is filled: it has one wording, for all cases and pages, and no other entry in it. */
const isByItself = (content: EntryContent): boolean =>
  content.wordings.length === 1 && includedIn(fullWordings(content)[0]!).length === 0;

const byThemselves = new WeakMap<EntryContent, Filling>();

/** How the entry of a request is filled; found once for one that is filled by itself. */
function fillingFor(request: Omit<PlaceRequest, 'id' | 'cue'>): Filling {
  const { content } = request.entry;
  let filling = byThemselves.get(content);
  if (!filling) {
    const entry = preparedEntry(request);
    filling = fillingOf(entry.content, entry.wording);
    if (isByItself(content)) byThemselves.set(content, filling);
  }
  return filling;
}

/** The last part of a wording with the lines that come from the record. */
function withRecordBlocks(
  wording: Wording,
  fields: readonly Field[],
  beginning: PlacementBeginning,
): Passage {
  const { record, today, language } = beginning;
  const own = answersFromRecord(fields, beginning);
  return recordBlocks(wording.parts.at(-1)!.passage, fields, own, { record, today, language });
}

/**
 * An entry's wording filled to plain rich text at once, as a reader would get it; gaps come out empty. The
 * same as placing it and finishing the draft, without the draft: what it does for one wording is prepared
 * once, and a filling is a single walk over it. Of several parts the last one is filled.
 */
export function fillWording(request: Omit<PlaceRequest, 'id' | 'cue'>): Passage {
  const filling = fillingFor(request);
  const { content, wording } = filling;
  const { fields, conditions = [] } = content;
  const { record, today, now, writer, last, answers } = request;
  const { language } = wording;
  const beginning = { record, today, now, writer, last, language };
  const places = placesOf(fields);
  const given = givenTo(fields, places, answers);
  const know = new Knowledge({
    fields,
    conditions,
    language,
    day: today,
    answerTo: (field) => given[places.get(field.id)!] ?? answerFromRecord(field, beginning),
  });
  const own = filling.prepared ?? prepared(withRecordBlocks(wording, fields, beginning), content);
  const plain = { know, given, record: plainRecord(record, language) };
  if (own.paragraphs) return fillParagraphs(own.paragraphs, content, plain);
  return finishBlocks(own.blocks, (block: LineBlock) => fillLine(own.lines.get(block)!, content, plain));
}

function fillParagraphs(lines: readonly PreparedLine[], content: EntryContent, plain: PlainAnswers): Passage {
  const filled: Block[] = [];
  for (const line of lines) {
    const inlines = fillLine(line, content, plain);
    if (inlines) filled.push(finishedParagraph(inlines));
  }
  return finishedWhole(filled);
}

/** What was given, each answer where its field stands in the list: quicker to ask than by ids, which most have none for. */
function givenTo(
  fields: readonly Field[],
  places: ReadonlyMap<string, number>,
  answers: Answers | undefined,
): (Answer | undefined)[] {
  const given = new Array<Answer | undefined>(fields.length);
  for (const id in answers) {
    const at = places.get(id);
    if (at !== undefined) given[at] = answers[id];
  }
  return given;
}
