import { readTime } from './timeCode';
import type { TimedLine, TimedText } from './timedLine';

/**
 * A text in which each turn begins with whose it is: a name and a colon or a tab, on the line of the words or on one of its own; with
 * a time before it or behind it, or without. There is no standard: what is a label is told by what comes again.
 */

const TIME = String.raw`[[(]?\d{1,3}:\d{2}(?::\d{2})?(?:[.,]\d{1,3}|:\d{2})?[\])]?`;
const NAME = String.raw`[\p{L}\p{N}][\p{L}\p{M}\p{N}.'’() -]{0,40}?`;
const LABELLED = new RegExp(
  String.raw`^\s*(?:(${TIME})\s+)?(${NAME})(?:\s+(${TIME}))?\s*(?::(?=\s|$)|\t)[ \t]*(.*)$`,
  'u',
);
/** A name and its time alone, the words on the rows beneath. */
const NAME_AND_TIME = new RegExp(String.raw`^\s*(${NAME})\s+(${TIME})\s*:?\s*$`, 'u');
const ONLY_TIME = new RegExp(String.raw`^\s*(${TIME})\s*(?:[-–]\s*)?(.*)$`);
/** A label is so many words at the most. */
const MOST_WORDS = 4;

interface Candidate {
  name: string;
  at: number | null;
  words: string;
}

function candidate(row: string): Candidate | null {
  const [, above, aboveAt] = NAME_AND_TIME.exec(row) ?? [];
  const [, before, name = above, behind = aboveAt, words = ''] = LABELLED.exec(row) ?? [];
  if (name === undefined || name.trim().split(/\s+/).length > MOST_WORDS || /^\d+$/.test(name)) return null;
  const time = before ?? behind;
  return { name: name.trim(), at: time === undefined ? null : readTime(time), words: words.trim() };
}

const keyOf = (name: string) => name.toLowerCase();

/**
 * The names that are labels: those that begin two rows and more; and where there is one of these, others that are written as names are.
 */
export function labelsIn(rows: readonly string[]): ReadonlySet<string> {
  const counts = new Map<string, number>();
  const names = rows.flatMap((row) => candidate(row)?.name ?? []);
  for (const name of names) counts.set(keyOf(name), (counts.get(keyOf(name)) ?? 0) + 1);
  const often = names.filter((name) => counts.get(keyOf(name))! > 1);
  const asOthers = often.length > 0 ? names.filter((name) => /^\p{Lu}/u.test(name)) : [];
  return new Set([...often, ...asOthers].map(keyOf));
}

/** The label a row begins with, where its name is one of those given; null where it does not. */
export function labelOfRow(row: string, labels: ReadonlySet<string>): Candidate | null {
  const found = candidate(row);
  return found && labels.has(keyOf(found.name)) ? found : null;
}

/** Reads a text with labels: a line for each row, with its voice; rows without a label are whose the one above is. */
export function fromLabelled(text: string): TimedText {
  const rows = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const labels = labelsIn(rows);
  const lines: TimedLine[] = [];
  let voice: string | null = null;
  // The time of a label that stands on a line of its own.
  let waiting: number | null = null;
  for (const row of rows) {
    if (row.trim() === '') continue;
    const found = labelOfRow(row, labels);
    const timed = found ? null : ONLY_TIME.exec(row);
    if (found) voice = found.name;
    const own: number | null = timed ? readTime(timed[1]!) : null;
    const at: number | null = found?.at ?? own ?? waiting;
    const words: string = found ? found.words : own === null ? row.trim() : timed![2]!.trim();
    waiting = words === '' ? at : null;
    if (words !== '') lines.push({ from: at, to: null, voice, spans: [{ text: words, at: null }] });
  }
  return { lines, remarks: [] };
}
