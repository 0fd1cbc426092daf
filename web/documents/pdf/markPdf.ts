import type {
  PDFDict,
  PDFDocument,
  PDFFont,
  PDFHexString,
  PDFName,
  PDFPage,
  PDFRef,
  PDFString,
} from '@cantoo/pdf-lib';
import { UnreadableFile } from '#client/api';
import { runsOfFaces, type Face } from '#client/faces';
import type { PagePoint } from '#core/passage';
import { addAnnotation } from './addAnnotation';
import { withPdf } from './openPdf';
import type { PageSize } from './pageSource';

/** Words at a place of a page, as they go out. Places are in points from the left and the upper edge of the page as it is shown. */
export interface MarkingOut {
  page: number;
  at: PagePoint;
  /** Its lines. */
  lines: readonly string[];
  /** How high its letters are, in points. */
  points: number;
  /** Red, green and blue, from 0 to 1. */
  colour: readonly [number, number, number];
  framed: boolean;
  /** So many times as thick as usual its lines are: more on a large page. */
  unit: number;
  /** Lines that lead elsewhere, each a run of points. */
  leads: readonly (readonly PagePoint[])[];
  author: string;
  /** When it was written: an ISO instant. */
  writtenAt: string;
  /** The remark in the file that it answers: the number and generation of its object; null for none. */
  answers: readonly [number: number, generation: number] | null;
}

/** A line is so many times as high as its letters, and its words stand so far beneath its upper edge. */
const LEADING = 1.3;
const ASCENT = 1.0;
const PADDING = 0.15;
/** A note is drawn by each reader in its own way, about so large, in points. */
const NOTE = 20;

interface Box {
  left: number;
  top: number;
  right: number;
  bottom: number;
}

/** A font for each part of the book face that is needed. */
type Fonts = Map<Face, PDFFont>;

async function fontsFor(
  pdf: PDFDocument,
  markings: readonly MarkingOut[],
  bytesOf: (face: Face) => Promise<Uint8Array>,
): Promise<Fonts> {
  const { default: fontkit } = await import('@cantoo/fontkit');
  pdf.registerFontkit(fontkit);
  const faces = new Set<Face>(['latin']);
  for (const { lines } of markings)
    for (const line of lines) for (const { face } of runsOfFaces(line)) faces.add(face);
  const fonts: Fonts = new Map();
  for (const face of faces) fonts.set(face, await pdf.embedFont(await bytesOf(face), { subset: true }));
  return fonts;
}

const widthOf = (line: string, points: number, fonts: Fonts): number =>
  runsOfFaces(line).reduce(
    (sum, { face, text }) => sum + fonts.get(face)!.widthOfTextAtSize(text, points),
    0,
  );

/** What the words of a marking cover on the page as it is shown. */
function wordsBox({ at, lines, points }: MarkingOut, fonts: Fonts): Box {
  const width = Math.max(points / 2, ...lines.map((line) => widthOf(line, points, fonts)));
  return {
    ...{ left: at.x, top: at.y },
    right: at.x + width + 2 * PADDING * points,
    bottom: at.y + lines.length * points * LEADING,
  };
}

/** The least box around words and what leads from them. */
function wholeBox(words: Box, { leads, unit }: MarkingOut): Box {
  const all = leads.flat();
  // Half a line's width lies outside of it.
  const edge = all.length > 0 ? unit / 2 : 0;
  return {
    left: Math.min(words.left, ...all.map(({ x }) => x - edge)),
    top: Math.min(words.top, ...all.map(({ y }) => y - edge)),
    right: Math.max(words.right, ...all.map(({ x }) => x + edge)),
    bottom: Math.max(words.bottom, ...all.map(({ y }) => y + edge)),
  };
}

const two = (value: number) => value.toFixed(2);

