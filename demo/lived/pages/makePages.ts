/** Makes the pages that the demo marks: a plan of the hospital on two pages (PDF) and a survey map (PNG). Run by hand, with tsx. */
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { PDFDocument, PDFHexString, PDFString, type PDFPage } from '@cantoo/pdf-lib';
import { chromium } from '@playwright/test';

const FOLDER = path.dirname(fileURLToPath(import.meta.url));
const MADE = new Date('2026-11-20T09:00:00Z');

type Room = readonly [name: string, x: number, y: number, width: number, height: number];
const GROUND: readonly Room[] = [
  ['Reception', 40, 40, 190, 130],
  ['Intake', 230, 40, 150, 130],
  ['Ward', 380, 40, 330, 210],
  ['Treatment', 710, 40, 230, 210],
  ['Kitchen', 40, 170, 190, 160],
  ['Isolation', 230, 170, 150, 160],
  ['Store', 380, 250, 140, 80],
  ['Laundry', 520, 250, 190, 80],
  ['Seal pool', 710, 250, 230, 250],
  ['Office', 40, 330, 190, 170],
  ['Corridor', 230, 330, 480, 60],
  ['Field school', 230, 390, 480, 110],
];
const UPPER: readonly Room[] = [
  ['Archive', 40, 40, 340, 200],
  ['Recording room', 380, 40, 220, 200],
  ['Library', 600, 40, 340, 200],
  ['Common room', 40, 240, 560, 180],
  ['Sleeping room', 600, 240, 340, 180],
];

const planOf = (title: string, rooms: readonly Room[]) => `<section style="break-after:page">
<svg viewBox="0 0 980 540" style="width:100%" font-family="serif" fill="none" stroke="#333">
<text x="40" y="26" font-size="18" fill="#333" stroke="none">${title}</text>
${rooms
  .map(
    ([name, x, y, width, height]) =>
      `<rect x="${x}" y="${y}" width="${width}" height="${height}" stroke-width="3"/><text x="${x + 10}" y="${y + 22}" font-size="14" fill="#666" stroke="none">${name}</text>`,
  )
  .join('')}
</svg></section>`;

const MAP = `<svg viewBox="0 0 1200 800" width="1200" height="800" font-family="serif">
<rect width="1200" height="800" fill="#f3efe2"/>
<path d="M0 520 C200 470 330 600 520 560 S830 430 1200 500 V800 H0Z" fill="#cfdfe4"/>
<path d="M120 0 C160 160 90 300 210 430 S420 520 430 800" fill="none" stroke="#9cbcc6" stroke-width="14"/>
<path d="M0 260 C260 220 480 300 760 240 S1080 120 1200 140" fill="none" stroke="#b9a98a" stroke-width="5" stroke-dasharray="16 8"/>
<path d="M620 60 C700 20 900 40 960 120 S900 300 760 280 560 160 620 60Z" fill="#d5dfc6"/>
<text x="700" y="170" font-size="26" fill="#5d6b4d">Heron wood</text>
<text x="250" y="500" font-size="24" fill="#517784">Saltgate creek</text>
<text x="640" y="650" font-size="28" fill="#517784">Long Sands</text>
<text x="820" y="130" font-size="0"/>
<text x="180" y="230" font-size="20" fill="#8a7a5b">The Causeway</text>
<rect x="470" y="330" width="34" height="26" fill="#777"/><text x="515" y="350" font-size="18" fill="#555">hide</text>
</svg>`;

/** A remark that a colleague has left in the file: a note at a place (ISO 32000-2, 12.5.6.4). */
function remark(page: PDFPage, Rect: [number, number, number, number], words: string): void {
  const { context } = page.doc;
  const at = PDFString.fromDate(MADE);
  const own = context.obj({
    ...{ Type: 'Annot', Subtype: 'Text', P: page.ref, F: 4, Name: 'Comment', Rect, M: at, CreationDate: at },
    ...{ Contents: PDFHexString.fromText(words), T: PDFHexString.fromText('Ruan Pellow') },
  });
  page.node.addAnnot(context.register(own));
}

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 1200, height: 800 } });
await page.setContent(
  `<meta charset="utf-8"><style>body{margin:30px}</style>${planOf('Hollin Marsh, ground floor', GROUND)}${planOf('Hollin Marsh, upper floor', UPPER)}`,
);
const pdf = await PDFDocument.load(await page.pdf({ format: 'A4', landscape: true }));
pdf.setTitle('Plan of the hospital');
pdf.setCreationDate(MADE);
pdf.setModificationDate(MADE);
// What is broken off at the end of the last section is an empty page.
while (pdf.getPageCount() > 2) pdf.removePage(2);
remark(pdf.getPage(0), [430, 250, 450, 270], 'Which door is this, the one to the treatment room?');
remark(pdf.getPage(1), [110, 300, 130, 320], 'Checked by me on the 19th.');
fs.writeFileSync(path.join(FOLDER, 'Plan of the hospital.pdf'), await pdf.save());
await page.setContent(`<body style="margin:0">${MAP}`);
await page.screenshot({ path: path.join(FOLDER, 'Survey map.png') });
await browser.close();
