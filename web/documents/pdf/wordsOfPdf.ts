import { PDFDateString, PDFWorker } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { withPdf } from './openPdf';

/** What a PDF says of itself, and its first words. */
export interface PdfWords {
  text: string;
  title: string;
  author: string;
  /** When it was made; null where it does not say. */
  made: Date | null;
  pages: number;
}

/** So many of the first pages are read, and the last: what a paper is, stands at its head or its foot. */
const READ_FIRST = 3;

const textOf = (found: unknown): string => (typeof found === 'string' ? found.trim() : '');

let shared: PDFWorker | null = null;

/** One thread reads all: made anew for each file it would take longer than the reading. None where there are no workers. */
async function sharedWorker(): Promise<PDFWorker | undefined> {
  if (typeof Worker === 'undefined') return undefined;
  if (!shared || shared.destroyed) {
    const { workerAddress } = await import('./pdfFiles');
    shared = PDFWorker.create({ port: new Worker(workerAddress, { type: 'module' }) });
  }
  return shared;
}

/** The first words of a PDF and what its properties say; no page is drawn. Throws an UnreadableFile where it cannot be opened. */
export async function wordsOfPdf(bytes: Uint8Array, called: string): Promise<PdfWords> {
  const worker = await sharedWorker();
  return withPdf(
    bytes,
    called,
    async (pdf) => {
      const info = (await pdf.getMetadata()).info as Record<string, unknown>;
      const numbers = [...Array(Math.min(READ_FIRST, pdf.numPages)).keys()].map((at) => at + 1);
      if (pdf.numPages > READ_FIRST) numbers.push(pdf.numPages);
      const texts: string[] = [];
      for (const number of numbers) {
        const page = await pdf.getPage(number);
        const { items } = await page.getTextContent();
        texts.push(items.map((item) => ('str' in item ? item.str + (item.hasEOL ? '\n' : '') : '')).join(''));
        page.cleanup();
      }
      return {
        text: texts.join('\n'),
        ...{ title: textOf(info.Title), author: textOf(info.Author), pages: pdf.numPages },
        made: PDFDateString.toDateObject(textOf(info.CreationDate)),
      };
    },
    worker,
  );
}