/** What is drawn of a marking (ISO 32000-2, 8.4 to 9.4), in points from the lower left corner of its box. */
function drawing(marking: MarkingOut, words: Box, box: Box, fonts: Fonts): string {
  const { lines, points, colour, framed, leads, unit } = marking;
  const x = (at: number) => two(at - box.left);
  const y = (at: number) => two(box.bottom - at);
  const rgb = colour.map(two).join(' ');
  const out = [`${rgb} rg ${rgb} RG ${two(unit)} w`];
  for (const line of leads)
    out.push(`${line.map((point, at) => `${x(point.x)} ${y(point.y)} ${at === 0 ? 'm' : 'l'}`).join(' ')} S`);
  if (framed)
    out.push(
      `${x(words.left + unit / 2)} ${y(words.bottom - unit / 2)} ${two(words.right - words.left - unit)} ${two(words.bottom - words.top - unit)} re S`,
    );
  out.push('BT');
  lines.forEach((line, at) => {
    const baseline = marking.at.y + points * (LEADING * at + ASCENT);
    let left = marking.at.x + PADDING * points;
    for (const { face, text } of runsOfFaces(line)) {
      const font = fonts.get(face)!;
      out.push(
        `/${face} ${two(points)} Tf 1 0 0 1 ${x(left)} ${y(baseline)} Tm ${String(font.encodeText(text))} Tj`,
      );
      left += font.widthOfTextAtSize(text, points);
    }
  });
  out.push('ET');
  return out.join('\n');
}

/** Turns what is drawn upright so that it is upright on a page that is shown turned by so many degrees. */
function turnedBy(degrees: number): [number, number, number, number, number, number] {
  const angle = (degrees * Math.PI) / 180;
  const [cos, sin] = [Math.round(Math.cos(angle)), Math.round(Math.sin(angle))];
  return [cos, sin, -sin, cos, 0, 0];
}

interface Placed {
  marking: MarkingOut;
  box: Box;
  form: PDFRef;
  /** How far the page is turned as it is shown, in degrees. */
  turn: number;
}

/** Makes the drawing of a marking a part of the file. */
function formOf(pdf: PDFDocument, marking: MarkingOut, fonts: Fonts, turn: number): Placed {
  const words = wordsBox(marking, fonts);
  const box = wholeBox(words, marking);
  const stream = pdf.context.stream(drawing(marking, words, box, fonts), {
    ...{ Type: 'XObject', Subtype: 'Form' },
    BBox: [0, 0, box.right - box.left, box.bottom - box.top],
    Matrix: turnedBy(turn),
    Resources: { Font: Object.fromEntries([...fonts].map(([face, font]) => [face, font.ref])) },
  });
  return { marking, box, form: pdf.context.register(stream), turn };
}

/** From a place of a page as it is shown to one of the file. */
type ToPage = (x: number, y: number) => [number, number];

const rectOf = ({ left, top, right, bottom }: Box, toPage: ToPage): number[] => {
  const [a, b] = [toPage(left, top), toPage(right, bottom)];
  return [Math.min(a[0], b[0]), Math.min(a[1], b[1]), Math.max(a[0], b[0]), Math.max(a[1], b[1])];
};

/** How markings go out: as annotations that can be changed in other readers, or drawn into the page for good. */
export type MarkedAs = 'annotations' | 'drawn';

interface Lib {
  PDFName: typeof PDFName;
  PDFHexString: typeof PDFHexString;
  PDFRef: typeof PDFRef;
  PDFString: typeof PDFString;
}

/** What all readers of a file show of an annotation: its words, who wrote it and when. */
function said({ marking: { lines, author, writtenAt } }: Placed, lib: Lib, index: number) {
  const instant = lib.PDFString.fromDate(new Date(writtenAt));
  return {
    ...{ Type: 'Annot', F: 4, M: instant, CreationDate: instant },
    Contents: lib.PDFHexString.fromText(lines.join('\n')),
    T: lib.PDFHexString.fromText(author),
    NM: lib.PDFString.of(`marking-${index + 1}-${Date.parse(writtenAt)}`),
  };
}

/** An annotation of free text with an appearance of its own, so that every reader shows it alike (ISO 32000-2, 12.5.6.6). */
const freeText = ({ marking: { points, colour }, box, form, turn }: Placed, toPage: ToPage, lib: Lib) => ({
  ...{ Subtype: 'FreeText', Rect: rectOf(box, toPage), Rotate: turn, BS: { W: 0 }, AP: { N: form } },
  DA: lib.PDFString.of(`/Helv ${two(points)} Tf ${colour.map(two).join(' ')} rg`),
});

/** An answer to a remark: a note that readers show in one thread with it (ISO 32000-2, 12.5.6.2), where it was put down. */
const reply = (
  { box: { left, top } }: Placed,
  [number, generation]: readonly [number, number],
  toPage: ToPage,
  lib: Lib,
) => ({
  ...{ Subtype: 'Text', Name: 'Comment', IRT: lib.PDFRef.of(number, generation), RT: 'R' },
  Rect: rectOf({ left, top, right: left + NOTE, bottom: top + NOTE }, toPage),
});

