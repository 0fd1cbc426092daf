import { execFileSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import { degrees, PDFDict, PDFDocument, PDFName, PDFRawStream, StandardFonts } from '@cantoo/pdf-lib';
import type { Face } from '#client/faces';
import { withPdf } from './openPdf';
import { notesOfPage } from './pdfPages';
import { markedPdf, type MarkedAs, type MarkingOut } from './markPdf';

const bytesOf = (face: Face) =>
  Promise.resolve(
    new Uint8Array(
      fs.readFileSync(`node_modules/@fontsource/literata/files/literata-${face}-400-normal.woff`),
    ),
  );
const marking = (change: Partial<MarkingOut>): MarkingOut => ({
  ...{
    page: 0,
    at: { x: 100, y: 80 },
    lines: ['Finding 1: fire door'],
    points: 11,
    colour: [0.64, 0.31, 0.18],
  },
  ...{
    framed: false,
    leads: [],
    answers: null,
    unit: 1,
    author: 'Imke Tarrow',
    writtenAt: '2026-11-30T10:00:00.000Z',
  },
  ...change,
});

/** A page with words of its own, turned by so many degrees as it is shown. */
async function paper(turn = 0): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const page = pdf.addPage([400, 300]);
  page.setRotation(degrees(turn));
  page.drawText('A plan', { x: 20, y: 20, font: await pdf.embedFont(StandardFonts.Helvetica) });
  return pdf.save({ useObjectStreams: false });
}
const marked = async (bytes: Uint8Array, all: readonly MarkingOut[], as: MarkedAs = 'annotations') =>
  markedPdf(bytes, 'plan.pdf', all, as, bytesOf);

interface Read {
  subtype: string;
  rect: number[];
  contentsObj: { str: string };
  titleObj: { str: string };
}
/** Annotations as pdf.js reads them, with the place of each on the page as it is shown. */
const annotationsOf = (bytes: Uint8Array) =>
  withPdf(bytes, 'plan.pdf', async (pdf) => {
    const page = await pdf.getPage(1);
    const viewport = page.getViewport({ scale: 1 });
    const found = (await page.getAnnotations()) as Read[];
    return found.map(({ subtype, rect, contentsObj, titleObj }) => {
      const [a, b] = [
        viewport.convertToViewportPoint(rect[0]!, rect[1]!),
        viewport.convertToViewportPoint(rect[2]!, rect[3]!),
      ] as [number[], number[]];
      const at = { x: Math.min(a[0]!, b[0]!), y: Math.min(a[1]!, b[1]!) };
      return { subtype, at, words: contentsObj.str, author: titleObj.str };
    });
  });

test.each([0, 90, 180, 270])(
  'on a page turned by %d degrees each stands where it was put, to half a point',
  async (turn) => {
    const out = await marked(await paper(turn), [
      marking({}),
      marking({ at: { x: 33.3, y: 210.7 }, lines: ['two', 'lines'] }),
    ]);
    const found = await annotationsOf(out);
    expect(found.map(({ subtype, words, author }) => [subtype, words, author])).toEqual([
      ['FreeText', 'Finding 1: fire door', 'Imke Tarrow'],
      ['FreeText', 'two\nlines', 'Imke Tarrow'],
    ]);
    for (const [index, at] of [
      { x: 100, y: 80 },
      { x: 33.3, y: 210.7 },
    ].entries()) {
      expect(Math.abs(found[index]!.at.x - at.x)).toBeLessThan(0.5);
      expect(Math.abs(found[index]!.at.y - at.y)).toBeLessThan(0.5);
    }
  },
);

test('what came in is there byte for byte, with annotations behind it', async () => {
  const before = await paper();
  const after = await marked(before, [
    marking({
      leads: [
        [
          { x: 98, y: 87 },
          { x: 20, y: 30 },
        ],
      ],
      framed: true,
    }),
  ]);
  expect(Buffer.compare(after.subarray(0, before.length), before)).toBe(0);
});

/** What poppler reads of a file: words in their layout, or each with where it stands. */
function popplerText(bytes: Uint8Array, as: '-layout' | '-bbox' = '-layout'): string {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'marked-'));
  const file = path.join(folder, 'marked.pdf');
  fs.writeFileSync(file, bytes);
  const read = execFileSync('pdftotext', [as, file, '-'], { encoding: 'utf8' });
  fs.rmSync(folder, { recursive: true });
  return read;
}
const HAS_POPPLER = fs.existsSync('/usr/bin/pdftotext');

test('drawn into the page, words of any script of the shipped faces are read by others too', async () => {
  const lines = ['Finding ŵy — Łódź', 'добрый Ωμέγα'];
  const out = await marked(await paper(), [marking({ lines })], 'drawn');
  const words = await withPdf(out, 'plan.pdf', async (pdf) => {
    const { items } = await (await pdf.getPage(1)).getTextContent();
    return items.map((item) => ('str' in item ? item.str : '')).join('');
  });
  expect(words).toContain('A plan');
  for (const word of ['Finding', 'ŵy', 'Łódź', 'добрый', 'Ωμέγα']) expect(words).toContain(word);
  expect(await annotationsOf(out)).toEqual([]);
  // Where poppler is at hand, it reads the same.
  if (HAS_POPPLER)
    for (const word of ['A plan', 'Finding', 'Łódź', 'добрый']) expect(popplerText(out)).toContain(word);
});

