import { readPdf, type Submission } from '#core/submission';
import { withPdf } from './openPdf';
import { pagesOfPdf } from './pdfPages';

export { PdfPictures } from './pdfPictures';

/** Reads a PDF as a submission. `called`: its name, for what is said. Throws an UnreadableFile in words where it cannot be read. */
export const submissionOfPdf = (bytes: Uint8Array, called: string): Promise<Submission> =>
  withPdf(bytes, called, async (pdf) => readPdf(await pagesOfPdf(pdf)).submission);