/** Adds a marking as an annotation. */
function annotate(
  pdf: PDFDocument,
  page: PDFPage,
  placed: Placed,
  toPage: ToPage,
  lib: Lib,
  index: number,
): void {
  const { answers } = placed.marking;
  const own: PDFDict = pdf.context.obj({
    ...said(placed, lib, index),
    P: page.ref,
    ...(answers ? reply(placed, answers, toPage, lib) : freeText(placed, toPage, lib)),
  });
  addAnnotation(page, own, lib);
}

/** The operators that draw a form at the corner of its box. */
function drawInto(pdf: PDFDocument, page: PDFPage, { box, form }: Placed, toPage: ToPage): void {
  const name = page.node.newXObject('Marking', form);
  // The form turns itself about its lower left corner.
  const [x, y] = toPage(box.left, box.bottom);
  const content = pdf.context.stream(`q 1 0 0 1 ${two(x)} ${two(y)} cm ${String(name)} Do Q`);
  page.node.addContentStream(pdf.context.register(content));
}

/** A picture (PNG, JPEG) that becomes a page: so large, in points. */
export interface PagePicture extends PageSize {
  bytes: Uint8Array;
}

/** A PDF whose pages are pictures. */
async function picturesAsPdf(
  pictures: readonly PagePicture[],
  create: typeof PDFDocument.create,
): Promise<Uint8Array> {
  const pdf = await create();
  for (const { bytes, width, height } of pictures) {
    const isPng = bytes[0] === 0x89;
    const picture = isPng ? await pdf.embedPng(bytes) : await pdf.embedJpg(bytes);
    pdf.addPage([width, height]).drawImage(picture, { x: 0, y: 0, width, height });
  }
  return pdf.save({ useObjectStreams: false });
}

/** How each page of a PDF is turned, and from where on it is shown to where in the file it is. */
async function pagesShown(bytes: Uint8Array, called: string, pages: ReadonlySet<number>) {
  return withPdf(bytes, called, async (pdf) => {
    const shown = new Map<number, { turn: number; toPage: ToPage }>();
    for (const page of pages) {
      const viewport = (await pdf.getPage(page + 1)).getViewport({ scale: 1 });
      const toPage: ToPage = (x, y) => viewport.convertToPdfPoint(x, y) as [number, number];
      shown.set(page, { turn: viewport.rotation, toPage });
    }
    return shown;
  });
}

/**
 * A PDF, or pictures each of which becomes a page, with words at places of its pages, as a PDF. What was there stays: annotations are put behind it (an incremental
 * update, ISO 32000-2, 7.5.6). `bytesOf` gives a part of the book face (WOFF). Throws an UnreadableFile in words where the file cannot be read
 * or takes no markings.
 */
export async function markedPdf(
  from: Uint8Array | readonly PagePicture[],
  called: string,
  markings: readonly MarkingOut[],
  as: MarkedAs,
  bytesOf: (face: Face) => Promise<Uint8Array>,
): Promise<Uint8Array> {
  const { PDFDocument, ...lib } = await import('@cantoo/pdf-lib');
  const original = from instanceof Uint8Array ? from : await picturesAsPdf(from, () => PDFDocument.create());
  const shown = await pagesShown(original, called, new Set(markings.map(({ page }) => page)));
  try {
    const pdf = await PDFDocument.load(original, { forIncrementalUpdate: true, updateMetadata: false });
    const fonts = await fontsFor(pdf, markings, bytesOf);
    const pages = pdf.getPages();
    markings.forEach((marking, index) => {
      const { turn, toPage } = shown.get(marking.page)!;
      const page = pages[marking.page]!;
      const placed = formOf(pdf, marking, fonts, turn);
      if (as === 'drawn') drawInto(pdf, page, placed, toPage);
      else annotate(pdf, page, placed, toPage, lib, index);
    });
    return await pdf.save({ useObjectStreams: false });
  } catch (error) {
    if (error instanceof Error && /encrypt/i.test(error.message))
      throw new UnreadableFile(
        `${called} is protected against changes, and takes no markings. Take their list along as text, or save the file without protection.`,
      );
    throw error;
  }
}
