import { folded } from '../../glossary';
import { alongRun } from './alongRun';
import type { PdfRun } from './pdfPage';
import { isSameLine, quadOf, type Along, type PdfQuad } from './quadsOn';

/** A sign of a page as it is compared, and where it stands: in which run, and at which unit of it. */
interface Sign {
  text: string;
  run: number;
  at: number;
}

/** Between two runs of a line more than this, in sizes of a letter, is a space. */
const SPACE = 0.18;

/** Whether a space is to be thought between two runs: where a line ends, or they stand apart. */
function areApart(before: PdfRun, run: PdfRun): boolean {
  if (!isSameLine(before, run)) return true;
  const along = (run.x - before.x) * Math.cos(before.angle) + (run.y - before.y) * Math.sin(before.angle);
  return (
    Math.abs(along - before.width) > SPACE * before.size && Math.abs(along + run.width) > SPACE * run.size
  );
}

const isHyphen = (sign: Sign | undefined) => sign !== undefined && /^[-\u2010\u00ad]$/.test(sign.text);

/** The signs of a page one after another, white space as one space, a word that is parted at the end of a line in one. */
function signsOf(runs: readonly PdfRun[]): Sign[] {
  const signs: Sign[] = [];
  const space = (run: number, at: number) => {
    if (signs.length > 0 && signs.at(-1)!.text !== ' ') signs.push({ text: ' ', run, at });
  };
  runs.forEach((run, index) => {
    const before = runs[index - 1];
    if (before && areApart(before, run)) {
      const isParted = isHyphen(signs.at(-1)) && !isSameLine(before, run) && /^\p{Ll}/u.test(run.text);
      if (isParted) signs.pop();
      else space(index, 0);
    }
    let at = 0;
    for (const letter of run.text) {
      if (/\s/.test(letter)) space(index, at);
      else for (const text of folded(letter)) signs.push({ text, run: index, at });
      at += letter.length;
    }
  });
  return signs;
}

/** What a stretch of signs covers: a shape for each line it is on. */
function quadsOfSigns(runs: readonly PdfRun[], signs: readonly Sign[]): PdfQuad[] {
  const lines: Along[][] = [];
  for (const [index, run] of runs.entries()) {
    const own = signs.filter((sign) => sign.run === index && sign.text !== ' ');
    if (own.length === 0) continue;
    const last = own.at(-1)!.at;
    const along = { run, ...alongRun(run, own[0]!.at, last + [...run.text.slice(last)][0]!.length) };
    const line = lines.at(-1);
    if (line && isSameLine(line[0]!.run, run)) line.push(along);
    else lines.push([along]);
  }
  return lines.map(quadOf);
}

/**
 * Where words stand on a page, in the order in which its file draws them; capitals, accents, how much white space there is and where lines end
 * make no difference. Of each place a shape for each line that it is on, in points. None for words that are spaces alone.
 */
export function wordsOnPage(runs: readonly PdfRun[], words: string): PdfQuad[][] {
  const wanted = folded(words).trim().replace(/\s+/g, ' ');
  if (wanted === '') return [];
  const signs = signsOf(runs);
  // Each sign is one unit or two of the text that is looked through.
  const text = signs.map((sign) => sign.text).join('');
  const signAt: number[] = [];
  signs.forEach((sign, index) => signAt.push(...Array<number>(sign.text.length).fill(index)));
  const found: PdfQuad[][] = [];
  for (let from = text.indexOf(wanted); from >= 0; from = text.indexOf(wanted, from + wanted.length))
    found.push(quadsOfSigns(runs, signs.slice(signAt[from], signAt[from + wanted.length - 1]! + 1)));
  return found;
}
