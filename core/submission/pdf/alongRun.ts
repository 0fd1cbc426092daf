import type { PdfRun } from './pdfPage';

/** From where to where some units of a run reach along its line, in points from its left end. */
export function alongRun({ text, width, edges, isRtl }: PdfRun, first: number, last: number) {
  const edge = (unit: number) => edges?.[unit] ?? (width * unit) / Math.max(1, text.length);
  const [from, to] = [edge(first), edge(last)];
  return isRtl ? { from: width - to, to: width - from } : { from, to };
}
