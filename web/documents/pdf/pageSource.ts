import { UnreadableFile } from '#client/api';
import { isPdf } from './isPdf';
import { openPdf } from './openPdf';

/** A page as it is shown, in points (1/72 inch), turned as its file says. */
export interface PageSize {
  width: number;
  height: number;
}

/** The pages of a file that can be marked, drawn one by one. */
export interface PageSource {
  count: number;
  /** `page` is counted from 0, here and below. */
  size: (page: number) => Promise<PageSize>;
  /** Draws a page on a canvas with so many of its points to one of the page, as far as a canvas can hold them. */
  draw: (page: number, canvas: HTMLCanvasElement, scale: number) => Promise<void>;
  /** The words of a page, for looking through them; '' where it has none. */
  words: (page: number) => Promise<string>;
  close: () => void;
}

/** More points no canvas takes in every browser; a page of metres is drawn less sharp. */
const MOST_POINTS = 24_000_000;
const MOST_SIDE = 8192;
/** Points of a picture to one of the page: 96 to the inch. */
export const PICTURE_SCALE = 0.75;

/** The largest scale up to the one wanted at which a canvas holds a page. */
const drawnScale = ({ width, height }: PageSize, wanted: number): number =>
  Math.min(wanted, MOST_SIDE / Math.max(width, height), Math.sqrt(MOST_POINTS / (width * height)));

async function pdfSource(bytes: Uint8Array, called: string): Promise<PageSource> {
  const pdf = await openPdf(bytes, called);
  const viewport = async (page: number, scale: number) =>
    (await pdf.getPage(page + 1)).getViewport({ scale });
  const size = async (page: number) => {
    const { width, height } = await viewport(page, 1);
    return { width, height };
  };
  return {
    count: pdf.numPages,
    size,
    draw: async (page, canvas, wanted) => {
      const view = await viewport(page, drawnScale(await size(page), wanted));
      canvas.width = Math.max(1, Math.round(view.width));
      canvas.height = Math.max(1, Math.round(view.height));
      const drawn = await pdf.getPage(page + 1);
      // Its own annotations are shown too: nothing that came in is hidden.
      await drawn.render({ canvas, viewport: view }).promise;
      drawn.cleanup();
    },
    words: async (page) => {
      const { items } = await (await pdf.getPage(page + 1)).getTextContent();
      return items.map((item) => ('str' in item ? item.str + (item.hasEOL ? '\n' : ' ') : '')).join('');
    },
    close: () => void pdf.loadingTask.destroy(),
  };
}

async function pictureSource(file: File): Promise<PageSource> {
  const bitmap = await createImageBitmap(file).catch(() => {
    throw new UnreadableFile(
      `${file.name} cannot be shown: it is damaged, too large, or of a sort that is not read here. Nothing was made of it.`,
    );
  });
  const size = { width: bitmap.width * PICTURE_SCALE, height: bitmap.height * PICTURE_SCALE };
  return {
    count: 1,
    size: () => Promise.resolve(size),
    draw: (_page, canvas, wanted) => {
      const scale = drawnScale(size, wanted);
      canvas.width = Math.max(1, Math.round(size.width * scale));
      canvas.height = Math.max(1, Math.round(size.height * scale));
      canvas.getContext('2d')?.drawImage(bitmap, 0, 0, canvas.width, canvas.height);
      return Promise.resolve();
    },
    words: () => Promise.resolve(''),
    close: () => bitmap.close(),
  };
}

/** Opens a PDF or a picture to be marked. Throws an UnreadableFile in words where it cannot be. */
export async function openPages(file: File): Promise<PageSource> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  return isPdf(bytes) ? pdfSource(bytes, file.name) : pictureSource(file);
}
