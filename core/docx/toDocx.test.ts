import { expect, test } from '@jest/globals';
import { Packer } from 'docx';
import { strFromU8, unzipSync } from 'fflate';
import type { Block, Passage } from '#core/passage';
import { toDocx } from '.';

const words = (text: string, ...marks: string[]) => ({
  type: 'text' as const,
  text,
  marks: marks.map((type) => ({ type })),
});
const paragraph = (...content: object[]) => ({ type: 'paragraph', content });
const item = (...content: object[]) => ({ type: 'listItem', content });
const numbered = (start: number, ...content: object[]) => ({
  type: 'orderedList',
  attrs: { start },
  content,
});

/** The parts of the written file, as their XML. */
async function written(content: object[]): Promise<{ document: string; numbering: string }> {
  const passage = { type: 'doc', content: content as Block[] } as Passage;
  const files = unzipSync(new Uint8Array(await Packer.toBuffer(toDocx(passage, 'Ward note'))));
  const part = (name: string) => strFromU8(files[`word/${name}.xml`]!);
  return { document: part('document'), numbering: part('numbering') };
}

const textOf = (xml: string) =>
  [...xml.matchAll(/<w:t[ >][^<]*<\/w:t>|<w:t>[^<]*<\/w:t>/g)].map(([run]) => run.replace(/<[^>]*>/g, ''));

test('words come as they stand, signs and all, with their looks and breaks', async () => {
  const { document } = await written([
    { type: 'heading', attrs: { level: 2 }, content: [words('Findings')] },
    paragraph(words('Weight < 500 g & falling', 'bold'), { type: 'hardBreak' }, words('“Bramble”', 'italic')),
  ]);
  expect(textOf(document)).toEqual(['Findings', 'Weight &lt; 500 g &amp; falling', '“Bramble”']);
  expect(document).toMatch(/<w:pStyle w:val="Heading2"\/>.*Findings/);
  expect(document).toMatch(/<w:b\/>.*Weight/);
  expect(document).toMatch(/<w:br\/>/);
  expect(document).toMatch(/<w:i\/>.*“Bramble”/);
});

test('each numbered list counts for itself, from where it starts; a list within one is a level deeper', async () => {
  const { document, numbering } = await written([
    numbered(1, item(paragraph(words('one')), numbered(1, item(paragraph(words('within')))))),
    numbered(4, item(paragraph(words('four')), paragraph(words('still four')))),
  ]);
  const paragraphs = document.match(/<w:p>.*?<\/w:p>/g)!;
  const inList = (text: string) => {
    const found = paragraphs.find((one) => textOf(one).join('') === text)!;
    return {
      list: /<w:numId w:val="(\d+)"/.exec(found)?.[1],
      level: /<w:ilvl w:val="(\d+)"/.exec(found)?.[1],
    };
  };
  expect(inList('one').level).toBe('0');
  expect(inList('within').level).toBe('1');
  expect(inList('still four')).toEqual({ list: undefined, level: undefined });
  const lists = ['one', 'within', 'four'].map((text) => inList(text).list);
  expect(new Set(lists).size).toBe(3);
  expect(numbering).toMatch(/<w:start w:val="4"\/>/);
});

test('a table keeps its cells, and what spans several of them', async () => {
  const cell = (type: string, text: string, attrs?: object) => ({
    type,
    ...(attrs ? { attrs } : {}),
    content: [paragraph(words(text))],
  });
  const { document } = await written([
    {
      type: 'table',
      content: [
        { type: 'tableRow', content: [cell('tableHeader', 'Doses', { colspan: 2, rowspan: 1 })] },
        { type: 'tableRow', content: [cell('tableCell', 'Morning'), cell('tableCell', '0.5 mg')] },
      ],
    },
  ]);
  expect(document.match(/<w:tr>/g)).toHaveLength(2);
  // Its heading row is bold, and stands at the head of each page it goes on to.
  expect(document.match(/<w:tblHeader\/>/g)).toHaveLength(1);
  expect(document).toMatch(/<w:b\/>(?:(?!<w:t[ >]).)*<w:t[^>]*>Doses/);
  expect(document).not.toMatch(/<w:b\/>(?:(?!<w:t[ >]).)*<w:t[^>]*>Morning/);
  expect(document).toMatch(/<w:gridSpan w:val="2"\/>/);
  expect(textOf(document)).toEqual(['Doses', 'Morning', '0.5 mg']);
});

test('a link leads where it led, a quotation stands in, a box gives its name', async () => {
  const href = 'https://hollin.example/owls';
  const { document } = await written([
    paragraph({ ...words('owls'), marks: [{ type: 'link', attrs: { href } }] }),
    { type: 'blockquote', content: [paragraph(words('Quiet, please.'))] },
    { type: 'box', attrs: { id: 'b', name: 'Plan' }, content: [paragraph(words('Rest.'))] },
  ]);
  expect(document).toMatch(/<w:hyperlink [^>]*>.*owls.*<\/w:hyperlink>/);
  expect(document).toMatch(/<w:ind w:left="567"\/>.*Quiet, please\./);
  expect(textOf(document)).toEqual(['owls', 'Quiet, please.', 'Plan', 'Rest.']);
});

test('words hang behind a label and its tab, and go on beneath it; a heading does not; pages are numbered where asked', async () => {
  const content = [
    { type: 'heading', attrs: { level: 1 }, content: [words('Interview')] },
    paragraph(words('Wilf Ambry:', 'bold'), words('\t'), words('He went down.')),
    paragraph(words('He counted them.')),
  ];
  const passage = { type: 'doc', content: content as Block[] } as Passage;
  const files = unzipSync(
    new Uint8Array(await Packer.toBuffer(toDocx(passage, 'Interview', { hanging: 2000, pageNumbers: true }))),
  );
  const document = strFromU8(files['word/document.xml']!);
  const [heading, label, beneath] = document.match(/<w:p>.*?<\/w:p>/g)!;
  expect(heading).not.toContain('<w:ind');
  expect(label).toMatch(/<w:tab w:val="left" w:pos="2000"\/>.*<w:ind w:left="2000" w:hanging="2000"\/>/);
  expect(label).toMatch(/Wilf Ambry:<\/w:t>.*<w:tab\/>.*He went down\./);
  expect(beneath).toMatch(/<w:ind w:left="2000"\/>/);
  expect(strFromU8(files['word/footer1.xml']!)).toContain('PAGE');
});
