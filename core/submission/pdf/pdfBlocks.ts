import { PLACE_SIGN, type Span, type SpanMark, type SubmissionBlock } from '../submission';
import type { LaidLine, Looks } from './pdfLayout';
import { endsBetween, endsSentence, isSetOff } from './pdfLayout';
import type { LineRun } from './pdfLines';

/** Where some of a block's words stand in the file. */
export interface PdfPiece {
  /** Which block, from which of its units on (UTF-16), and how many. */
  block: number;
  at: number;
  length: number;
  /** Which page, counted from 0, which of its runs, and from which of the run's units on; no run: the whole page. */
  page: number;
  run: number | null;
  from: number;
}

const SOFT_HYPHEN = '\u00AD';

/** A sign that stands before an item of a list, and what parts it from its words. */
const BULLET = /^([•●▪◦‣∙·–—-]|\uF0B7)\s+/u;
const NUMBERED = /^(\(?(?:\d{1,3}|[a-z]|[ivx]{1,4})[.)])\s+/u;

/** What neither a page nor a store can hold: control characters, halves of pairs; each is as long as what stands for it. */
const withoutOddSigns = (text: string): string =>
  text.replace(/[\u0000-\u001F\u007F-\u009F]/g, ' ').replace(/\p{Cs}/gu, '\uFFFD');

/** A block that is being put together from lines. */
class Block {
  readonly spans: Span[] = [];
  readonly pieces: Omit<PdfPiece, 'block'>[] = [];
  private length = 0;

  get isEmpty(): boolean {
    return this.length === 0;
  }

  /** Adds words that stand nowhere in the file: a space at the end of a line. */
  add(text: string, marks: readonly SpanMark[] = []): void {
    if (text === '') return;
    const last = this.spans.at(-1);
    const isAlike = last && 'text' in last && (last.marks ?? []).join() === marks.join();
    if (isAlike) last.text += text;
    else this.spans.push({ text, ...(marks.length > 0 && { marks: [...marks] }) });
    this.length += text.length;
  }

  /** Adds a stretch of a run, without the hyphens in it that are only seen at the end of a line. */
  addRun(page: number, { index, run }: LineRun, from: number, to: number, marks: readonly SpanMark[]): void {
    for (let start = from; start < to;) {
      const hyphen = run.text.indexOf(SOFT_HYPHEN, start);
      const end = hyphen < 0 || hyphen > to ? to : hyphen;
      const length = end - start;
      if (length > 0) this.pieces.push({ at: this.length, length, page, run: index, from: start });
      this.add(withoutOddSigns(run.text.slice(start, end)), marks);
      start = end + 1;
    }
  }

  /** Takes the last sign away again: a hyphen that parted a word. */
  dropLast(): void {
    const [span, piece] = [this.spans.at(-1), this.pieces.at(-1)];
    if (!span || !('text' in span) || !piece) return;
    span.text = span.text.slice(0, -1);
    if (span.text === '') this.spans.pop();
    piece.length -= 1;
    if (piece.length === 0) this.pieces.pop();
    this.length -= 1;
  }
}

/** How the letters of a run look beside those of its line. */
function marksOf({ run }: LineRun, line: LaidLine, isHeading: boolean): SpanMark[] {
  const marks: SpanMark[] = [];
  if (run.isBold && !isHeading) marks.push('bold');
  if (run.isItalic) marks.push('italic');
  if (run.size < 0.8 * line.size) {
    const down = run.y * Math.cos(run.angle) - run.x * Math.sin(run.angle);
    if (down < line.down - 0.15 * line.size) marks.push('super');
    else if (down > line.down + 0.05 * line.size) marks.push('sub');
  }
  return marks;
}

/** Whether a hyphen at the end of a line only parts a word. */
function partsWord(line: LaidLine, next: LaidLine, { partsWords, compounds }: Hyphens): boolean {
  if (!partsWords) return false;
  const head = /(\p{L}+)[-\u2010]$/u.exec(line.text.trimEnd());
  const tail = /^\p{Ll}+/u.exec(next.text.trimStart());
  return !!head && !!tail && !compounds.has(`${head[1]}-${tail[0]}`.toLowerCase());
}

/** What a paragraph of lines is, and how many units at its start are its sign and no words of it. */
type Kind = Pick<SubmissionBlock, 'kind' | 'level' | 'label'> & { skipped: number };

export interface HeadingSizes {
  /** The sizes of headings, the largest first, in points. */
  sizes: readonly number[];
}

/** How the file parts words at the ends of its lines: whether it does, and which of its words have a hyphen anyway, in small letters. */
export interface Hyphens {
  partsWords: boolean;
  compounds: ReadonlySet<string>;
}

function kindOf(lines: readonly LaidLine[], looks: Looks, { sizes }: HeadingSizes): Kind {
  const first = lines[0]!;
  const words = lines.map(({ text }) => text).join(' ');
  const label = labelOf(first);
  if (label) {
    const level = Math.round((first.left - first.column.left) / (1.6 * looks.size));
    return { kind: 'item', label: label.sign, level: Math.min(8, Math.max(0, level)), skipped: label.length };
  }
  const rank = sizes.indexOf(first.size);
  if (rank >= 0) return { kind: 'heading', level: Math.min(6, rank + 1), skipped: 0 };
  const isShort = lines.length <= 2 && words.length <= 120;
  if (
    isShort &&
    isSetOff(first, looks) &&
    first.runs.every(({ run }) => run.isBold) &&
    !/[.,;:]$/.test(words)
  )
    return { kind: 'heading', level: Math.min(6, sizes.length + 1), skipped: 0 };
  return { kind: 'paragraph', skipped: 0 };
}

