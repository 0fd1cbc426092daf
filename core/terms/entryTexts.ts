import { mapNestedWords, nestedWordsOf, type EntryContent, type Field } from '#core/entry';
import { lineText, linesOf, mapLines } from '#core/passage';
import { withEdits, type Edit } from './editLine';

/** Where a text of an entry stands: which line of which part (of `linesOf`), or which of the words that a field puts down. */
export type TextAt =
  | { in: 'title' }
  | { in: 'purpose' }
  | { in: 'wording'; wording: string; part: string; line: number }
  | { in: 'field'; field: string; words: number };

/** A text of an entry that people read: in a line one sign stands for each blank, break or other node. */
export interface EntryText {
  at: TextAt;
  text: string;
}

/** Some characters of a text of an entry (UTF-16), and what is put in their place. */
export interface TextEdit extends Edit {
  at: TextAt;
}

/** The words that a field puts down: of an option without words of its own its label. */
const fieldTexts = (field: Field): string[] =>
  field.kind === 'choice'
    ? [...field.options.map(({ words, label }) => words ?? label), field.none ?? '']
    : nestedWordsOf(field).map(({ words }) => words);

/** The field with each of its texts put through `change`. */
function mapFieldTexts(field: Field, change: (text: string, at: number) => string): Field {
  let index = -1;
  if (field.kind !== 'choice') return mapNestedWords(field, (words) => change(words, (index += 1)));
  const options = field.options.map((option, at) =>
    option.words === null
      ? { ...option, label: change(option.label, at) }
      : { ...option, words: change(option.words, at) },
  );
  const none = field.none && change(field.none, options.length);
  return { ...field, options, ...(none === undefined ? {} : { none }) };
}

const BLANK_IN_WORDS = /\{[^{}]*\}/g;

/** All texts of an entry: title, purpose, wordings, words that its fields put down (names of blanks in them made signs). */
export function entryTexts(content: EntryContent): EntryText[] {
  const { title, purpose, wordings, fields } = content;
  const head: EntryText[] = [
    { at: { in: 'title' }, text: title },
    { at: { in: 'purpose' }, text: purpose },
  ];
  const lines = wordings.flatMap((wording) =>
    wording.parts.flatMap((part) =>
      linesOf(part.passage).map((line, at): EntryText => ({
        at: { in: 'wording', wording: wording.id, part: part.id, line: at },
        text: lineText(line),
      })),
    ),
  );
  const put = fields.flatMap((field) =>
    fieldTexts(field).map((words, at): EntryText => ({
      at: { in: 'field', field: field.id, words: at },
      text: words.replace(BLANK_IN_WORDS, (blank) => '\uFFFC'.repeat(blank.length)),
    })),
  );
  return [...head, ...lines, ...put].filter(({ text }) => text !== '');
}

const inText = (text: string, edits: readonly Edit[]) =>
  [...edits]
    .sort((a, b) => b.from - a.from)
    .reduce((left, { from, to, put }) => left.slice(0, from) + put + left.slice(to), text);

/** The entry with its texts edited; edits of one text must not overlap. The same object where there are none. */
export function editTexts(content: EntryContent, edits: readonly TextEdit[]): EntryContent {
  if (edits.length === 0) return content;
  const of = (isHere: (at: TextAt) => boolean) => edits.filter(({ at }) => isHere(at));
  const wordings = content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) => {
      const here = of((at) => at.in === 'wording' && at.wording === wording.id && at.part === part.id);
      if (here.length === 0) return part;
      let index = -1;
      const passage = mapLines(part.passage, (line) => {
        index += 1;
        const inLine = here.filter(({ at }) => at.in === 'wording' && at.line === index);
        return inLine.length === 0 ? line : withEdits(line, inLine);
      });
      return { ...part, passage };
    }),
  }));
  const fields = content.fields.map((field) => {
    const here = of((at) => at.in === 'field' && at.field === field.id);
    if (here.length === 0) return field;
    return mapFieldTexts(field, (text, index) =>
      inText(
        text,
        here.filter(({ at }) => at.in === 'field' && at.words === index),
      ),
    );
  });
  return {
    ...content,
    title: inText(
      content.title,
      of((at) => at.in === 'title'),
    ),
    purpose: inText(
      content.purpose,
      of((at) => at.in === 'purpose'),
    ),
    wordings,
    fields,
  };
}
