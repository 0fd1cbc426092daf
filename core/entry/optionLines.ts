import { cutTo } from '#core/language';
import type { ChoiceOption } from './field';

/** So many options can a choice have. */
export const MOST_OPTIONS = 1000;
const LONGEST_LABEL = 120;
const APART = ' = ';

/** An id that none of those taken is; it is taken from then on. */
function freeId(taken: Set<string>): string {
  let number = taken.size + 1;
  while (taken.has(`o${number}`)) number += 1;
  taken.add(`o${number}`);
  return `o${number}`;
}

/** Options as lines to be written: a label, and behind " = " the words it puts down where they differ. */
export const linesOfOptions = (options: readonly ChoiceOption[]): string =>
  options
    .map(({ label, words }) => (words === null ? label : label + APART + words.replace(/\n/g, ' ')))
    .join('\n');

/**
 * Options from lines, one each, as pasted or written: bullets and numbers before them are left out, empty lines too. One whose
 * label was there before keeps its id, so that answers given stay; `over` counts those beyond `MOST_OPTIONS`, which are left out.
 * A label too long becomes the words, under its beginning.
 */
export function optionsFromLines(
  text: string,
  before: readonly ChoiceOption[],
): { options: ChoiceOption[]; over: number } {
  const ids = new Map(before.map((option) => [option.label, option.id]));
  const taken = new Set(before.map(({ id }) => id));
  const used = new Set<string>();
  const lines = text
    .split(/\r?\n/u)
    .map((line) => line.replace(/^\s*(?:[•◦▪‣·*–-]|\d{1,3}[.)])\s+/u, '').trim())
    .filter((line) => line !== '');
  const options = lines.slice(0, MOST_OPTIONS).map((line): ChoiceOption => {
    const at = line.indexOf(APART);
    const label = at < 0 ? line : line.slice(0, at).trim();
    const words = at < 0 ? null : line.slice(at + APART.length).trim();
    const short = cutTo(label, LONGEST_LABEL).trim();
    const known = ids.get(short);
    const id = known !== undefined && !used.has(known) ? known : freeId(taken);
    used.add(id);
    return { id, label: short, words: words ?? (short === label ? null : label) };
  });
  return { options, over: Math.max(0, lines.length - MOST_OPTIONS) };
}

/** The one option that highlighted words become: whole, whatever their length. */
export const optionOfWords = (words: string): ChoiceOption =>
  optionsFromLines(words.replace(/\s*\n\s*/gu, ' '), []).options[0] ?? {
    id: 'o1',
    label: 'Option',
    words: null,
  };
