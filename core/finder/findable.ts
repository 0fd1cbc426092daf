import type { EntryContent, Field } from '#core/entry';
import { plainText } from '#core/passage';
import { plainWord, searchWords } from './words';

/** What the finder knows of an entry. */
export interface Findable {
  id: string;
  title: string;
  purpose: string;
  wording: string;
  cues: string[];
  tags: string[];
}

/** What a field puts down by being picked: it stands in no wording, and is looked for all the same. */
function wordsToPick(field: Field): string[] {
  switch (field.kind) {
    case 'choice':
      return field.options.flatMap(({ label, words }) => (words === null ? [label] : [label, words]));
    case 'yes-no':
      return [field.yes, field.no];
    case 'alternates':
      return field.alternates.map(({ words }) => words);
    default:
      return [];
  }
}

/** An entry as the finder knows it; `leadIn` is that of its collection, which its cues are typed after. */
export function findable(id: string, content: EntryContent, leadIn: string): Findable {
  const { title, purpose, tags, wordings, cues, fields } = content;
  return {
    id,
    title,
    purpose,
    wording: [
      ...wordings.flatMap(({ parts }) => parts.map(({ passage }) => plainText(passage))),
      ...fields.flatMap(wordsToPick),
    ].join('\n'),
    cues: cues.flatMap(({ text }) => [text, leadIn + text]),
    tags,
  };
}

/** The words, in their plain form and each once, by which an entry is found: of its head (title, cues, tags), and all of them. */
export function wordsToFind({ title, purpose, wording, cues, tags }: Findable): {
  head: string[];
  all: string[];
} {
  const plain = (texts: readonly string[]) => texts.flatMap((text) => searchWords(text).map(plainWord));
  const head = new Set(plain([title, ...cues, ...tags]));
  return { head: [...head], all: [...new Set([...head, ...plain([purpose, wording])])] };
}
