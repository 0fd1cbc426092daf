import { getSchema } from '@tiptap/core';
import { DOMParser as PassageParser } from '@tiptap/pm/model';
import { DraftDocumentSchema, type DraftDocument } from '#core/draft';
import { isEmptyPassage, LIMITS, type Passage } from '#core/passage';
import { UnreadableFile } from '#client/api';
import { passageExtensions } from '../editor';

/** A passage as a draft with nothing from the bank in it. Throws an UnreadableFile where it is empty or too long for a leaf. */
export function draftOf(passage: Pick<Passage, 'content'>, called: string): DraftDocument {
  const read = DraftDocumentSchema.safeParse({ type: 'doc', ...passage, attrs: { placements: {} } });
  if (!read.success)
    throw new UnreadableFile(
      `${called} is longer than a leaf holds (${LIMITS.characters.toLocaleString()} characters). Nothing was made of it; part it and drop the parts.`,
    );
  if (isEmptyPassage(read.data))
    throw new UnreadableFile(`There is no text in ${called}. Nothing was made of it.`);
  return read.data;
}

/**
 * HTML reduced to a passage, as pasted text is: nothing of it is ever shown as HTML, run or fetched. Tells how many pictures were left
 * out. However long it is.
 */
export function passageOfHtml(html: string): { passage: Passage; pictures: number } {
  // A document of its own: its scripts never run, its pictures are never fetched.
  const page = new DOMParser().parseFromString(html, 'text/html');
  const pictures = page.querySelectorAll('img').length;
  const doc = PassageParser.fromSchema(getSchema(passageExtensions('draft'))).parse(page.body);
  const { content } = doc.toJSON() as Passage;
  return { passage: { type: 'doc', content }, pictures };
}
