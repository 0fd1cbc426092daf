import {
  PDFDateString,
  Util,
  type PageViewport,
  type PDFDocumentProxy,
  type PDFPageProxy,
} from 'pdfjs-dist/legacy/build/pdf.mjs';
import { edgesByWidths, widthsOfPage } from './glyphEdges';
import type { PdfPage, PdfRectangle, PdfRemark, PdfRun } from '#core/submission';

/** How the letters of a font look. */
interface FontLook {
  isBold: boolean;
  isItalic: boolean;
}

type TextItem = Extract<
  Awaited<ReturnType<PDFPageProxy['getTextContent']>>['items'][number],
  { str: string }
>;

/** To learn how fonts look, so many pages are looked at more closely at the most: it takes time where they hold pictures. */
const MOST_LOOKED_AT = 12;

/** What a font is called in a file: behind the six letters of those that are only held in part. */
const lookOf = (name: string): FontLook => ({
  isBold: /bold|black|heavy|semibold|demi/i.test(name),
  isItalic: /italic|oblique|slanted/i.test(name),
});

/** The looks of the fonts of a file, found as pages name them. */
class Fonts {
  private readonly looks = new Map<string, FontLook>();
  private looked = 0;

  async ofPage(page: PDFPageProxy, names: Iterable<string>): Promise<void> {
    const unknown = [...names].filter((name) => !this.looks.has(name));
    if (unknown.length === 0 || this.looked >= MOST_LOOKED_AT) return;
    this.looked += 1;
    // Only then are they at hand.
    await page.getOperatorList();
    for (const name of unknown) {
      const found = page.commonObjs.has(name)
        ? (page.commonObjs.get(name) as { name?: string } | null)
        : null;
      this.looks.set(name, lookOf(found?.name ?? ''));
    }
  }

  look(name: string): FontLook {
    return this.looks.get(name) ?? { isBold: false, isItalic: false };
  }
}

/** Nearly level is level: what is turned by a hair is so by rounding. */
const turned = (angle: number): number => (Math.abs(angle) < 0.01 ? 0 : angle);

function runOf(item: TextItem, viewport: PageViewport, look: FontLook): PdfRun {
  const [a, b, c, d, e, f] = Util.transform(viewport.transform, item.transform) as number[];
  const scale = Math.hypot(viewport.transform[0]!, viewport.transform[1]!);
  return {
    ...{ text: item.str, x: e!, y: f!, width: item.width * scale, size: Math.hypot(c!, d!) },
    ...{ angle: turned(Math.atan2(b!, a!)), font: item.fontName, ...look, isRtl: item.dir === 'rtl' },
  };
}

/** What an annotation is, of what pdf.js says of it; it tells more of some. */
interface Annotation {
  /** The object that it is in its file ("12R", "12R1"), or a name of pdf.js's own where it is none. */
  id: string;
  /** The object of the annotation that it answers. */
  inReplyTo?: string | null;
  subtype: string;
  rect: number[];
  quadPoints?: ArrayLike<number> | null;
  contentsObj?: { str: string };
  titleObj?: { str: string };
  modificationDate?: string | null;
}

const SAYING = new Set(['Highlight', 'Underline', 'Squiggly', 'StrikeOut', 'Text', 'FreeText', 'Caret']);

function rectangleOf(viewport: PageViewport, corners: readonly number[]): PdfRectangle {
  const xs: number[] = [];
  const ys: number[] = [];
  for (let at = 0; at + 1 < corners.length; at += 2) {
    const [x, y] = viewport.convertToViewportPoint(corners[at]!, corners[at + 1]!) as [number, number];
    xs.push(x);
    ys.push(y);
  }
  return { left: Math.min(...xs), right: Math.max(...xs), top: Math.min(...ys), bottom: Math.max(...ys) };
}

