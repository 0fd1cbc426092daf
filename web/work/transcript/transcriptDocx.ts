import { Packer } from 'docx';
import { toDocx } from '#core/docx';
import type { Passage } from '#core/passage';

/** A letter takes about so much of a line, in twentieths of a point: of text at 11 points, bold. */
const PER_LETTER = 125;
const MOST_LETTERS = 28;

/** A transcript as a docx file's content, its pages numbered, its words hanging behind labels of so many letters; 0 where they do not. */
export const transcriptDocx = (passage: Passage, title: string, letters: number): Promise<Blob> => {
  const hanging = letters === 0 ? {} : { hanging: (Math.min(letters, MOST_LETTERS) + 2) * PER_LETTER };
  return Packer.toBlob(toDocx(passage, title, { ...hanging, pageNumbers: true }));
};
