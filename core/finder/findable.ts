import type { EntryContent } from '#core/entry';
import { plainText } from '#core/passage';
import { plainWord, wordsOf } from './words';

/** What the finder knows of an entry. */
export interface Findable {
  id: string;
  title: string;
  purpose: string;
  wording: string;
  cues: string[];
  tags: string[];
}

/** An entry as the finder knows it; `leadIn` is that of its collection, which its cues are typed after. */
export function findable(id: string, content: EntryContent, leadIn: string): Findable {
  const { title, purpose, tags, wordings, cues } = content;
  return {
    id,
    title,
    purpose,
    wording: wordings.flatMap(({ parts }) => parts.map(({ passage }) => plainText(passage))).join('\n'),
    cues: cues.flatMap(({ text }) => [text, leadIn + text]),
    tags,
  };
}

/** The words, in their plain form and each once, by which an entry is found: of its head (title, cues, tags), and all of them. */
export function wordsToFind({ title, purpose, wording, cues, tags }: Findable): {
  head: string[];
  all: string[];
} {
  const plain = (texts: readonly string[]) => texts.flatMap((text) => wordsOf(text).map(plainWord));
  const head = new Set(plain([title, ...cues, ...tags]));
  return { head: [...head], all: [...new Set([...head, ...plain([purpose, wording])])] };
}