test('a picture becomes a page of its size, with what is marked on it', async () => {
  const png = fs.readFileSync('demo/lived/pages/Survey map.png');
  const out = await markedPdf(
    [{ bytes: new Uint8Array(png), width: 900, height: 600 }],
    'map.png',
    [marking({ at: { x: 300, y: 200 } })],
    'annotations',
    bytesOf,
  );
  const size = await withPdf(out, 'map.pdf', async (pdf) => (await pdf.getPage(1)).view);
  expect(size).toEqual([0, 0, 900, 600]);
  expect((await annotationsOf(out)).map(({ at }) => [Math.round(at.x), Math.round(at.y)])).toEqual([
    [300, 200],
  ]);
});

/** The objects of a file as it is written, by their numbers, but for the lists of annotations on pages. */
async function objectsOf(bytes: Uint8Array): Promise<Map<string, string>> {
  const { context } = await PDFDocument.load(bytes, { updateMetadata: false });
  return new Map(
    context.enumerateIndirectObjects().map(([ref, object]) => {
      if (object instanceof PDFDict && object.get(PDFName.of('Type')) === PDFName.of('Page')) {
        const page = object.clone();
        page.delete(PDFName.of('Annots'));
        return [String(ref), String(page)];
      }
      const stream = object instanceof PDFRawStream ? ` ${Buffer.from(object.contents).toString('hex')}` : '';
      return [String(ref), `${String(object)}${stream}`];
    }),
  );
}

/** A plan on two pages, each with a remark. */
const PLAN = new Uint8Array(fs.readFileSync('demo/lived/pages/Plan of the hospital.pdf'));
/** What is remarked on the first page of a file. */
const notesOn = async (bytes: Uint8Array) =>
  withPdf(bytes, 'plan.pdf', async (pdf) => notesOfPage(await pdf.getPage(1)));

test('object by object the file is what it was, but for the annotations that came to its pages', async () => {
  for (const from of [PLAN, await paper(90)]) {
    const [before, after] = [
      await objectsOf(from),
      await objectsOf(await marked(from, [marking({}), marking({ framed: true })])),
    ];
    expect(after.size).toBeGreaterThan(before.size);
    for (const [ref, written] of before) expect([ref, after.get(ref)]).toEqual([ref, written]);
  }
});

test('what answers a remark goes out as an answer to it, and is read as one; the remark stays', async () => {
  const [asked] = await notesOn(PLAN);
  expect(asked).toMatchObject({ author: 'Ruan Pellow', answers: null });
  const out = await marked(PLAN, [marking({ lines: ['The one to the yard.'], answers: asked!.object })]);
  const notes = await notesOn(out);
  expect(notes).toHaveLength(2);
  expect(notes[0]).toEqual(asked);
  expect(notes[1]).toMatchObject({
    ...{ author: 'Imke Tarrow', text: 'The one to the yard.', answers: asked!.object },
    at: '2026-11-30T10:00:00.000Z',
  });
});

const LETTERS = 11;
const turnsAndForms = [0, 90, 180, 270].flatMap((turn) =>
  (['annotations', 'drawn'] as const).map((as) => [turn, as] as const),
);
(HAS_POPPLER ? test : test.skip).each(turnsAndForms)(
  'poppler reads words where they were put, to half a point: turned by %d degrees, %s',
  async (turn, as) => {
    const places = { fire: { x: 40, y: 60 }, bin: { x: 151.3, y: 200.7 } };
    const all = Object.entries(places).map(([word, at]) => marking({ lines: [word], at, points: LETTERS }));
    const read = popplerText(await marked(await paper(turn), all, as), '-bbox');
    const middles = Object.entries(places).map(([word, at]) => {
      const [left, top, right, bottom] = ['xMin', 'yMin', 'xMax', 'yMax'].map((name) =>
        Number(new RegExp(`${name}="([\\d.]+)"[^>]*>${word}<`).exec(read)![1]),
      ) as [number, number, number, number];
      // How high a line is for poppler lies in the face: its middle is where ours is, a fixed way beneath the place.
      return { left: left - at.x, middle: (top + bottom) / 2 - at.y, isLevel: right - left > bottom - top };
    });
    for (const { left, middle } of middles) {
      expect(Math.abs(left - 0.15 * LETTERS)).toBeLessThan(0.5);
      expect(Math.abs(middle - middles[0]!.middle)).toBeLessThan(0.5);
      expect(Math.abs(middle - 0.65 * LETTERS)).toBeLessThan(2);
    }
    expect(middles.map(({ isLevel }) => isLevel)).toEqual([true, true]);
  },
);
