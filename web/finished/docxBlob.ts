import { Packer } from 'docx';
import { toDocx } from '#core/docx';
import type { Passage } from '#core/passage';

/** A passage as a docx file's content. */
export const docxBlob = (passage: Passage, title: string): Promise<Blob> =>
  Packer.toBlob(toDocx(passage, title));
