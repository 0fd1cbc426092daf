import type { TextRange } from '../../passage';
import type { PdfPiece } from './pdfBlocks';
import { alongRun } from './alongRun';
import type { PdfPage, PdfRun } from './pdfPage';
import type { ReadPdf } from './readPdf';

interface Corner {
  x: number;
  y: number;
}

/** Words of one line as a shape: its corners upper left, upper right, lower left, lower right, as the words are read. */
export type PdfQuad = readonly [Corner, Corner, Corner, Corner];

/** What a stretch of a submission covers of one page: words on their lines, or the page as a whole. */
export interface OnPage {
  /** Counted from 0. */
  page: number;
  quads: PdfQuad[];
}

/** A stretch along a line, from its start, in points. */
export interface Along {
  run: PdfRun;
  from: number;
  to: number;
}

/** The part of a piece that a stretch holds; null where it holds none. */
function partOf(
  { block, at, length }: PdfPiece,
  { from, to }: TextRange,
): { from: number; to: number } | null {
  if (block < from.block || block > to.block) return null;
  const first = block === from.block ? Math.max(at, from.at) : at;
  const last = block === to.block ? Math.min(at + length, to.at) : at + length;
  return first < last ? { from: first - at, to: last - at } : null;
}

/** Letters reach about so far above their baseline and below it, in sizes of a letter. */
const ABOVE = 0.82;
const BELOW = 0.22;

/** Stretches of one line as one shape, from the outermost left to the outermost right, as high as the largest letters. */
export function quadOf(parts: readonly Along[]): PdfQuad {
  const { run } = parts[0]!;
  const [cos, sin] = [Math.cos(run.angle), Math.sin(run.angle)];
  const starts = parts.map((part) => part.run.x * cos + part.run.y * sin);
  const left = Math.min(...parts.map((part, at) => starts[at]! + part.from));
  const right = Math.max(...parts.map((part, at) => starts[at]! + part.to));
  const downs = parts.map((part) => part.run.y * cos - part.run.x * sin);
  const top = Math.min(...parts.map((part, at) => downs[at]! - ABOVE * part.run.size));
  const bottom = Math.max(...parts.map((part, at) => downs[at]! + BELOW * part.run.size));
  const corner = (along: number, down: number): Corner => ({
    x: along * cos - down * sin,
    y: along * sin + down * cos,
  });
  return [corner(left, top), corner(right, top), corner(left, bottom), corner(right, bottom)];
}

/** Whether two runs stand on one line. */
export function isSameLine(one: PdfRun, other: PdfRun): boolean {
  const [cos, sin] = [Math.cos(one.angle), Math.sin(one.angle)];
  const apart = Math.abs((one.y - other.y) * cos - (one.x - other.x) * sin);
  return Math.abs(one.angle - other.angle) < 0.02 && apart < 0.55 * Math.max(one.size, other.size);
}

/** What a stretch of a PDF that was read covers of its pages, in points from the upper left corner of each as it is shown. */
export function quadsOn({ pieces }: ReadPdf, pages: readonly PdfPage[], on: TextRange): OnPage[] {
  const found = new Map<number, Along[][]>();
  for (const piece of pieces) {
    const part = partOf(piece, on);
    if (!part) continue;
    const lines = found.get(piece.page) ?? [];
    found.set(piece.page, lines);
    if (piece.run === null) continue;
    const run = pages[piece.page]!.runs[piece.run]!;
    const along = { run, ...alongRun(run, piece.from + part.from, piece.from + part.to) };
    const line = lines.at(-1);
    if (line && isSameLine(line[0]!.run, run)) line.push(along);
    else lines.push([along]);
  }
  return [...found]
    .sort(([a], [b]) => a - b)
    .map(([page, lines]) => ({ page, quads: lines.map((parts) => quadOf(parts)) }));
}
