import fs from 'node:fs';
import { beforeAll, describe, expect, test } from '@jest/globals';
import { degrees, PDFDocument, StandardFonts } from '@cantoo/pdf-lib';
import { readPdf, wordsOfBlock, wordsOn, type Submission } from '#core/submission';
import type { TextRange } from '#core/passage';
import { annotatedPdf, type PdfComment } from './annotatePdf';
import { withPdf } from './openPdf';
import { pagesOfPdf } from './pdfPages';
import { submissionOfPdf } from './reader';

const FOLDER = 'demo/lived/feedback/saltmarsh';
const IN_DEMO = fs.readdirSync(FOLDER).filter((name) => name.endsWith('.pdf'));
const ofDemo = (name: string) => new Uint8Array(fs.readFileSync(`${FOLDER}/${name}`));

const AT = '2026-03-01T10:00:00.000Z';
const remark = (on: TextRange | null, text: string): PdfComment => ({
  on,
  text,
  author: 'Desta Wynne',
  at: AT,
});

/** A remark on every seventh word of each block, whose text is that word. */
const onWords = ({ blocks }: Submission): PdfComment[] =>
  blocks.flatMap((block, index) =>
    [...wordsOfBlock(block).matchAll(/[^\s\uFFFC]+/g)]
      .filter((_word, at) => at % 7 === 0)
      .map((word) => {
        const [from, to] = [word.index, word.index + word[0].length].map((at) => ({ block: index, at }));
        return remark({ from: from!, to: to! }, word[0]);
      }),
  );

/** What the remarks of a file are on, and what they say. */
const remarksOf = ({ comments, ...submission }: Submission) =>
  comments.map(({ on, text }) => [wordsOn({ ...submission, comments: [] }, on), text]);

const WORDS =
  'The marsh below the boathouse floods twice a day, and nothing on it stays where it was when the water has gone';

/** A page of lines in a corner of a larger sheet. */
async function sheet(turned: number, cropped: boolean): Promise<Uint8Array> {
  const pdf = await PDFDocument.create();
  const font = await pdf.embedFont(StandardFonts.TimesRoman);
  const page = pdf.addPage([700, 900]);
  if (cropped) page.setCropBox(50, 60, 500, 700);
  page.setRotation(degrees(turned));
  const words = WORDS.split(' ');
  for (let line = 0; line * 5 < words.length; line += 1)
    page.drawText(words.slice(line * 5, line * 5 + 5).join(' '), {
      x: 90,
      y: 600 - 15 * line,
      size: 12,
      font,
    });
  return pdf.save();
}

describe('a PDF that was handed in', () => {
  test.each(IN_DEMO)('%s of the demo reads as what lies beside it says', async (name) => {
    const read = await submissionOfPdf(ofDemo(name), name);
    if (process.env.RENEW_DEMO) fs.writeFileSync(`${FOLDER}/${name}.json`, JSON.stringify(read));
    expect(read).toEqual(JSON.parse(fs.readFileSync(`${FOLDER}/${name}.json`, 'utf8')));
  });

  test('has its headings, italics, tables and columns, without its words parted at the ends of lines', async () => {
    const of = async (name: string) => (await submissionOfPdf(ofDemo(name), name)).blocks;
    const [orla, jonas] = [await of('orla-penhale.pdf'), await of('jonas-fell.pdf')];
    expect(orla.filter(({ kind }) => kind === 'heading').map(wordsOfBlock)).toEqual([
      'Sea lavender and the sheep walk',
      'Summary',
      'Method',
      'Results',
      'Discussion',
      'Sources',
    ]);
    expect(orla.flatMap(({ spans }) => spans)).toContainEqual({
      text: 'Limonium vulgare',
      marks: ['italic'],
    });
    expect(orla.filter(({ cell }) => cell?.row === 2).map(wordsOfBlock)).toEqual([
      'No sheep',
      '5',
      '37',
      '11 cm',
    ]);
    const words = jonas.map(wordsOfBlock);
    expect(words.some((one) => /The work was difficult, .* fourth bend took one of my boots/.test(one))).toBe(
      true,
    );
    expect(words.join(' ')).not.toMatch(/\p{Ll}-\p{Ll}/u);
  });

  test('without words stands by its pages', async () => {
    const pdf = await PDFDocument.create();
    pdf.addPage([300, 400]);
    pdf.addPage([300, 400]);
    const read = await submissionOfPdf(await pdf.save(), 'scan.pdf');
    expect(read.blocks.map(({ spans }) => spans)).toEqual([
      [{ place: 'page', name: '1' }],
      [{ place: 'page', name: '2' }],
    ]);
  });

  test('that is locked, cut short or none says so', async () => {
    const pdf = await PDFDocument.create();
    pdf.addPage();
    pdf.encrypt({ userPassword: 'a', ownerPassword: 'b' });
    const locked = await pdf.save();
    const whole = ofDemo('orla-penhale.pdf');
    await expect(submissionOfPdf(locked, 'locked.pdf')).rejects.toThrow(
      /^locked\.pdf .* locked with a password/,
    );
    await expect(submissionOfPdf(whole.subarray(0, 800), 'cut.pdf')).rejects.toThrow(/not the whole of one/);
    const text = new TextEncoder().encode('%PDF-1.7 and no more');
    await expect(submissionOfPdf(text, 'none.pdf')).rejects.toThrow(/no PDF, or not the whole/);
  });
});

