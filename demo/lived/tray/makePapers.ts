/**
 * Makes the scanned papers of the demo's tray: PDFs with words and without, pictures of four sorts, a mail and a text. Run by hand, with tsx,
 * where a paper is to be another: what it makes is part of the demo.
 */
import fs from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';
import { chromium, type Page } from '@playwright/test';
import { PDFDocument } from '@cantoo/pdf-lib';

const FOLDER = path.join(path.dirname(fileURLToPath(import.meta.url)), 'papers');

const SCANNED = new Date('2026-11-24T09:30:00Z');

/** A paper: its file's name, how it was made, its head, and its lines. */
interface PaperMade {
  file: string;
  as: 'pdf' | 'scan' | 'png' | 'jpg' | 'webp' | 'tif';
  head: string;
  lines: readonly string[];
}

const bill = (
  file: string,
  sender: string,
  date: string,
  due: string,
  number: string,
  what: string,
): PaperMade => ({
  ...{ file, as: 'pdf', head: sender },
  lines: [
    'Hollin Marsh Wildlife Hospital, The Causeway',
    `Please pay by ${due}`,
    `Invoice date: ${date}`,
    `Invoice number: ${number}`,
    what,
    'Thank you for keeping your account up to date.',
  ],
});

const sheet = (
  file: string,
  as: PaperMade['as'],
  number: string,
  date: string,
  site: string,
  birds: readonly string[],
): PaperMade => ({
  ...{ file, as, head: 'Ringing sheet' },
  lines: [`Sheet ${number}`, `Site: ${site}`, `Date: ${date}`, ...birds],
});

const PAPERS: readonly PaperMade[] = [
  bill(
    'Scan0001.pdf',
    'Hollin Power',
    '4 September 2026',
    '18 September 2026',
    'HP-88121',
    'Electricity, August, main building',
  ),
  bill(
    'Scan0002.pdf',
    'Hollin Power',
    '5 October 2026',
    '19 October 2026',
    'HP-88377',
    'Electricity, September, main building',
  ),
  bill(
    'Scan0003.pdf',
    'Hollin Power',
    '4 November 2026',
    '18 November 2026',
    'HP-88604',
    'Electricity, October, main building',
  ),
  bill(
    'Scan0004.pdf',
    'Marsh Water',
    '12/09/2026',
    '26/09/2026',
    '40-1187',
    'Water and drains, third quarter',
  ),
  bill(
    'Scan0005.pdf',
    'Marsh Water',
    '14/11/2026',
    '28/11/2026',
    '40-1310',
    'Water for the pools, seal season',
  ),
  bill(
    'Scan0006.pdf',
    'Saltgate Vet Supplies',
    '2026-10-21',
    '2026-11-20',
    'SV/20931',
    'Dressings, feeding tubes, 2 drip stands',
  ),
  bill(
    'Scan0007.pdf',
    'Saltgate Vet Supplies',
    '2026-11-09',
    '2026-12-09',
    'SV/21044',
    'Levamisole, scales, gloves',
  ),
  bill(
    'Scan0008.pdf',
    'Tern Print',
    '30 Sept 2026',
    '30 Oct 2026',
    '2261',
    'Leaflets: I found a hedgehog, 2,000',
  ),
  bill(
    'Scan0009.pdf',
    'Fen Telephone',
    '1 November 2026',
    '15 November 2026',
    'FT 70031',
    'Helpline, October',
  ),
  sheet('Scan0010.pdf', 'scan', 'HM-2026-0041', '3 October 2026', 'Causeway hide', [
    'Reed bunting, 12',
    'Bearded tit, 7',
    'Wren, 3',
  ]),
  sheet('Scan0011.pdf', 'scan', 'HM-2026-0042', '10 October 2026', 'Saltgate creek', [
    'Dunlin, 31',
    'Redshank, 8',
  ]),
  sheet('Scan0012.pdf', 'scan', 'HM-2026-0043', '17 October 2026', 'Causeway hide', [
    'Reed bunting, 9',
    'Goldcrest, 4',
  ]),
  sheet('Scan0013.pdf', 'pdf', 'HM-2026-0044', '24 October 2026', 'Heron wood', [
    'Blackbird, 6',
    'Redwing, 19',
  ]),
  sheet('Scan0014.pdf', 'pdf', 'HM-2026-0045', '31 October 2026', 'Causeway hide', ['Bearded tit, 11']),
  sheet('Scan0015.png', 'png', 'HM-2026-0046', '7 November 2026', 'Saltgate creek', [
    'Dunlin, 44',
    'Knot, 2',
  ]),
  sheet('IMG_20261114_1622.jpg', 'jpg', 'HM-2026-0047', '14 November 2026', 'Heron wood', [
    'Redwing, 23',
    'Woodcock, 1',
  ]),
  sheet('Scan0017.tif', 'tif', 'HM-2026-0048', '21 November 2026', 'Causeway hide', ['Reed bunting, 5']),
  sheet('Scan0018.webp', 'webp', 'HM-2026-0049', '22 November 2026', 'Saltgate creek', ['Redshank, 13']),
  {
    ...{ file: 'Scan0019.pdf', as: 'pdf', head: 'Fenwold Insurance' },
    lines: [
      'Policy number: FI-3390-7',
      'Your cover begins on 1 December 2026',
      'Written 16 November 2026',
      'Buildings, pools and two boats',
    ],
  },
  {
    ...{ file: 'Scan0020.pdf', as: 'pdf', head: 'Minutes' },
    lines: [
      'Trustees’ meeting',
      'Held on 11 November 2026',
      'Present: Imke Tarrow, Desta Wynne, Wilma Oake',
      'The seal pool is to be relined.',
    ],
  },
  {
    ...{ file: 'Scan0021.pdf', as: 'scan', head: 'Receipt' },
    lines: ['Corner Feeds', '6 November 2026', 'Sprats, 20 kg', 'Paid'],
  },
  bill(
    'Scan0022.pdf',
    'Tern Print',
    '19 Nov 2026',
    '19 Dec 2026',
    '2317',
    'Posters: Open day of the field school',
  ),
];

