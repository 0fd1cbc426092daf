import type { PageViewport, PDFDocumentProxy } from 'pdfjs-dist/legacy/build/pdf.mjs';
import type { PDFContext, PDFDict, PDFRef } from '@cantoo/pdf-lib';
import { UnreadableFile } from '#client/api';
import { quadsOn, readPdf, type PdfPage, type ReadPdf, type Submission } from '#core/submission';
import type { TextRange } from '#core/passage';
import { addAnnotation } from './addAnnotation';
import { withPdf } from './openPdf';
import { pagesOfPdf, viewportOf, withEdges } from './pdfPages';

/** A comment that goes into a PDF. */
export interface PdfComment {
  /** What it is on, in the submission as it is read of these bytes; null: the whole, at the head of the first page. */
  on: TextRange | null;
  text: string;
  author: string;
  /** When it was written: an ISO instant. */
  at: string;
}

/** An annotation to be written, in points of the page itself. */
interface Annotation extends Omit<PdfComment, 'on'> {
  page: number;
  /** Corners of words on their lines, as the format orders them; none: a note at `spot`. */
  quads: number[][];
  spot: readonly [number, number];
}

/** Of what is marked, the colour: red, green and blue from 0 to 1; multiplied with what stands there. */
const MARKED = [0.99, 0.89, 0.55] as const;
/** A note is drawn by each reader in its own way, about so large, in points. */
const NOTE = 20;

/** What a comment covers: words on pages, or with none of them the first page as a whole. */
const placesOf = (read: ReadPdf, pages: readonly PdfPage[], on: TextRange | null) =>
  on ? quadsOn(read, pages, on) : [{ page: 0, quads: [] }];

/** Where comments go: on which pages, and on which places of them. */
async function annotationsOf(
  pdf: PDFDocumentProxy,
  commentsOn: (submission: Submission) => readonly PdfComment[],
): Promise<Annotation[]> {
  const pages = await pagesOfPdf(pdf);
  const read = readPdf(pages);
  const comments = commentsOn(read.submission);
  const touched = new Set(comments.flatMap(({ on }) => placesOf(read, pages, on).map(({ page }) => page)));
  const exact = await withEdges(pdf, pages, touched);
  const viewports = new Map<number, PageViewport>();
  for (const page of touched) viewports.set(page, viewportOf(await pdf.getPage(page + 1)));
  const found: Annotation[] = [];
  // Notes on one page stand beside each other at its head.
  const notes = new Map<number, number>();
  for (const { on, ...comment } of comments)
    for (const { page, quads } of placesOf(read, exact, on)) {
      const viewport = viewports.get(page)!;
      const toPage = ({ x, y }: { x: number; y: number }) => viewport.convertToPdfPoint(x, y) as number[];
      const count = notes.get(page) ?? 0;
      if (quads.length === 0) notes.set(page, count + 1);
      const [x, y] = toPage({ x: NOTE / 2 + NOTE * 1.2 * count, y: NOTE / 2 }) as [number, number];
      found.push({ ...comment, page, quads: quads.map((quad) => quad.flatMap(toPage)), spot: [x, y] });
    }
  return found;
}

const boundsOf = (quads: readonly number[][]): [number, number, number, number] => {
  const xs = quads.flatMap((quad) => quad.filter((_one, at) => at % 2 === 0));
  const ys = quads.flatMap((quad) => quad.filter((_one, at) => at % 2 === 1));
  return [Math.min(...xs), Math.min(...ys), Math.max(...xs), Math.max(...ys)];
};

const drawn = (quad: readonly number[]): string => {
  const [ulx, uly, urx, ury, llx, lly, lrx, lry] = quad.map((one) => one.toFixed(2));
  return `${ulx} ${uly} m ${urx} ${ury} l ${lrx} ${lry} l ${llx} ${lly} l h f`;
};

/** What is seen of marked words, so that every reader shows it alike. */
function appearanceOf(context: PDFContext, quads: readonly number[][]): PDFRef {
  const shapes = quads.map(drawn).join('\n');
  const stream = context.stream(`/Marked gs ${MARKED.join(' ')} rg\n${shapes}`, {
    Type: 'XObject',
    Subtype: 'Form',
    BBox: boundsOf(quads),
    Group: { S: 'Transparency' },
    Resources: { ExtGState: { Marked: { Type: 'ExtGState', BM: 'Multiply' } } },
  });
  return context.register(stream);
}

/**
 * A PDF with comments in it, as annotations that every reader shows: words are marked, a page or the whole has a note. What was there stays
 * byte for byte: what is new stands behind it (an incremental update, ISO 32000-2, 7.5.6). `commentsOn` is given the submission as these
 * bytes are read, and says what goes where. Throws an UnreadableFile in words where the file cannot be read, or takes no comments.
 */
export async function annotatedPdf(
  bytes: Uint8Array,
  called: string,
  commentsOn: (submission: Submission) => readonly PdfComment[],
): Promise<Uint8Array> {
  const annotations = await withPdf(bytes, called, (pdf) => annotationsOf(pdf, commentsOn));
  const { PDFDocument, PDFHexString, PDFName, PDFString } = await import('@cantoo/pdf-lib');
  try {
    const pdf = await PDFDocument.load(bytes, { forIncrementalUpdate: true, updateMetadata: false });
    const { context } = pdf;
    const pages = pdf.getPages();
    annotations.forEach(({ page, quads, spot: [x, y], text, author, at }, index) => {
      const on = pages[page]!;
      const isNote = quads.length === 0;
      const instant = PDFString.fromDate(new Date(at));
      const own: PDFDict = context.obj({
        ...{ Type: 'Annot', Subtype: isNote ? 'Text' : 'Highlight', P: on.ref, F: 4 },
        Rect: isNote ? [x, y - NOTE, x + NOTE, y] : boundsOf(quads),
        ...(isNote ? { Name: 'Comment' } : { QuadPoints: quads.flat() }),
        ...{ C: [...MARKED], Contents: PDFHexString.fromText(text), T: PDFHexString.fromText(author) },
        ...{ M: instant, CreationDate: instant, NM: PDFString.of(`comment-${index + 1}-${Date.parse(at)}`) },
        ...(!isNote && { AP: { N: appearanceOf(context, quads) } }),
      });
      addAnnotation(on, own, { PDFName });
    });
    return await pdf.save({ useObjectStreams: false });
  } catch (error) {
    if (error instanceof Error && /encrypt/i.test(error.message))
      throw new UnreadableFile(
        `${called} is protected against changes, and takes no comments. Take them along in another format: as a docx made anew, Markdown, a web page or text.`,
      );
    throw error;
  }
}
