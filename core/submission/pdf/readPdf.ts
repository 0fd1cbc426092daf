import type { TextPoint, TextRange } from '../../passage';
import { comparePoints } from '../../passage';
import { SUBMISSION_LIMITS, wordsOfBlock, type CameAlong, type Submission } from '../submission';
import { alongRun } from './alongRun';
import { BlockMaker, type PdfPiece } from './pdfBlocks';
import { inColumns, looksOf, partsWords, type LaidLine, type Looks } from './pdfLayout';
import { linesOfPage, withoutFurniture, type PdfLine } from './pdfLines';
import type { PdfPage, PdfRectangle, PdfRemark, PdfRun } from './pdfPage';

/** A PDF as it is read: its words as a submission, and where each piece of them stands. */
export interface ReadPdf {
  submission: Submission;
  pieces: readonly PdfPiece[];
}

/** The sizes of letters that are those of headings, the largest first. */
function headingSizes(lines: readonly PdfLine[], { size }: Looks): number[] {
  const larger = lines.filter((line) => line.size > 1.12 * size).map((line) => line.size);
  return [...new Set(larger)].sort((a, b) => b - a).slice(0, 6);
}

/** Words that have a hyphen within a line, in small letters: where one stands at the end of a line it belongs to them. */
function compoundsIn(lines: readonly PdfLine[]): Set<string> {
  const found = lines.flatMap(({ text }) => text.toLowerCase().match(/\p{L}+(?:[-\u2010]\p{L}+)+/gu) ?? []);
  return new Set(found.map((word) => word.replaceAll('\u2010', '-')));
}

/** Whether a line begins with a raised number or sign: as a footnote does. */
function beginsNote({ runs: [first], size, down, text }: LaidLine): boolean {
  const { run } = first!;
  const isRaised = run.size < 0.8 * size && run.y < down - 0.15 * size;
  return isRaised && /^\s*[\d*†‡§]{1,3}\s/.test(`${text} `);
}

/** From where on the lines of a page are its footnotes: at its foot, in small letters or behind a raised number. */
function notesFrom(lines: readonly LaidLine[], { size }: Looks): number {
  let from = lines.length;
  while (from > 0 && lines[from - 1]!.size < 0.92 * size && lines[from - 1]!.angle === 0) from -= 1;
  while (from < lines.length && !/^\s*[\d*†‡§]/.test(lines[from]!.text)) from += 1;
  if (from === lines.length) {
    const raised = lines.findIndex((line, at) => at > lines.length / 2 && beginsNote(line));
    if (raised >= 0) from = raised;
  }
  // A page in small letters throughout has no footnotes.
  return from === 0 ? lines.length : from;
}

/**
 * Reads the pages of a PDF as a submission. A PDF holds letters and where they stand, no paragraphs: these are found from gaps, edges,
 * sizes and the ends of lines, in the order in which the file draws them. Words parted by a hyphen at the end of a line are put together;
 * running heads and numbers of pages are left out; footnotes come last. A page without words stands as itself.
 */
export function readPdf(pages: readonly PdfPage[]): ReadPdf {
  const kept = withoutFurniture(pages.map((page, index) => linesOfPage(page, index)));
  const all = kept.flat();
  const looks = looksOf(all);
  const hyphens = { partsWords: partsWords(all), compounds: compoundsIn(all) };
  const maker = new BlockMaker(looks, { sizes: headingSizes(all, looks) }, hyphens);
  const notes: LaidLine[] = [];
  let body: LaidLine[] = [];
  kept.forEach((lines, page) => {
    if (lines.length === 0) {
      maker.lines(body);
      body = [];
      return maker.page(page);
    }
    const laid = inColumns(lines, looks);
    const from = notesFrom(laid, looks);
    body.push(...laid.slice(0, from));
    notes.push(...laid.slice(from));
  });
  maker.lines(body);
  maker.lines(notes, 'note');
  const { blocks, pieces } = maker;
  const comments = pages
    .flatMap(({ runs, remarks }, page) =>
      remarks.map((remark) => commentOf(remark, runs, ofPage(pieces, page), { blocks })),
    )
    .filter((one) => one !== null)
    .sort((a, b) => comparePoints(a.on.from, b.on.from))
    .slice(0, SUBMISSION_LIMITS.comments);
  return { submission: { version: 1, blocks, comments }, pieces };
}

const ofPage = (pieces: readonly PdfPiece[], page: number): PdfPiece[] =>
  pieces.filter((piece) => piece.page === page);

/** Where the middle of a unit of a run is. */
function middleOf(run: PdfRun, unit: number): { x: number; y: number } {
  const { from, to } = alongRun(run, unit, unit + 1);
  const along = (from + to) / 2;
  const up = 0.3 * run.size;
  return {
    x: run.x + along * Math.cos(run.angle) + up * Math.sin(run.angle),
    y: run.y + along * Math.sin(run.angle) - up * Math.cos(run.angle),
  };
}

const isIn = ({ left, top, right, bottom }: PdfRectangle, { x, y }: { x: number; y: number }): boolean =>
  x >= left && x <= right && y >= top && y <= bottom;

/** The block whose words are nearest to a place of a page, as a stretch; null where the page has none. */
function nearestTo(
  { left, top }: PdfRectangle,
  runs: readonly PdfRun[],
  pieces: readonly PdfPiece[],
  { blocks }: Pick<Submission, 'blocks'>,
): TextRange | null {
  let best: PdfPiece | null = null;
  let least = Infinity;
  for (const piece of pieces) {
    const run = piece.run === null ? null : runs[piece.run]!;
    // Lines are told apart by their height; how far along one is matters less.
    const far = run ? Math.abs(run.y - 0.4 * run.size - top) + 0.05 * Math.abs(run.x - left) : 0;
    if (far < least) [best, least] = [piece, far];
  }
  if (!best) return null;
  const { block } = best;
  return { from: { block, at: 0 }, to: { block, at: wordsOfBlock(blocks[block]!).length } };
}

/** An annotation as a comment that came along, on the words that it marks or stands at; null where its page has none. */
function commentOf(
  { author, at, text, on }: PdfRemark,
  runs: readonly PdfRun[],
  pieces: readonly PdfPiece[],
  submission: Pick<Submission, 'blocks'>,
): CameAlong | null {
  let from: TextPoint | null = null;
  let to: TextPoint | null = null;
  for (const piece of pieces) {
    const run = piece.run === null ? null : runs[piece.run]!;
    if (!run) continue;
    for (let unit = 0; unit < piece.length; unit += 1) {
      const middle = middleOf(run, piece.from + unit);
      if (!on.some((rectangle) => isIn(rectangle, middle))) continue;
      const point = { block: piece.block, at: piece.at + unit };
      if (!from || comparePoints(point, from) < 0) from = point;
      const end = { block: piece.block, at: piece.at + unit + 1 };
      if (!to || comparePoints(end, to) > 0) to = end;
    }
  }
  const range = from && to ? { from, to } : on[0] ? nearestTo(on[0], runs, pieces, submission) : null;
  return (
    range && { author: author.slice(0, 200), at: at.slice(0, 60), text: text.slice(0, 20_000), on: range }
  );
}