const pageOf = ({ head, lines }: PaperMade) => `<!doctype html><meta charset="utf-8">
<style>body{font:17px/1.9 serif;margin:70px 80px;color:#222}h1{font-size:34px;margin:0 0 34px}</style>
<h1>${head}</h1>${lines.map((line) => `<p>${line}</p>`).join('')}`;

/** A picture of a page, as a scanner makes it: in grey, and not quite straight. */
async function scanned(page: Page, type: 'png' | 'jpeg'): Promise<Buffer> {
  await page.addStyleTag({
    content: 'html{background:#f6f5f1}body{background:none;transform:rotate(-0.6deg);filter:grayscale(1)}',
  });
  return page.screenshot(type === 'jpeg' ? { type, quality: 45 } : { type });
}

/** Runs of bytes as PackBits writes them (TIFF 6.0, section 9). */
function packBits(row: Uint8Array): number[] {
  const out: number[] = [];
  for (let at = 0; at < row.length;) {
    let same = 1;
    while (same < 128 && at + same < row.length && row[at + same] === row[at]) same += 1;
    out.push(same === 1 ? 0 : 257 - same, row[at]!);
    at += same;
  }
  return out;
}

/** A page in black and white as a TIFF (6.0, baseline, PackBits), of points that are dark or not. */
function tiffOf(width: number, height: number, isDark: (x: number, y: number) => boolean): Buffer {
  const strip: number[] = [];
  for (let y = 0; y < height; y += 1) {
    const row = new Uint8Array(Math.ceil(width / 8));
    for (let x = 0; x < width; x += 1) if (isDark(x, y)) row[x >> 3]! |= 0x80 >> (x & 7);
    strip.push(...packBits(row));
  }
  const tags: [number, number, number][] = [
    [256, 4, width],
    [257, 4, height],
    [258, 3, 1],
    [259, 3, 32773],
    [262, 3, 0],
    [273, 4, 8],
    [277, 3, 1],
    [278, 4, height],
    [279, 4, strip.length],
  ];
  const head = Buffer.alloc(8);
  head.write('II*\0', 'latin1');
  const at = 8 + strip.length + (strip.length % 2);
  head.writeUInt32LE(at, 4);
  const directory = Buffer.alloc(2 + tags.length * 12 + 4);
  directory.writeUInt16LE(tags.length, 0);
  tags.forEach(([tag, type, value], index) => {
    const from = 2 + index * 12;
    directory.writeUInt16LE(tag, from);
    directory.writeUInt16LE(type, from + 2);
    directory.writeUInt32LE(1, from + 4);
    directory.writeUInt32LE(value, from + 8);
  });
  return Buffer.concat([head, Buffer.from(strip), Buffer.alloc(strip.length % 2), directory]);
}

