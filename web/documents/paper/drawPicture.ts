import { UnreadableFile } from '#client/api';

/** A picture with more points is not drawn: unpacked it would take more than a gigabyte. */
const MOST_POINTS = 260_000_000;

const cannot = (called: string, why: string) => new UnreadableFile(`${called} cannot be shown: ${why}.`);

/** Draws something on a canvas as wide as that stands, as sharp as the screen shows it, or as wide as it is where that is less. */
function fit(
  canvas: HTMLCanvasElement,
  { width, height }: { width: number; height: number },
  draw: (context: CanvasRenderingContext2D, width: number, height: number) => void,
): void {
  const wanted = Math.max(canvas.clientWidth, 100) * Math.min(devicePixelRatio, 2);
  const scale = Math.min(1, wanted / width);
  canvas.width = Math.max(1, Math.round(width * scale));
  canvas.height = Math.max(1, Math.round(height * scale));
  const context = canvas.getContext('2d');
  if (context) draw(context, canvas.width, canvas.height);
}

/**
 * A page of a TIFF, counted from 1, as points of four bytes each, and how many there are. Throws an UnreadableFile where it is too large, or
 * not there; what the library throws where it is damaged.
 */
export async function tiffPage(file: File, page: number): Promise<{ pages: number; picture: ImageData }> {
  const { decode, decodeImage, toRGBA8 } = await import('utif2');
  const buffer = await file.arrayBuffer();
  const pages = decode(buffer).filter((one) => one.t256 !== undefined);
  const one = pages[page - 1];
  if (!one) throw cannot(file.name, 'it holds no picture');
  const [width, height] = [(one.t256 as number[])[0]!, (one.t257 as number[])[0]!];
  if (width * height > MOST_POINTS) throw cannot(file.name, 'it is too large');
  decodeImage(buffer, one);
  const points = new Uint8ClampedArray(toRGBA8(one));
  return { pages: pages.length, picture: new ImageData(points, one.width, one.height) };
}

/**
 * Draws a picture on a canvas: PNG, JPEG, GIF and WebP as the browser reads them, TIFF page by page. Gives how many pages it has. Throws an
 * UnreadableFile where it cannot be drawn.
 */
export async function drawPicture(
  file: File,
  isTiff: boolean,
  canvas: HTMLCanvasElement,
  page = 1,
): Promise<number> {
  try {
    const { pages, picture } = isTiff ? await tiffPage(file, page) : { pages: 1, picture: file };
    const bitmap = await createImageBitmap(picture);
    fit(canvas, bitmap, (context, width, height) => context.drawImage(bitmap, 0, 0, width, height));
    bitmap.close();
    return pages;
  } catch (error) {
    throw error instanceof UnreadableFile
      ? error
      : cannot(file.name, 'it is damaged, too large, or of a sort that is not read here');
  }
}
