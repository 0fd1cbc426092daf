/** What a text command does with what it reaches. */
export const VERBS = {
  m: 'move',
  s: 'select',
  c: 'copy',
  x: 'cut',
  d: 'delete',
  v: 'paste',
  w: 'swap',
  j: 'join',
  u: 'capitalise',
} as const;
export type Verb = (typeof VERBS)[keyof typeof VERBS];

/** By what it counts. A line is what stands between two line breaks of a paragraph. */
export const UNITS = { l: 'letter', w: 'word', s: 'sentence', n: 'line', p: 'paragraph' } as const;
export type Unit = (typeof UNITS)[keyof typeof UNITS];

/** Which way it goes: so many units, or to the edge of the one the caret is in. */
export const WAYS = { l: 'left', r: 'right', u: 'up', d: 'down', a: 'start', z: 'end' } as const;
export type Way = (typeof WAYS)[keyof typeof WAYS];

export interface TextCommand {
  verb: Verb;
  count: number;
  unit: Unit;
  way: Way;
  /** How many characters it is typed with. */
  length: number;
}

const COMMAND = /\\([mscxdvwju])(\d{0,3})([lwsnp]?)([lrudaz]?)$/;

/**
 * The text command that a line ends with: a backslash, then verb, count, unit and way, a letter each ("\d2wl": delete two
 * words to the left). What is left out is one, word, left. Null when the line ends with none.
 */
export function readCommand(line: string): TextCommand | null {
  const match = COMMAND.exec(line);
  if (!match) return null;
  const [typed, verb, count, unit, way] = match;
  const paste = verb === 'v';
  if (paste && typed !== '\\v') return null;
  return {
    verb: VERBS[verb as keyof typeof VERBS],
    count: Math.max(1, Number(count || 1)),
    unit: UNITS[(unit || 'w') as keyof typeof UNITS],
    way: WAYS[(way || 'l') as keyof typeof WAYS],
    length: typed.length,
  };
}

const SAID: Record<Verb, string> = {
  move: 'Move',
  select: 'Select',
  copy: 'Copy',
  cut: 'Cut',
  delete: 'Delete',
  paste: 'Paste what was copied last',
  swap: 'Swap',
  join: 'Join',
  capitalise: 'Capitalise',
};

/** A command in words, as it is offered before its closing key. */
export function commandInWords({ verb, count, unit, way }: TextCommand): string {
  if (verb === 'paste') return SAID.paste;
  const said = SAID[verb];
  if (verb === 'swap') return `Swap the two ${unit}s before the caret`;
  if (verb === 'join')
    return unit === 'paragraph'
      ? 'Join this paragraph to the one before'
      : `Join the two ${unit}s before the caret`;
  if (way === 'start' || way === 'end') return `${said} to the ${way} of the ${unit}`;
  const units = count === 1 ? `one ${unit}` : `${count} ${unit}s`;
  return `${said} ${units} ${way === 'up' || way === 'down' ? way : `to the ${way}`}`;
}