/** As a scanner saves it: on the day when all of these were scanned. */
function saved(pdf: PDFDocument): Promise<Uint8Array> {
  pdf.setCreationDate(SCANNED);
  pdf.setModificationDate(SCANNED);
  return pdf.save();
}

async function made(page: Page, paper: PaperMade): Promise<Uint8Array> {
  await page.setContent(pageOf(paper));
  switch (paper.as) {
    case 'pdf': {
      const pdf = await PDFDocument.load(await page.pdf({ format: 'A4' }));
      pdf.setTitle('');
      return saved(pdf);
    }
    case 'scan': {
      const pdf = await PDFDocument.create();
      const picture = await pdf.embedJpg(await scanned(page, 'jpeg'));
      pdf.addPage([595, 842]).drawImage(picture, { x: 0, y: 0, width: 595, height: 842 });
      return saved(pdf);
    }
    case 'png':
      return scanned(page, 'png');
    case 'jpg':
      return scanned(page, 'jpeg');
    case 'webp': {
      const png = (await scanned(page, 'png')).toString('base64');
      const webp = await page.evaluate(async (data) => {
        const image = new Image();
        image.src = `data:image/png;base64,${data}`;
        await image.decode();
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [image.width, image.height];
        canvas.getContext('2d')!.drawImage(image, 0, 0);
        return canvas.toDataURL('image/webp', 0.5).split(',')[1]!;
      }, png);
      return Buffer.from(webp, 'base64');
    }
    case 'tif': {
      const png = (await scanned(page, 'png')).toString('base64');
      const dark = await page.evaluate(async (data) => {
        const image = new Image();
        image.src = `data:image/png;base64,${data}`;
        await image.decode();
        const canvas = document.createElement('canvas');
        [canvas.width, canvas.height] = [image.width, image.height];
        const context = canvas.getContext('2d')!;
        context.drawImage(image, 0, 0);
        const { data: points } = context.getImageData(0, 0, canvas.width, canvas.height);
        let bits = '';
        for (let at = 0; at < points.length; at += 4) bits += points[at]! < 140 ? '1' : '0';
        return { width: canvas.width, height: canvas.height, bits };
      }, png);
      return tiffOf(dark.width, dark.height, (x, y) => dark.bits[y * dark.width + x] === '1');
    }
  }
}

const MAIL = `From: Saltgate Council <waste@saltgate.example>
To: office@hollin-marsh.example
Subject: Collection of clinical waste, new day
Date: Tue, 17 Nov 2026 10:12:00 +0000
MIME-Version: 1.0
Content-Type: text/plain; charset=utf-8

From 7 December 2026 your clinical waste is collected on Mondays.
`;
const TEXT =
  'Ferry to the island, for the seal survey\nDate: 13/11/2026\nTwo adults, return\nTicket no: 5521\n';

const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
const page = await browser.newPage({ viewport: { width: 794, height: 1123 } });
fs.mkdirSync(FOLDER, { recursive: true });
for (const paper of PAPERS) fs.writeFileSync(path.join(FOLDER, paper.file), await made(page, paper));
fs.writeFileSync(path.join(FOLDER, 'Collection of clinical waste.eml'), MAIL);
fs.writeFileSync(path.join(FOLDER, 'ticket.txt'), TEXT);
await browser.close();
