import { toHtml, toHtmlPage, toMarkdown } from '#core/exchange';
import { plainText, type Passage } from '#core/passage';

/** A file name from a title: no characters that a system forbids. */
const fileName = (title: string, ending: string) =>
  `${
    title
      .replace(/[\\/:*?"<>|\p{C}]+/gu, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, 100) || 'Draft'
  }.${ending}`;

function offer(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // Given back once the browser has surely begun to read it.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

const text = (content: string, type: string) => new Blob([content], { type: `${type};charset=utf-8` });

/** The ways to take a finished text away as a file. */
export const DOWNLOADS = [
  {
    label: 'Word document (docx)',
    save: async (passage: Passage, title: string) => {
      // Half the weight of the page: fetched only by those who want it.
      const { docxBlob } = await import('./docxBlob');
      offer(await docxBlob(passage, title), fileName(title, 'docx'));
    },
  },
  {
    label: 'Markdown',
    save: async (passage: Passage, title: string) =>
      Promise.resolve(offer(text(toMarkdown(passage), 'text/markdown'), fileName(title, 'md'))),
  },
  {
    label: 'Web page (HTML)',
    save: async (passage: Passage, title: string) =>
      Promise.resolve(offer(text(toHtmlPage(passage, title, 'en-GB'), 'text/html'), fileName(title, 'html'))),
  },
  {
    label: 'Plain text',
    save: async (passage: Passage, title: string) =>
      Promise.resolve(offer(text(`${plainText(passage)}\n`, 'text/plain'), fileName(title, 'txt'))),
  },
] as const;

/** Puts a passage on the clipboard: with its formatting and as plain text, so that each box takes what it can. */
export async function copyRich(passage: Passage): Promise<void> {
  const item = new ClipboardItem({
    'text/html': text(toHtml(passage), 'text/html'),
    'text/plain': text(plainText(passage), 'text/plain'),
  });
  await navigator.clipboard.write([item]);
}

/** Puts a passage on the clipboard as plain text alone. */
export async function copyPlain(passage: Passage): Promise<void> {
  await navigator.clipboard.writeText(plainText(passage));
}