describe('comments in a PDF', () => {
  const CASES: [string, () => Promise<Uint8Array>][] = [
    ...IN_DEMO.map((name): [string, () => Promise<Uint8Array>] => [
      name,
      () => Promise.resolve(ofDemo(name)),
    ]),
    ['a page that is turned', () => sheet(90, false)],
    ['a page upside down', () => sheet(180, false)],
    ['a page of which a part is shown', () => sheet(0, true)],
    ['a part of a page that is turned', () => sheet(270, true)],
  ];

  test.each(CASES)('stand on their very words, and all else is as it was: %s', async (_what, make) => {
    const bytes = await make();
    let wanted: string[] = [];
    const out = await annotatedPdf(bytes, 'a.pdf', (submission) => {
      const all = onWords(submission);
      wanted = all.map(({ text }) => text);
      return all;
    });
    expect(wanted.length).toBeGreaterThan(3);
    expect(Buffer.from(out.subarray(0, bytes.length)).equals(Buffer.from(bytes))).toBe(true);
    const read = await submissionOfPdf(out, 'a.pdf');
    const before = await submissionOfPdf(bytes, 'a.pdf');
    expect(read.blocks).toEqual(before.blocks);
    expect(remarksOf(read)).toEqual(wanted.map((word) => [word, word]));
    expect(read.comments[0]).toMatchObject({ author: 'Desta Wynne', at: AT });
  });

  describe('on the whole, on a page, over several lines', () => {
    let out: Uint8Array;
    beforeAll(async () => {
      const pdf = await PDFDocument.load(await sheet(0, false));
      pdf.addPage([300, 400]);
      out = await annotatedPdf(await pdf.save(), 'a.pdf', ({ blocks }) => [
        remark(null, 'A clear report.'),
        remark({ from: { block: 0, at: 4 }, to: { block: blocks.length - 2, at: 2 } }, 'Too long.'),
        remark(
          { from: { block: blocks.length - 1, at: 0 }, to: { block: blocks.length - 1, at: 1 } },
          'Empty.',
        ),
      ]);
    });

    test('they are notes, and one shape for each line', async () => {
      const annotations = await withPdf(out, 'a.pdf', async (pdf) => {
        const pages = await Promise.all([pdf.getPage(1), pdf.getPage(2)]);
        return Promise.all(pages.map((page) => page.getAnnotations()));
      });
      const told = annotations.map((ofPage) =>
        (ofPage as { subtype: string; contentsObj: { str: string }; quadPoints?: ArrayLike<number> }[]).map(
          ({ subtype, contentsObj, quadPoints }) => [subtype, contentsObj.str, (quadPoints?.length ?? 0) / 8],
        ),
      );
      expect(told).toEqual([
        [
          ['Text', 'A clear report.', 0],
          ['Highlight', 'Too long.', 5],
        ],
        [['Text', 'Empty.', 0]],
      ]);
    });

    test('and take further ones when the file comes back', async () => {
      const again = await annotatedPdf(out, 'a.pdf', () => [
        remark({ from: { block: 0, at: 0 }, to: { block: 0, at: 3 } }, 'Which?'),
      ]);
      const { comments } = readPdf(await withPdf(again, 'a.pdf', (pdf) => pagesOfPdf(pdf))).submission;
      expect(comments.map(({ text }) => text).sort()).toEqual([
        'A clear report.',
        'Empty.',
        'Too long.',
        'Which?',
      ]);
    });
  });

  test('one that is protected against changes says what to do', async () => {
    const pdf = await PDFDocument.load(await sheet(0, false));
    pdf.encrypt({ userPassword: '', ownerPassword: 'b' });
    const bytes = await pdf.save();
    await expect(annotatedPdf(bytes, 'kept.pdf', onWords)).rejects.toThrow(
      /kept\.pdf is protected against changes/,
    );
  });
});
