import { blankLabel, excerpt, mapLines, type Inline } from '#core/passage';
import type { EntryContent } from './entry';
import { mainPassage } from './fieldsOfContent';

/** The beginning of an entry's wording in so many letters, its blanks told by the names of their fields: "‹Name› came in". */
export function excerptOfEntry(content: EntryContent, letters: number): string {
  const names = new Map(content.fields.map(({ id, name }) => [id, name]));
  const named = (inline: Inline): Inline =>
    inline.type === 'blank'
      ? { type: 'text', text: `‹${blankLabel(names.get(inline.attrs.field) ?? '', inline.attrs.form)}›` }
      : inline;
  return excerpt(
    mapLines(mainPassage(content), (line) => line.map(named)),
    letters,
  );
}
