import { UnreadableFile } from '#client/api';
import { tiffPage } from '../paper/drawPicture';
import { pictureKind } from '../pictureKind';
import { isPdf } from './isPdf';
import { openPdf } from './openPdf';
import { notesOfPage, runsOfPage, type PageNote } from './pdfPages';
import type { PdfRun } from '#core/submission';

/** A page as it is shown, in points (1/72 inch), turned as its file says. */
export interface PageSize {
  width: number;
  height: number;
}

/** A part of a page: where it begins, and how large it is, in points. */
export interface PagePart extends PageSize {
  x: number;
  y: number;
}

/** The pages of a file that can be marked, drawn one by one. */
export interface PageSource {
  count: number;
  /** `page` is counted from 0, here and below. */
  size: (page: number) => Promise<PageSize>;
  /**
   * Draws a page, or a part of it, on a canvas with so many of its points to one of the page, as far as a canvas can hold them. Gives how many
   * these are.
   */
  draw: (page: number, canvas: HTMLCanvasElement, scale: number, part?: PagePart) => Promise<number>;
  /** The words of a page and where they stand, for looking through them; a picture has none. */
  runs: (page: number) => Promise<readonly PdfRun[]>;
  /** What others have remarked on a page. */
  notes: (page: number) => Promise<readonly PageNote[]>;
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

/** Makes a canvas as large as a part of a page is at a scale. */
function fit(canvas: HTMLCanvasElement, { width, height }: PageSize, scale: number): void {
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
}

async function pdfSource(bytes: Uint8Array, called: string): Promise<PageSource> {
  const pdf = await openPdf(bytes, called);
  const size = async (page: number) => {
    const { width, height } = (await pdf.getPage(page + 1)).getViewport({ scale: 1 });
    return { width, height };
  };
  return {
    count: pdf.numPages,
    size,
    draw: async (page, canvas, wanted, part) => {
      const drawn = await pdf.getPage(page + 1);
      const { x, y, ...seen } = part ?? { x: 0, y: 0, ...(await size(page)) };
      const scale = drawnScale(seen, wanted);
      fit(canvas, seen, scale);
      const viewport = drawn.getViewport({ scale, offsetX: -x * scale, offsetY: -y * scale });
      // Its own annotations are shown too: nothing that came in is hidden.
      await drawn.render({ canvas, viewport }).promise;
      drawn.cleanup();
      return scale;
    },
    runs: async (page) => runsOfPage(await pdf.getPage(page + 1)),
    notes: async (page) => notesOfPage(await pdf.getPage(page + 1)),
    close: () => void pdf.loadingTask.destroy(),
  };
}

/** The pictures of a file, decoded as they are asked for; the last one stays decoded. */
class Pictures {
  private held: { page: number; bitmap: Promise<ImageBitmap> } | null = null;

  constructor(
    private readonly file: File,
    private readonly isTiff: boolean,
  ) {}

  private async decoded(page: number): Promise<ImageBitmap> {
    try {
      return await createImageBitmap(this.isTiff ? (await tiffPage(this.file, page + 1)).picture : this.file);
    } catch (error) {
      if (error instanceof UnreadableFile) throw error;
      throw new UnreadableFile(
        `${this.file.name} cannot be shown: it is damaged, too large, or of a sort that is not read here. Nothing was made of it.`,
      );
    }
  }

  private letGo(): void {
    void this.held?.bitmap.then(
      (bitmap) => bitmap.close(),
      () => undefined,
    );
    this.held = null;
  }

  at(page: number): Promise<ImageBitmap> {
    if (this.held?.page !== page) {
      this.letGo();
      this.held = { page, bitmap: this.decoded(page) };
    }
    return this.held.bitmap;
  }

  close(): void {
    this.letGo();
  }
}

async function pictureSource(file: File, isTiff: boolean): Promise<PageSource> {
  const pictures = new Pictures(file, isTiff);
  const size = async (page: number) => {
    const { width, height } = await pictures.at(page);
    return { width: width * PICTURE_SCALE, height: height * PICTURE_SCALE };
  };
  // What cannot be shown is told when it is opened.
  await pictures.at(0);
  return {
    count: isTiff ? (await tiffPage(file, 1)).pages : 1,
    size,
    draw: async (page, canvas, wanted, part) => {
      const { x, y, width, height } = part ?? { x: 0, y: 0, ...(await size(page)) };
      const scale = drawnScale({ width, height }, wanted);
      fit(canvas, { width, height }, scale);
      const [left, top, wide, high] = [x, y, width, height].map((one) => one / PICTURE_SCALE) as [
        ...[number, number, number, number],
      ];
      canvas
        .getContext('2d')
        ?.drawImage(await pictures.at(page), left, top, wide, high, 0, 0, canvas.width, canvas.height);
      return scale;
    },
    runs: () => Promise.resolve([]),
    notes: () => Promise.resolve([]),
    close: () => pictures.close(),
  };
}

/** Whether a picture says that it is to be shown turned, as cameras do (EXIF, orientation). */
export async function isTurned(bytes: Uint8Array): Promise<boolean> {
  const { default: exifr } = await import('exifr');
  const orientation = await exifr.orientation(bytes).catch(() => undefined);
  return orientation !== undefined && orientation !== 1;
}

/** Opens a PDF or a picture (PNG, JPEG, WebP, GIF, TIFF) to be marked. Throws an UnreadableFile in words where it cannot be. */
export async function openPages(file: File): Promise<PageSource> {
  const bytes = new Uint8Array(await file.arrayBuffer());
  return isPdf(bytes) ? pdfSource(bytes, file.name) : pictureSource(file, pictureKind(bytes) === 'tiff');
}
