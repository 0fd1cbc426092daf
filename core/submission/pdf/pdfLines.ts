import type { PdfPage, PdfRun } from './pdfPage';

/** A run where it stands on a line. */
export interface LineRun {
  /** Which run of its page it is. */
  index: number;
  run: PdfRun;
  /** What parts it from the run before: nothing, a space, or the gap between two columns of a table. */
  gap: '' | ' ' | '\t';
  /** Where it begins and ends along its line, in points. */
  start: number;
  end: number;
}

/** Runs on one baseline, in the order of the file. */
export interface PdfLine {
  page: number;
  runs: LineRun[];
  /** How far down the page its baseline is, seen along its own direction; and how far it is turned. */
  down: number;
  angle: number;
  left: number;
  right: number;
  /** Of its letters, that of most. */
  size: number;
  text: string;
}

/** A baseline may be this much higher or lower, in sizes of a letter, for what is raised or lowered. */
const SAME_LINE = 0.55;
/** From this gap on, in sizes of a letter, two words have a space between them; from the other on they stand in columns of a table. */
const SPACE = 0.18;
const COLUMN = 1.3;

/** Where a run is along its own direction, and across it. */
function alongOf({ x, y, angle, width }: PdfRun) {
  const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
  const start = x * cos + y * sin;
  return { start, end: start + width, down: y * cos - x * sin };
}

type Placed = ReturnType<typeof alongOf>;

/** Whether a run goes on where a line has come to. */
function goesOn(line: PdfLine, run: PdfRun, { start, end, down }: Placed): boolean {
  const size = Math.max(line.size, run.size);
  if (Math.abs(line.angle - run.angle) > 0.02 || Math.abs(line.down - down) > SAME_LINE * size) return false;
  return run.isRtl || line.runs.at(-1)!.run.isRtl
    ? end < line.left + size || start > line.right - size
    : start > line.right - size;
}

function gapBefore(line: PdfLine, run: PdfRun, { start, end }: Placed, hasSpace: boolean): LineRun['gap'] {
  const size = Math.max(line.size, run.size);
  const gap = start >= line.right - size ? start - line.right : line.left - end;
  if (gap > COLUMN * size) return '\t';
  return hasSpace || gap > SPACE * size ? ' ' : '';
}

/** Of the letters of a line, the size that most have. */
function sizeOf(runs: readonly LineRun[]): number {
  const lengths = new Map<number, number>();
  for (const { run } of runs) lengths.set(run.size, (lengths.get(run.size) ?? 0) + run.text.length);
  return [...lengths].reduce((most, one) => (one[1] > most[1] ? one : most))[0];
}

/** Some programs make letters bold by drawing them twice. */
const isDrawnTwice = (line: PdfLine, run: PdfRun, { start }: Placed): boolean =>
  line.runs.some((one) => one.run.text === run.text && Math.abs(one.start - start) < 0.25 * run.size);

/** Lines that are read from right to left may be drawn in either order: they are read from the right. */
function inReadingOrder(line: PdfLine): PdfLine {
  const rtl = line.runs.filter(({ run }) => run.isRtl);
  const lengthOf = (runs: readonly LineRun[]) => runs.reduce((sum, { run }) => sum + run.text.length, 0);
  const runs = 2 * lengthOf(rtl) > lengthOf(line.runs) ? fromTheRight(line.runs) : line.runs;
  return { ...line, runs, text: runs.map(({ gap, run }) => gap + run.text).join('') };
}

function fromTheRight(runs: readonly LineRun[]): LineRun[] {
  const sorted = [...runs].sort((a, b) => b.end - a.end);
  return sorted.map((one, at) => {
    const before = sorted[at - 1];
    if (!before) return { ...one, gap: '' };
    const gap = before.start - one.end;
    const isApart =
      gap > SPACE * one.run.size || /^\s|\s$/.test(`${before.run.text.slice(-1)}${one.run.text[0]}`);
    return { ...one, gap: isApart ? ' ' : '' };
  });
}

/** The lines of a page, in the order in which the file draws them. */
export function linesOfPage({ runs }: PdfPage, page: number): PdfLine[] {
  const lines: PdfLine[] = [];
  let hasSpace = false;
  runs.forEach((run, index) => {
    if (run.text.trim() === '') {
      hasSpace ||= run.text !== '';
      return;
    }
    const placed = alongOf(run);
    const line = lines.at(-1);
    const { start, end, down } = placed;
    const isTwice = line && Math.abs(line.down - down) < 0.2 * run.size && isDrawnTwice(line, run, placed);
    if (isTwice) return;
    if (line && goesOn(line, run, placed)) {
      line.runs.push({ index, run, gap: gapBefore(line, run, placed, hasSpace), start, end });
      line.left = Math.min(line.left, start);
      line.right = Math.max(line.right, end);
      line.size = sizeOf(line.runs);
      // Of its letters, and not of a number raised before them.
      if (run.size === line.size) line.down = down;
    } else {
      const first: LineRun = { index, run, gap: '', start, end };
      lines.push({
        ...{ page, runs: [first], down, angle: run.angle, left: start, right: end, size: run.size, text: '' },
      });
    }
    hasSpace = false;
  });
  return lines.map(inReadingOrder);
}

/** What the heads and feet of pages have in common: their words but for numbers, and where they stand. */
const furnitureKey = ({ text, down }: PdfLine): string =>
  `${Math.round(down / 4)} ${text.replace(/\d+/g, '#').replace(/\s+/g, ' ').trim()}`;

/** So many lines a head or foot has at the most. */
const MOST_EDGE_LINES = 2;
/** From the text it is parted by more than a line, in sizes of a letter. */
const EDGE_GAP = 1.6;

/** What may be the head or the foot of a page: its outermost lines, parted from the rest. The longer ones first. */
function edgesOf(lines: readonly PdfLine[]): PdfLine[][] {
  const level = lines.filter(({ angle }) => angle === 0).sort((a, b) => a.down - b.down);
  return [level, [...level].reverse()].flatMap((from) =>
    [MOST_EDGE_LINES, 1]
      .filter((count) => {
        const [last, next] = [from[count - 1], from[count]];
        return last && (!next || Math.abs(next.down - last.down) > EDGE_GAP * last.size);
      })
      .map((count) => from.slice(0, count)),
  );
}

/**
 * The lines of all pages without what stands at the head or foot of many: running heads, numbers of pages. Lines at the edge of a page
 * are taken for such where their words, but for numbers, stand in the same place on three pages and a third of all; or, in a shorter
 * file, where they are but the number of their page on each.
 */
export function withoutFurniture(pages: readonly (readonly PdfLine[])[]): PdfLine[][] {
  const keyOf = (edge: readonly PdfLine[]) => edge.map(furnitureKey).join('\n');
  const isNumber = (edge: readonly PdfLine[], page: number) =>
    edge.length === 1 && edge[0]!.text.trim() === String(page + 1);
  const edges = pages.map(edgesOf);
  const counts = new Map<string, number>();
  for (const edge of edges.flat()) counts.set(keyOf(edge), (counts.get(keyOf(edge)) ?? 0) + 1);
  const least = Math.max(3, pages.length / 3);
  const areNumbered =
    pages.length > 1 && edges.every((ofPage, page) => ofPage.some((edge) => isNumber(edge, page)));
  return pages.map((lines, page) => {
    const dropped = edges[page]!.filter(
      (edge) => counts.get(keyOf(edge))! >= least || (areNumbered && isNumber(edge, page)),
    );
    const gone = new Set(dropped.flat());
    return lines.filter((line) => !gone.has(line));
  });
}
