import { OPS, type PDFPageProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { PdfRun } from '#core/submission';

/** How wide letters are, by what they stand for: of ligatures by all of their letters. In thousandths of the size. */
type Widths = Map<string, number>;

interface Glyph {
  unicode: string;
  width: number;
}

/** The widths of the letters that a page shows, by the font that they are of. */
export async function widthsOfPage(page: PDFPageProxy): Promise<Map<string, Widths>> {
  const fonts = new Map<string, Widths>();
  const { fnArray, argsArray } = await page.getOperatorList();
  let widths: Widths = new Map();
  fnArray.forEach((operator, at) => {
    const args = argsArray[at] as unknown[];
    if (operator === OPS.setFont) {
      const name = String(args[0]);
      widths = fonts.get(name) ?? new Map<string, number>();
      fonts.set(name, widths);
    } else if (operator === OPS.showText)
      for (const glyph of args[0] as readonly (Glyph | number | null)[])
        // Numbers between them move the next one.
        if (glyph && typeof glyph === 'object') widths.set(glyph.unicode.normalize('NFKC'), glyph.width);
  });
  return fonts;
}

const LONGEST_LIGATURE = 4;

/** The letters that one shape of a font shows at a place of a text, and how wide it is. */
function shapeAt(text: string, at: number, widths: Widths): { length: number; width: number | undefined } {
  for (let length = Math.min(LONGEST_LIGATURE, text.length - at); length > 1; length -= 1) {
    const width = widths.get(text.slice(at, at + length));
    if (width !== undefined) return { length, width };
  }
  return { length: 1, width: widths.get(text[at]!) };
}

/** Where each unit of a run begins along its line, and where the last one ends, in points: by the widths of its letters, fitted to the run. */
export function edgesByWidths({ text, width }: PdfRun, widths: Widths): number[] {
  const known = [...widths.values()];
  const usual = known.length > 0 ? known.reduce((sum, one) => sum + one, 0) / known.length : 500;
  const edges = [0];
  for (let at = 0; at < text.length;) {
    const shape = shapeAt(text, at, widths);
    const each = (shape.width ?? usual) / shape.length;
    for (let unit = 0; unit < shape.length; unit += 1) edges.push(edges.at(-1)! + each);
    at += shape.length;
  }
  const whole = edges.at(-1)! || 1;
  return edges.map((edge) => (edge / whole) * width);
}