/** A footnote, with its number or sign. */
function noteOf({ text }: LaidLine): Kind {
  const found = /^(\d{1,3}|[*†‡§]{1,3})\s*/.exec(text);
  return { kind: 'note', ...(found && { label: found[1]! }), skipped: found?.[0].length ?? 0 };
}

/** The sign before a line that begins an item of a list; null for any other line. A heading's own number is none. */
function labelOf(line: LaidLine): { sign: string; length: number } | null {
  if (line.runs[0]!.run.isBold) return null;
  const found = BULLET.exec(line.text) ?? NUMBERED.exec(line.text);
  if (!found) return null;
  return { sign: found[1] === '\uF0B7' ? '•' : found[1]!, length: found[0].length };
}

/** Whether a line begins an item of a list: a number in the middle of a sentence does not. */
const beginsItem = (line: LaidLine, before: LaidLine): boolean =>
  labelOf(line) !== null && (BULLET.test(line.text) || endsSentence(before.text));

/** A line of a table, by its cells. */
const cellsOf = (line: LaidLine): LineRun[][] => {
  const cells: LineRun[][] = [];
  for (const run of line.runs)
    if (run.gap === '\t' || cells.length === 0) cells.push([run]);
    else cells.at(-1)!.push(run);
  return cells;
};

const isRow = (line: LaidLine): boolean => line.runs.some(({ gap }) => gap === '\t') && !labelOf(line);

/** Puts lines together: paragraphs, items, headings, tables; and tells where each piece of their words stands. */
export class BlockMaker {
  readonly blocks: SubmissionBlock[] = [];
  readonly pieces: PdfPiece[] = [];
  private tables = 0;

  constructor(
    private readonly looks: Looks,
    private readonly headings: HeadingSizes,
    private readonly hyphens: Hyphens,
  ) {}

  /** A page that has no words: it stands as itself. */
  page(page: number): void {
    this.pieces.push({
      block: this.blocks.length,
      at: 0,
      length: PLACE_SIGN.length,
      page,
      run: null,
      from: 0,
    });
    this.blocks.push({ kind: 'paragraph', spans: [{ place: 'page', name: String(page + 1) }] });
  }

  /** Lines that follow one another. */
  lines(lines: readonly LaidLine[], kind?: 'note'): void {
    for (let at = 0; at < lines.length;) {
      let end = at + 1;
      if (isRow(lines[at]!)) {
        const count = cellsOf(lines[at]!).length;
        while (lines[end] && isRow(lines[end]!) && cellsOf(lines[end]!).length === count) end += 1;
        this.table(lines.slice(at, end));
      } else {
        while (lines[end] && !this.isParted(lines[end - 1]!, lines[end]!, end - at === 1)) end += 1;
        this.paragraph(lines.slice(at, end), kind);
      }
      at = end;
    }
  }

  private isParted(line: LaidLine, next: LaidLine, isFirst: boolean): boolean {
    if (isRow(next) || beginsItem(next, line)) return true;
    // The lines of an item stand beneath its words, not beneath its sign.
    if (isFirst && labelOf(line) && next.left > line.left && next.page === line.page)
      return next.down - line.down > 1.3 * this.looks.leading;
    return endsBetween(line, next, isFirst, this.looks);
  }

  private table(lines: readonly LaidLine[]): void {
    // One line in columns is no table: a line of an address, a formula.
    if (lines.length === 1) return this.paragraph(lines);
    const table = this.tables++;
    lines.forEach((line, row) =>
      cellsOf(line).forEach((runs, column) => {
        const block = new Block();
        this.addRuns(block, line, runs, 0, false);
        this.end(block, { kind: 'paragraph', cell: { table, row, column } });
      }),
    );
  }

  private paragraph(lines: readonly LaidLine[], as?: 'note'): void {
    const { skipped, ...kind } = as ? noteOf(lines[0]!) : kindOf(lines, this.looks, this.headings);
    const block = new Block();
    lines.forEach((line, at) => {
      if (!block.isEmpty) this.joinLine(block, lines[at - 1]!, line);
      this.addRuns(block, line, line.runs, at === 0 ? skipped : 0, kind.kind === 'heading');
    });
    const isRtl = lines[0]!.runs.some(({ run }) => run.isRtl);
    this.end(block, { ...kind, ...(isRtl && { rtl: true as const }) });
  }

  private joinLine(block: Block, line: LaidLine, next: LaidLine): void {
    if (line.text.trimEnd().endsWith(SOFT_HYPHEN)) return;
    if (partsWord(line, next, this.hyphens)) block.dropLast();
    else if (!/[-\u2010]$/.test(line.text.trimEnd())) block.add(' ');
  }

  /** Adds runs of a line, from one of the units of its text on; spaces at either end of it are left out. */
  private addRuns(
    block: Block,
    line: LaidLine,
    runs: readonly LineRun[],
    skipped: number,
    isHeading: boolean,
  ): void {
    let left = skipped;
    const last = runs.at(-1)!;
    runs.forEach((one, at) => {
      const gap = at === 0 ? '' : one.gap;
      const dropped = Math.min(left, gap.length);
      left -= dropped;
      const { text } = one.run;
      const from = Math.max(
        Math.min(left, text.length),
        at === 0 ? text.length - text.trimStart().length : 0,
      );
      left -= Math.min(left, text.length);
      const to = one === last ? text.trimEnd().length : text.length;
      const marks = marksOf(one, line, isHeading);
      if (dropped === 0 && from < to) block.add(gap);
      if (from < to) block.addRun(line.page, one, from, to, marks);
    });
  }

  private end(block: Block, own: Omit<SubmissionBlock, 'spans'>): void {
    if (block.isEmpty) return;
    this.pieces.push(...block.pieces.map((piece) => ({ block: this.blocks.length, ...piece })));
    this.blocks.push({ ...own, spans: block.spans });
  }
}
