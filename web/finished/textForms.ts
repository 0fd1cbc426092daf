import { FILE_FORMATS, TEXT_FORMATS, writtenAs, type FormatName } from '#core/exchange';
import { fileOf } from '#client/files';
import type { Passage } from '#core/passage';

/** A form in which a finished text is taken away as a file. */
export interface TextForm {
  label: string;
  format: FormatName;
  /** @param language BCP 47 */
  make: (passage: Passage, title: string, language: string) => Promise<Blob>;
}

/** As a Word document. */
export const docxForm: TextForm = {
  label: FILE_FORMATS.docx.label,
  format: 'docx',
  make: async (passage, title) => {
    // Half the weight of the page: fetched only by those who want it.
    const { docxBlob } = await import('./docxBlob');
    return docxBlob(passage, title);
  },
};

/** The forms that finished texts can be taken away in. */
export const TEXT_FORMS: readonly TextForm[] = [
  docxForm,
  ...TEXT_FORMATS.map((format) => ({
    label: FILE_FORMATS[format].label,
    format,
    make: (passage: Passage, title: string, language: string) =>
      Promise.resolve(fileOf(format, writtenAs(format, passage, { title, language }))),
  })),
];
