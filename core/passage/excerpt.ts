import type { Passage } from './passage';
import { plainText } from './plainText';

/** The first `length` characters of a passage on one line, cut at a word, with an ellipsis when cut. */
export function excerpt(passage: Passage, length: number): string {
  const text = plainText(passage, '____').replace(/\s+/g, ' ').trim();
  if (text.length <= length) return text;
  const cut = text.slice(0, length);
  const space = cut.lastIndexOf(' ');
  return `${cut.slice(0, space > length / 2 ? space : length).trimEnd()}…`;
}
