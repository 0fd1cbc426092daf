/** What a text command does with what it reaches. */
export const VERBS = ['go', 'mark', 'copy', 'cut', 'erase', 'paste', 'swap', 'join', 'capital'] as const;
/** What a text command does. */
export type Verb = (typeof VERBS)[number];

/** By what it counts. A line is what stands between two line breaks of a paragraph. */
export const UNITS = ['letter', 'word', 'sentence', 'line', 'paragraph'] as const;
/** What a text command counts: words, sentences, lines and the like. */
export type Unit = (typeof UNITS)[number];

/** Which way it goes: so many units back, ahead, up or down, or to the start or end of the one the caret is in. */
export const WAYS = ['back', 'ahead', 'up', 'down', 'start', 'end'] as const;
/** Which way a text command goes. */
export type CommandWay = (typeof WAYS)[number];

/** A text command as it was read. */
export interface TextCommand {
  verb: Verb;
  count: number;
  unit: Unit;
  way: CommandWay;
  /** How many characters it is typed with, its lead-in among them. */
  length: number;
}

/** The one of some words that begins with what was typed; null where none does, or several. */
function begunBy<Word extends string>(words: readonly Word[], typed: string): Word | null {
  const found = words.filter((word) => word.startsWith(typed));
  return found.length === 1 ? found[0]! : null;
}

/**
 * The text command that a line ends with: its lead-in at the start of a word, then verb, count, unit and way in plain words, parted
 * by full stops, each as short as it is clear: with the lead-in `//`, "//erase.2.words" is "//e.2.w". What is left out is one, word,
 * back. Null when the line ends with none, and where commands are off (no lead-in).
 */
export function readCommand(line: string, leadIn: string): TextCommand | null {
  const start = leadIn === '' ? -1 : line.lastIndexOf(leadIn);
  if (start < 0 || (start > 0 && !/\s/.test(line.charAt(start - 1)))) return null;
  const typed = line.slice(start + leadIn.length).toLowerCase();
  if (!/^[a-z]+(?:\.(?:\d{1,3}|[a-z]+))*$/.test(typed)) return null;
  const [first, ...rest] = typed.split('.');
  const verb = begunBy(VERBS, first!);
  if (!verb || (verb === 'paste' && rest.length > 0)) return null;
  const command: TextCommand = { verb, count: 1, unit: 'word', way: 'back', length: line.length - start };
  const left = [...rest];
  if (/^\d/.test(left[0] ?? '')) command.count = Math.max(1, Number(left.shift()));
  // Said of several it has its "s": words, sentences.
  const unit = left[0] && begunBy(UNITS, left[0].replace(/(?<=.{3})s$/, ''));
  if (unit) {
    command.unit = unit;
    left.shift();
  }
  const way = left[0] && begunBy(WAYS, left[0]);
  if (way) {
    command.way = way;
    left.shift();
  }
  return left.length === 0 ? command : null;
}

const SAID: Record<Verb, string> = {
  go: 'Go',
  mark: 'Select',
  copy: 'Copy',
  cut: 'Cut',
  erase: 'Delete',
  paste: 'Paste what was copied last',
  swap: 'Swap',
  join: 'Join',
  capital: 'Capitalise',
};

/** A command in words, as it is offered before its closing key. */
export function commandInWords({ verb, count, unit, way }: TextCommand): string {
  if (verb === 'paste') return SAID.paste;
  const said = SAID[verb];
  if (verb === 'swap') return `Swap the two ${unit}s before the cursor`;
  if (verb === 'join')
    return unit === 'paragraph'
      ? 'Join this paragraph to the one before'
      : `Join the two ${unit}s before the cursor`;
  if (way === 'start' || way === 'end') return `${said} to the ${way} of the ${unit}`;
  const units = count === 1 ? `one ${unit}` : `${count} ${unit}s`;
  return `${said} ${units} ${way}`;
}
