import type { PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import { openPdf } from './openPdf';

/** Pages of a PDF, to be drawn one by one. */
export class PdfPictures {
  private constructor(private readonly pdf: PDFDocumentProxy) {}

  /** `called`: its name, for what is said. Throws an UnreadableFile where it cannot be opened. */
  static async of(bytes: Uint8Array, called: string): Promise<PdfPictures> {
    return new PdfPictures(await openPdf(bytes, called));
  }

  get count(): number {
    return this.pdf.numPages;
  }

  /** Draws a page, counted from 1, on a canvas as wide as it stands there, as sharp as the screen shows it. */
  async draw(number: number, canvas: HTMLCanvasElement): Promise<void> {
    const page = await this.pdf.getPage(number);
    const { width } = page.getViewport({ scale: 1 });
    const wanted = Math.max(canvas.clientWidth, 100) * Math.min(devicePixelRatio, 2);
    const viewport = page.getViewport({ scale: wanted / width });
    canvas.width = Math.floor(viewport.width);
    canvas.height = Math.floor(viewport.height);
    await page.render({ canvas, viewport }).promise;
    page.cleanup();
  }

  /** Lets go of the file. */
  close(): void {
    void this.pdf.loadingTask.destroy();
  }
}