function remarkOf(annotation: Annotation, viewport: PageViewport): PdfRemark | null {
  const text = annotation.contentsObj?.str.trim() ?? '';
  if (text === '' || !SAYING.has(annotation.subtype)) return null;
  const quads = [...Array.from(annotation.quadPoints ?? [])];
  const on: PdfRectangle[] = [];
  for (let at = 0; at + 8 <= quads.length; at += 8) on.push(rectangleOf(viewport, quads.slice(at, at + 8)));
  const written = PDFDateString.toDateObject(annotation.modificationDate ?? '');
  return {
    author: annotation.titleObj?.str ?? '',
    at: written ? written.toISOString() : '',
    text,
    on: on.length > 0 ? on : [rectangleOf(viewport, annotation.rect)],
  };
}

/**
 * Pages with exact places of their letters, where before each letter of a run was as wide as any other. `which`: the pages, counted from
 * 0. It takes longer: what is drawn is gone through.
 */
export async function withEdges(
  pdf: PDFDocumentProxy,
  pages: readonly PdfPage[],
  which: ReadonlySet<number>,
): Promise<PdfPage[]> {
  const exact = [...pages];
  for (const index of which) {
    const widths = await widthsOfPage(await pdf.getPage(index + 1));
    const runs = pages[index]!.runs.map((run) => ({
      ...run,
      edges: edgesByWidths(run, widths.get(run.font) ?? new Map<string, number>()),
    }));
    exact[index] = { ...pages[index]!, runs };
  }
  return exact;
}

/** A page as it is shown, at one point to a point of the file. */
export const viewportOf = (page: PDFPageProxy): PageViewport => page.getViewport({ scale: 1 });

const isText = (item: TextItem | object): item is TextItem => 'str' in item && item.str !== '';

/** What a page says and where; how its fonts look is not asked. */
export async function runsOfPage(page: PDFPageProxy): Promise<PdfRun[]> {
  const [viewport, { items }] = [viewportOf(page), await page.getTextContent()];
  return items.filter(isText).map((item) => runOf(item, viewport, { isBold: false, isItalic: false }));
}

/** A remark in a PDF, as one that can be answered. */
export interface PageNote extends PdfRemark {
  /** The object that it is in its file: its number and generation; null where it is none of its own. */
  object: readonly [number: number, generation: number] | null;
  /** The object of the remark that it answers; null for one that stands for itself. */
  answers: readonly [number: number, generation: number] | null;
}

function objectOf(name: string | null | undefined): PageNote['object'] {
  const [, number, generation] = /^(\d+)R(\d*)$/.exec(name ?? '') ?? [];
  return number === undefined ? null : [Number(number), Number(generation ?? 0)];
}

/** What is remarked on a page, answers too. */
export async function notesOfPage(page: PDFPageProxy): Promise<PageNote[]> {
  const viewport = viewportOf(page);
  const annotations = (await page.getAnnotations()) as Annotation[];
  return annotations.flatMap((one) => {
    const remark = remarkOf(one, viewport);
    return remark ? [{ ...remark, object: objectOf(one.id), answers: objectOf(one.inReplyTo) }] : [];
  });
}

/** The pages of a PDF: what they say and where, and what is remarked on them. `tell` hears of each that is read. */
export async function pagesOfPdf(pdf: PDFDocumentProxy, tell?: (page: number) => void): Promise<PdfPage[]> {
  const fonts = new Fonts();
  const pages: PdfPage[] = [];
  for (let number = 1; number <= pdf.numPages; number += 1) {
    const page = await pdf.getPage(number);
    const [content, annotations] = await Promise.all([
      page.getTextContent(),
      page.getAnnotations() as Promise<Annotation[]>,
    ]);
    const items = content.items.filter(isText);
    await fonts.ofPage(page, new Set(items.map(({ fontName }) => fontName)));
    const viewport = viewportOf(page);
    pages.push({
      runs: items.map((item) => runOf(item, viewport, fonts.look(item.fontName))),
      remarks: annotations.map((one) => remarkOf(one, viewport)).filter((one) => one !== null),
    });
    page.cleanup();
    tell?.(number);
  }
  // Which words are remarked on is to be known to the letter.
  const remarked = new Set([...pages.keys()].filter((index) => pages[index]!.remarks.length > 0));
  return withEdges(pdf, pages, remarked);
}
