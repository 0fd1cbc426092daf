import { toHtml, toHtmlPage, toMarkdown, withAddresses } from '#core/exchange';
import { fileName, offerFile, textFile } from '#client/files';
import { plainText, type Passage } from '#core/passage';

/** A passage as it is taken where there is no formatting: its links as words and address. */
export const asPlain = (passage: Passage): string => plainText(withAddresses(passage));

/** The ways to take a finished text away as a file, with its title and the language it is in. */
export const DOWNLOADS = [
  {
    label: 'Word document (docx)',
    save: async (passage: Passage, title: string) => {
      // Half the weight of the page: fetched only by those who want it.
      const { docxBlob } = await import('./docxBlob');
      offerFile(await docxBlob(passage, title), fileName(title, 'docx'));
    },
  },
  {
    label: 'Markdown',
    save: async (passage: Passage, title: string) =>
      Promise.resolve(offerFile(textFile(toMarkdown(passage), 'text/markdown'), fileName(title, 'md'))),
  },
  {
    label: 'Web page (HTML)',
    save: async (passage: Passage, title: string, language: string) =>
      Promise.resolve(
        offerFile(textFile(toHtmlPage(passage, title, language), 'text/html'), fileName(title, 'html')),
      ),
  },
  {
    label: 'Plain text',
    save: async (passage: Passage, title: string) =>
      Promise.resolve(offerFile(textFile(`${asPlain(passage)}\n`, 'text/plain'), fileName(title, 'txt'))),
  },
] as const;

/** Puts a passage on the clipboard: with its formatting and as plain text, so that each box takes what it can. */
export async function copyRich(passage: Passage): Promise<void> {
  const item = new ClipboardItem({
    'text/html': textFile(toHtml(passage), 'text/html'),
    'text/plain': textFile(asPlain(passage), 'text/plain'),
  });
  await navigator.clipboard.write([item]);
}

/** Puts a passage on the clipboard as plain text alone. */
export async function copyPlain(passage: Passage): Promise<void> {
  await navigator.clipboard.writeText(asPlain(passage));
}
