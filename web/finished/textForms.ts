import { toHtmlPage, toMarkdown, withAddresses } from '#core/exchange';
import { textFile } from '#client/files';
import { plainText, type Passage } from '#core/passage';

/** A passage as it is taken where there is no formatting: its links as words and address. */
export const asPlain = (passage: Passage): string => plainText(withAddresses(passage));

/** A form in which a finished text is taken away as a file. */
export interface TextForm {
  label: string;
  /** The ending of the file's name. */
  ending: string;
  /** @param language BCP 47 */
  make: (passage: Passage, title: string, language: string) => Promise<Blob>;
}

/** As a Word document. */
export const docxForm: TextForm = {
  label: 'Word document (docx)',
  ending: 'docx',
  make: async (passage, title) => {
    // Half the weight of the page: fetched only by those who want it.
    const { docxBlob } = await import('./docxBlob');
    return docxBlob(passage, title);
  },
};

/** The forms that finished texts can be taken away in. */
export const TEXT_FORMS: readonly TextForm[] = [
  docxForm,
  {
    label: 'Markdown',
    ending: 'md',
    make: (passage) => Promise.resolve(textFile(toMarkdown(passage), 'text/markdown')),
  },
  {
    label: 'Web page (HTML)',
    ending: 'html',
    make: (passage, title, language) =>
      Promise.resolve(textFile(toHtmlPage(passage, title, language), 'text/html')),
  },
  {
    label: 'Plain text',
    ending: 'txt',
    make: (passage) => Promise.resolve(textFile(`${asPlain(passage)}\n`, 'text/plain')),
  },
];
