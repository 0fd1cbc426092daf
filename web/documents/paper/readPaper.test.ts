import fs from 'node:fs';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import { strToU8, zipSync } from 'fflate';
import { datesOfPaper, numbersOfPaper } from '#core/naming';
import { readPaper } from './readPaper';

const FOLDER = 'demo/lived/tray/papers';
const CHANGED = Date.UTC(2026, 10, 26, 12);
const fileOf = (name: string, content: Uint8Array | string) =>
  new File([content as BlobPart], name, { lastModified: CHANGED });
const demoPaper = (name: string) => readPaper(fileOf(name, fs.readFileSync(path.join(FOLDER, name))));
const known = { languages: ['en-GB'], today: '2026-11-27' };

test.each<[name: string, kind: string, date: string, context: string]>([
  ['Scan0001.pdf', 'pdf', '2026-09-04', 'Invoice date: 4 September 2026'],
  ['Scan0004.pdf', 'pdf', '2026-09-12', 'Invoice date: 12/09/2026'],
  ['Scan0006.pdf', 'pdf', '2026-10-21', 'Invoice date: 2026-10-21'],
  ['Scan0008.pdf', 'pdf', '2026-09-30', 'Invoice date: 30 Sept 2026'],
  ['Scan0013.pdf', 'pdf', '2026-10-24', 'Date: 24 October 2026'],
  ['Scan0019.pdf', 'pdf', '2026-11-16', 'Written 16 November 2026'],
  ['Scan0020.pdf', 'pdf', '2026-11-11', 'Held on 11 November 2026'],
  ['Scan0010.pdf', 'pdf', '2026-11-24', 'made, by its properties'],
  ['Scan0015.png', 'picture', '2026-11-26', 'last changed'],
  ['IMG_20261114_1622.jpg', 'picture', '2026-11-14', 'in its old name'],
  ['Scan0017.tif', 'tiff', '2026-11-26', 'last changed'],
  ['Scan0018.webp', 'picture', '2026-11-26', 'last changed'],
  ['Collection of clinical waste.eml', 'mail', '2026-11-17', 'sent'],
  ['ticket.txt', 'text', '2026-11-13', 'Date: 13/11/2026'],
])('%s of the demo is a %s, and likeliest of %s', async (name, kind, date, context) => {
  const read = await demoPaper(name);
  expect([read.kind, read.problem]).toEqual([kind, null]);
  expect(datesOfPaper(read.paper, known)[0]).toEqual({ date, context, isMonth: false });
});

test('a mail says who it is from and what it is about; a bill bears its number', async () => {
  expect((await demoPaper('Collection of clinical waste.eml')).paper).toMatchObject({
    ...{ from: 'Saltgate Council', title: 'Collection of clinical waste, new day' },
  });
  const { paper, pages } = await demoPaper('Scan0006.pdf');
  expect([pages, numbersOfPaper(paper, [])[0]]).toEqual([
    1,
    { number: 'SV/20931', context: 'Invoice number' },
  ]);
});

const WORDS = 'xmlns:w="http://schemas.openxmlformats.org/wordprocessingml/2006/main"';
const docx = (more: Record<string, string>) =>
  zipSync(
    Object.fromEntries(
      Object.entries({
        '[Content_Types].xml': '<Types/>',
        '_rels/.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r" Type="http://schemas.openxmlformats.org/officeDocument/2006/relationships/officeDocument" Target="word/document.xml"/></Relationships>`,
        'word/document.xml': `<w:document ${WORDS}><w:body><w:p><w:r><w:t>Dated 3 May 2026 &amp; signed</w:t></w:r></w:p></w:body></w:document>`,
        ...more,
      }).map(([name, text]) => [name, strToU8(text)]),
    ),
  );

test('a docx is read for its words and its properties', async () => {
  const about = `<cp:coreProperties xmlns:dc="x" xmlns:dcterms="y" xmlns:cp="z"><dc:title>Lease</dc:title><dc:creator>Tegan</dc:creator><dcterms:created>2026-05-02T09:00:00Z</dcterms:created></cp:coreProperties>`;
  const { kind, paper, problem } = await readPaper(
    fileOf('lease.docx', docx({ 'docProps/core.xml': about })),
  );
  expect([kind, problem]).toEqual(['docx', null]);
  expect(paper).toMatchObject({
    text: 'Dated 3 May 2026 & signed',
    title: 'Lease',
    from: 'Tegan',
    dated: '2026-05-02',
  });
});

test.each([
  [
    'half.pdf',
    fs.readFileSync(path.join(FOLDER, 'Scan0001.pdf')).subarray(0, 500),
    'pdf',
    /not the whole of one/,
  ],
  ['odd.docx', docx({ 'word/document.xml': '<no' }), 'docx', /odd\.docx is damaged/],
  ['empty.pdf', new Uint8Array(), 'other', null],
  ['program.exe', Uint8Array.from([0x4d, 0x5a, 0, 1, 2]), 'other', null],
  ['half.png', fs.readFileSync(path.join(FOLDER, 'Scan0015.png')).subarray(0, 40), 'picture', null],
])('%s can be named all the same', async (name, content, kind, problem) => {
  const read = await readPaper(fileOf(name, content));
  expect(read.kind).toBe(kind);
  if (problem) expect(read.problem).toMatch(problem);
  else expect(read.problem).toBeNull();
  expect(read.paper).toMatchObject({ name, text: '', changed: '2026-11-26' });
});

test('a file that is gone meanwhile is told, not thrown', async () => {
  const gone = fileOf('gone.pdf', 'x');
  gone.arrayBuffer = () => Promise.reject(new DOMException('', 'NotReadableError'));
  expect((await readPaper(gone)).problem).toMatch(/moved, changed or deleted/);
});
