import {
  getDocument,
  GlobalWorkerOptions,
  InvalidPDFException,
  type PDFDocumentProxy,
  type PDFWorker,
} from 'pdfjs-dist/legacy/build/pdf.mjs';
import { UnreadableFile } from '#client/api';

/** In a browser: what pdf.js asks for by name, and its worker. Elsewhere it finds both itself. */
async function surroundings() {
  if (typeof Worker === 'undefined') return {};
  const { PdfFiles, workerAddress } = await import('./pdfFiles');
  GlobalWorkerOptions.workerSrc = workerAddress;
  return { BinaryDataFactory: PdfFiles, useWorkerFetch: false };
}

function whyNot(error: unknown): string {
  if (error instanceof Error && error.name === 'PasswordException')
    return 'it is locked with a password. Save it without one, or ask for it so';
  if (error instanceof InvalidPDFException) return 'it is no PDF, or not the whole of one';
  return 'something in it is not as it should be. Open it elsewhere, and save it anew';
}

/**
 * Opens a PDF; nothing in it is run. `called`: its name, for what is said. `worker`: the thread that reads it, where several files share one.
 * Its `loadingTask` is to be destroyed when one is done. Throws an UnreadableFile where it cannot be opened.
 */
export async function openPdf(
  bytes: Uint8Array,
  called: string,
  worker?: PDFWorker,
): Promise<PDFDocumentProxy> {
  const around = await surroundings();
  const loading = getDocument({
    ...around,
    ...(worker && { worker }),
    // The bytes go to the worker, and are gone here.
    data: bytes.slice(),
    ...{ isEvalSupported: false, enableXfa: false, fontExtraProperties: true, verbosity: 0 },
  });
  try {
    return await loading.promise;
  } catch (error) {
    await loading.destroy();
    throw unreadable(called, error);
  }
}

const unreadable = (called: string, error: unknown) =>
  new UnreadableFile(`${called} cannot be read: ${whyNot(error)}. Nothing was made of it.`);

/** Does something with a PDF, and lets go of it. Throws an UnreadableFile where it cannot be opened, or is damaged. */
export async function withPdf<T>(
  bytes: Uint8Array,
  called: string,
  work: (pdf: PDFDocumentProxy) => Promise<T>,
  worker?: PDFWorker,
): Promise<T> {
  const pdf = await openPdf(bytes, called, worker);
  try {
    return await work(pdf);
  } catch (error) {
    throw error instanceof UnreadableFile ? error : unreadable(called, error);
  } finally {
    await pdf.loadingTask.destroy();
  }
}
