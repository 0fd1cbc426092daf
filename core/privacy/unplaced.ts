import type { Placements } from '#core/draft';
import type { Field } from '#core/entry';
import { mapLines, seenMarks, textRun, wordsOfInline, type Inline, type Passage } from '#core/passage';

/**
 * Words taken from a draft, made a wording again: answers go, blanks stay with the fields of the placements
 * they came from, and nothing says any more which draft it was. Fields of two placements that share an id
 * are kept apart by renaming the later one.
 */
export function unplaced(passage: Passage, placements: Placements): { passage: Passage; fields: Field[] } {
  const fields: Field[] = [];
  const renamed = new Map<string, string>();
  const fieldId = (placement: string, id: string): string | null => {
    const key = `${placement} ${id}`;
    const known = renamed.get(key);
    if (known) return known;
    const field = placements[placement]?.fields.find((one) => one.id === id);
    if (!field) return null;
    const same = fields.find((one) => JSON.stringify(one) === JSON.stringify(field));
    let free = same?.id ?? id;
    for (let number = 2; !same && fields.some((one) => one.id === free); number += 1)
      free = `${id}-${number}`;
    if (!same) {
      const namesake = fields.some((one) => one.name.toLowerCase() === field.name.toLowerCase());
      fields.push({ ...field, id: free, name: namesake ? `${field.name} ${fields.length + 1}` : field.name });
    }
    renamed.set(key, free);
    return free;
  };
  const strip = (inline: Inline): Inline[] => {
    const marks = seenMarks(inline.marks);
    const kept = marks.length ? { marks } : {};
    if (inline.type === 'hardBreak') return [{ type: 'hardBreak', ...kept }];
    if (inline.type !== 'blank') return textRun(wordsOfInline(inline), marks);
    // What was asked there but put down no words is not among the words kept.
    if (inline.attrs.form === 'silent') return [];
    const field = fieldId(inline.attrs.placement ?? '', inline.attrs.field);
    if (field === null) return inline.attrs.text ? [{ type: 'text', text: inline.attrs.text, ...kept }] : [];
    const attrs = {
      field,
      form: inline.attrs.form,
      placement: null,
      text: '',
      state: 'gap',
      dropped: 'none',
    } as const;
    return [{ type: 'blank', attrs, ...kept }];
  };
  const stripped = mapLines(passage, (line) => line.flatMap(strip));
  return { passage: { type: 'doc', content: stripped.content }, fields };
}
