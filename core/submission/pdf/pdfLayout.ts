import type { PdfLine } from './pdfLines';

/** Lines that stand beneath each other, as wide as the widest of them. */
export interface Column {
  left: number;
  right: number;
}

/** A line among those around it. */
export interface LaidLine extends PdfLine {
  column: Column;
}

/** What most of a document looks like. */
export interface Looks {
  /** Of its letters, and from one baseline to the next, in points. */
  size: number;
  leading: number;
  /** Its font, by its name in the file. */
  font: string;
  isBold: boolean;
}

/** What carries the most weight. */
export function heaviest<T>(weights: ReadonlyMap<T, number>, none: T): T {
  let best = none;
  let most = 0;
  for (const [one, weight] of weights) if (weight > most) [best, most] = [one, weight];
  return best;
}

/** From so many lines on that end in a hyphen, a file parts words at the ends of lines: fewer of them are compounds. */
const LEAST_HYPHENS = { lines: 3, part: 0.015 };
const ENDS_IN_HYPHEN = /\p{L}[-\u2010]$/u;

/** Whether a file parts words at the ends of its lines. */
export function partsWords(lines: readonly PdfLine[]): boolean {
  const found = lines.filter(({ text }) => ENDS_IN_HYPHEN.test(text.trimEnd())).length;
  return found >= LEAST_HYPHENS.lines && found >= LEAST_HYPHENS.part * lines.length;
}

const add = <T>(weights: Map<T, number>, one: T, weight: number) =>
  weights.set(one, (weights.get(one) ?? 0) + weight);

/** What most letters of a document look like, and how far its lines are apart. */
export function looksOf(lines: readonly PdfLine[]): Looks {
  const sizes = new Map<number, number>();
  const fonts = new Map<string, number>();
  const bold = new Map<boolean, number>();
  for (const { runs } of lines)
    for (const { run } of runs) {
      add(sizes, Math.round(run.size * 4) / 4, run.text.length);
      add(fonts, run.font, run.text.length);
      add(bold, run.isBold, run.text.length);
    }
  const size = heaviest(sizes, 12);
  const leadings = new Map<number, number>();
  lines.forEach((line, at) => {
    const next = lines[at + 1];
    if (next?.page !== line.page || Math.abs(line.size - size) > 0.1 * size) return;
    const apart = next.down - line.down;
    if (apart > 0.8 * size && apart < 3.2 * size) add(leadings, Math.round(apart * 2) / 2, 1);
  });
  return {
    ...{ size, leading: heaviest(leadings, 1.2 * size), font: heaviest(fonts, '') },
    isBold: heaviest(bold, false),
  };
}

/** From this gap on, in distances from one line to the next, something else begins. */
const GAP = 1.3;

/** Whether a line stands apart from the one before it: lower than the next line of the same text would, higher, or aside. */
function isApart(line: PdfLine, before: PdfLine, column: Column, looks: Looks): boolean {
  if (before.page !== line.page || before.angle !== line.angle || isLarger(before.size, line.size))
    return true;
  const down = line.down - before.down;
  const isAside = line.right < column.left || line.left > column.right;
  return down <= -line.size || isAside || down > gapOf(line.size, looks);
}

/** How far a line may be beneath another of its paragraph, at most, in points. */
const gapOf = (size: number, looks: Looks): number =>
  Math.max(GAP * looks.leading * (size / looks.size), 1.35 * size);

/** Gives each line the column it stands in: as wide as the widest of the lines it follows, and that follow it, without a gap. */
export function inColumns(lines: readonly PdfLine[], looks: Looks): LaidLine[] {
  const laid: LaidLine[] = [];
  let column: Column = { left: 0, right: 0 };
  lines.forEach((line, at) => {
    const before = lines[at - 1];
    if (!before || isApart(line, before, column, looks)) column = { left: line.left, right: line.right };
    column.left = Math.min(column.left, line.left);
    column.right = Math.max(column.right, line.right);
    laid.push({ ...line, column });
  });
  return laid;
}

/** Whether words end a sentence, a quotation or a list's head. */
export const endsSentence = (words: string): boolean =>
  /[.!?:;…。！？؟][\s"'”’»)\]\d]*$/u.test(words.trimEnd());

/** How long the first word of a line is, in points: it may have letters of several fonts. */
function firstWordOf({ runs }: PdfLine): number {
  let width = 0;
  for (const { gap, run } of runs) {
    if (width > 0 && gap !== '') return width;
    const word = (width > 0 ? run.text : run.text.trimStart()).split(/\s/, 1)[0]!.length;
    width += (run.width * word) / Math.max(1, run.text.length);
    if (word < run.text.trimStart().length) return width;
  }
  return width;
}

/** Whether the first word of the next line would have found room at the end of a line: then it was ended there on purpose. */
function hadRoom(line: LaidLine, next: PdfLine): boolean {
  const needed = firstWordOf(next) + 0.3 * line.size;
  return line.right + needed < line.column.right - 0.5 * line.size;
}

const isLarger = (a: number, b: number): boolean => Math.abs(a - b) > 0.1 * Math.max(a, b);

/** Whether a paragraph goes on in another column or on another page. */
const runsOver = (line: LaidLine, next: LaidLine): boolean =>
  !endsSentence(line.text) && !hadRoom(line, next) && next.left - next.column.left < 0.5 * next.size;

/** Whether all of a line is in bold letters, or in letters of another font than most are. */
export const isSetOff = ({ runs }: PdfLine, looks: Looks): boolean =>
  runs.every(({ run }) => (run.isBold && !looks.isBold) || run.font !== looks.font);

/**
 * Whether a paragraph ends between two lines. `isFirst`: the line is the first of its paragraph.
 */
export function endsBetween(line: LaidLine, next: LaidLine, isFirst: boolean, looks: Looks): boolean {
  if (line.angle !== next.angle || isLarger(line.size, next.size)) return true;
  if (isSetOff(line, looks) !== isSetOff(next, looks)) return endsSentence(line.text) || hadRoom(line, next);
  // Further down there was a gap; higher up, aside or on the next page it may go on.
  const isBeneath = next.page === line.page && next.down > line.down && next.left <= line.column.right;
  if (line.column !== next.column) return isBeneath || !runsOver(line, next);
  if (hadRoom(line, next)) return true;
  const indent = next.left - line.left;
  if (indent > 0.5 * line.size) return endsSentence(line.text);
  // The end of what stood in from the edge: a quotation, an entry of a list of sources.
  return indent < -0.5 * line.size && !isFirst;
}
