import type { Field, Wording } from '#core/entry';
import type { Inline, Line } from '#core/passage';
import type { FoundDoubt } from './doubt';

/** Scripts that part their words by spaces. */
const LETTER = /[\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}]/u;
const WORD_AFTER = /^[\p{Script=Latin}\p{Script=Greek}\p{Script=Cyrillic}]+/u;
/** Endings that belong to the word a blank puts down. */
const ENDING = /^(?:e?s|ed|ing|ly|er|st|nd|rd|th)$/i;
/** English words that something must follow. */
const WANTS_MORE =
  /(?<!\p{L})(?:is|are|was|were|has|had|have|and|or|with|of|the|an?|to|at|from|by|for|in|on|into)\s+$/iu;
const ENDS_HERE = /^\s*(?:[,;:.!?)]|$)/;

/** The word that a text ends in, nothing between; '' for none. From its end: a pattern would try each of its letters. */
function lastWord(text: string): string {
  let from = text.length;
  while (from > 0 && LETTER.test(text[from - 1]!)) from -= 1;
  return text.slice(from);
}

const textOf = (inline: Inline | undefined): string | null => (inline?.type === 'text' ? inline.text : null);

const isAmount = ({ kind }: Field) => kind === 'number' || kind === 'computed' || kind === 'detail';

/** What the field can put down, as far as its author has written it. */
function written(field: Field): readonly string[] {
  switch (field.kind) {
    case 'choice':
      return [...field.options.map(({ words, label }) => words ?? label), field.none ?? ''];
    case 'yes-no':
      return [field.yes, field.no];
    case 'alternates':
      return field.alternates.map(({ words }) => words);
    default:
      return [];
  }
}

/** Whether what a field puts down begins or ends with a sign of its own (a space, a comma), so that no space is missed. */
const bringsItsSpace = (field: Field): boolean =>
  written(field).some((words) => /^[^\p{L}\p{N}]|[^\p{L}\p{N}.!?)]$/u.test(words));

/** Whether a field can be passed over and then puts down nothing at all. */
function canSayNothing(field: Field): boolean {
  if (field.kind === 'yes-no' || field.kind === 'alternates') return written(field).includes('');
  if (field.kind === 'choice' && field.none !== undefined) return field.none === '';
  const starting = 'starting' in field ? (field.starting ?? '') : '';
  const starts = starting !== '' && starting !== 'none';
  return !field.required && !starts && field.kind !== 'detail' && field.kind !== 'computed';
}

const isOptional = (inline: Inline) => inline.marks?.some(({ type }) => type === 'when') ?? false;

function beside(line: Line, index: number, field: Field, from: number): FoundDoubt[] {
  const [before, after] = [textOf(line[index - 1]) ?? '', textOf(line[index + 1]) ?? ''];
  if (isAmount(field) || bringsItsSpace(field)) return [];
  const message = 'There is no space between a word and the blank beside it.';
  const [last, next] = [lastWord(before), WORD_AFTER.exec(after)?.[0]];
  const found: FoundDoubt[] = [];
  if (last) found.push({ code: 'stuck-to-blank', message, from: from - last.length, to: from + 1 });
  if (next && !ENDING.test(next))
    found.push({ code: 'stuck-to-blank', message, from, to: from + 1 + next.length });
  return found;
}

function hole(line: Line, index: number, field: Field, from: number): FoundDoubt[] {
  const [blank, previous] = [line[index]!, line[index - 1]];
  const before = textOf(previous);
  if (before === null || !WANTS_MORE.test(before) || !canSayNothing(field)) return [];
  // Words that come and go with the answer leave no hole.
  if (isOptional(blank) || isOptional(previous!)) return [];
  if (index + 1 < line.length && !ENDS_HERE.test(textOf(line[index + 1]) ?? 'more')) return [];
  const message = `With nothing for “${field.name}” something is missing in the sentence: “${before.trimStart().slice(-30)}…”.`;
  return [{ code: 'hole-when-left-out', message, from, to: from + 1 }];
}

/** A line of several sentences of which the last has no full stop. */
function missingStop(line: Line, length: number): FoundDoubt[] {
  const last = textOf(line.at(-1));
  if (last === null || !/\p{L}\s*$/u.test(last)) return [];
  const words = line.map((inline) => textOf(inline) ?? '_').join('');
  if (!/[\p{L}\p{N}_]{2}[.!?]["”’)]? +\p{Lu}/u.test(words)) return [];
  return [
    {
      code: 'missing-stop',
      message: 'The last sentence has no full stop.',
      from: length - last.trimEnd().length,
      to: length,
    },
  ];
}

/**
 * What is doubtful in a line beside its blanks and at its end: a word stuck to a blank, a hole that is left when nothing is
 * answered (English), a full stop missing after several sentences. Nothing of wordings that join as they are: file names.
 */
export function besideBlanks(
  line: Line,
  { language, joins }: Pick<Wording, 'language' | 'joins'>,
  fields: ReadonlyMap<string, Field>,
): FoundDoubt[] {
  if (joins === 'as-is' || joins === 'closely') return [];
  const isEnglish = /^en\b/i.test(language);
  let at = 0;
  const found = line.flatMap((inline, index): FoundDoubt[] => {
    const from = at;
    at += inline.type === 'text' ? inline.text.length : 1;
    const field = inline.type === 'blank' ? fields.get(inline.attrs.field) : undefined;
    if (inline.type !== 'blank' || !field || inline.attrs.form === 'silent') return [];
    // The form of a plural or of a verb belongs to the word before it.
    if (field.kind === 'person' || inline.attrs.form === 'plural') return [];
    return [...beside(line, index, field, from), ...(isEnglish ? hole(line, index, field, from) : [])];
  });
  return [...found, ...missingStop(line, at)];
}
