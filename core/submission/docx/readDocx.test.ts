import { describe, expect, test } from '@jest/globals';
import type { TextRange } from '#core/passage';
import { docxParagraph as p, docxPart as part, docxParts as docx, docxRun as r } from '#core/testing';
import { NotDocx, readDocx, wordsOfBlock, type Submission } from '..';

const read = (body: string, more?: Record<string, string>) => readDocx(docx(body, more)).submission;
const words = ({ blocks }: Submission) => blocks.map(wordsOfBlock);
const on = (block: number, from: number, to: number, last = block): TextRange => ({
  from: { block, at: from },
  to: { block: last, at: to },
});
const textOf = ({ spans }: Submission['blocks'][number]) =>
  spans.map((span) =>
    'text' in span ? `${span.text}|${(span.marks ?? []).join()}` : `<${span.place} ${span.name}>`,
  );

describe('what is read of a docx', () => {
  test.each([
    ['entities and line ends', p(r('a &amp; &#x1F989; b\r\nc')), ['a & 🦉 b\nc']],
    ['words over several runs', p(r('We '), r('walked', '<w:rPr><w:b/></w:rPr>'), r('.')), ['We walked.']],
    [
      'tabs, breaks and hyphens',
      p('<w:r><w:t>a</w:t><w:tab/><w:t>b</w:t><w:br/><w:noBreakHyphen/></w:r>'),
      ['a\tb\n\u2011'],
    ],
    ['an empty paragraph', `<w:p/>${p(r('x'))}`, ['', 'x']],
    [
      'content controls and smart tags',
      `<w:sdt><w:sdtContent>${p('<w:smartTag>', r('in'), '</w:smartTag>')}</w:sdtContent></w:sdt>`,
      ['in'],
    ],
    ['no codes of fields', p('<w:r><w:instrText>PAGE</w:instrText></w:r>', r('7')), ['7']],
    [
      'not how it looked before',
      p(
        '<w:pPr><w:pPrChange><w:pPr><w:pStyle w:val="x"/></w:pPr></w:pPrChange></w:pPr>',
        r('now', '<w:rPr><w:rPrChange><w:rPr><w:b/></w:rPr></w:rPrChange></w:rPr>'),
      ),
      ['now'],
    ],
  ])('%s', (_what, body, expected) => {
    expect(words(read(body))).toEqual(expected);
  });

  test('looks, changes that are tracked, and links', () => {
    const body = p(
      r('a', '<w:rPr><w:b/><w:i w:val="0"/></w:rPr>'),
      `<w:ins w:id="1">${r('b')}</w:ins>`,
      '<w:del w:id="2"><w:r><w:delText>c</w:delText></w:r></w:del>',
      `<w:hyperlink r:id="rId9">${r('d', '<w:rPr><w:vertAlign w:val="superscript"/></w:rPr>')}</w:hyperlink>`,
    );
    expect(textOf(read(body).blocks[0]!)).toEqual(['a|bold', 'b|inserted', 'c|deleted', 'd|super,link']);
  });

  test('what is no words stands as a place, by what it is and its name; the second form of it is not read', () => {
    const drawing = (inner: string) =>
      `<w:drawing xmlns:wp="urn:wp"><wp:docPr name="Picture 1" descr="The creek"/>${inner}</w:drawing>`;
    const box = `<w:drawing xmlns:wps="urn:wps"><w:txbxContent>${p(r('Mind the'))}${p(r('mud'))}</w:txbxContent></w:drawing>`;
    const choice = `<mc:AlternateContent><mc:Choice>${box}</mc:Choice><mc:Fallback>${p(r('again'))}</mc:Fallback></mc:AlternateContent>`;
    const body = p(
      `<w:r>${drawing('')}</w:r>`,
      `<w:r>${choice}</w:r>`,
      '<m:oMath><m:t>x</m:t></m:oMath>',
      `<w:r>${drawing('<c:chart xmlns:c="urn:c"/>')}</w:r>`,
    );
    expect(textOf(read(body).blocks[0]!)).toEqual([
      '<picture The creek>',
      '<text-box Mind the mud>',
      '<formula x>',
      '<chart The creek>',
    ]);
  });

  test('headings by their styles, lists with their numbers, and quotations', () => {
    const style = (id: string, name: string, inner = '') =>
      `<w:style w:styleId="${id}"><w:name w:val="${name}"/>${inner}</w:style>`;
    const styles = part(
      'styles',
      style('H2', 'heading 2') + style('Own', 'Own', '<w:basedOn w:val="H2"/>') + style('Q', 'Block Quote'),
    );
    const level = (at: number, format: string, text: string) =>
      `<w:lvl w:ilvl="${at}"><w:start w:val="1"/><w:numFmt w:val="${format}"/><w:lvlText w:val="${text}"/></w:lvl>`;
    const numbering = part(
      'numbering',
      `<w:abstractNum w:abstractNumId="0">${level(0, 'decimal', '%1.')}${level(1, 'lowerLetter', '%1.%2)')}</w:abstractNum>
       <w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num>
       <w:num w:numId="2"><w:abstractNumId w:val="0"/><w:lvlOverride w:ilvl="0"><w:startOverride w:val="7"/></w:lvlOverride></w:num>`,
    );
    const styled = (id: string) => p(`<w:pPr><w:pStyle w:val="${id}"/></w:pPr>`, r(id));
    const item = (num: number, at: number) =>
      p(`<w:pPr><w:numPr><w:ilvl w:val="${at}"/><w:numId w:val="${num}"/></w:numPr></w:pPr>`, r('x'));
    const body = [
      styled('H2'),
      styled('Own'),
      styled('Q'),
      item(1, 0),
      item(1, 1),
      item(1, 1),
      item(1, 0),
      item(1, 1),
      item(2, 0),
    ];
    const { blocks } = read(body.join(''), { styles, numbering });
    expect(blocks.map(({ kind, level: at, label }) => [kind, at, label])).toEqual([
      ['heading', 2, undefined],
      ['heading', 2, undefined],
      ['quote', undefined, undefined],
      ['item', 0, '1.'],
      ['item', 1, '1.a)'],
      ['item', 1, '1.b)'],
      ['item', 0, '2.'],
      ['item', 1, '2.a)'],
      ['item', 0, '7.'],
    ]);
  });

  test('tables by their cells, one within another too; notes behind the text by their numbers', () => {
    const cell = (...inner: string[]) => `<w:tc>${inner.join('')}</w:tc>`;
    const table = (...rows: string[][]) =>
      `<w:tbl>${rows.map((cells) => `<w:tr>${cells.join('')}</w:tr>`).join('')}</w:tbl>`;
    const body = `${table([cell(p(r('a'))), cell(table([cell(p(r('b')))]), p(r('c')))], [cell(p(r('d')))])}${p('<w:r><w:footnoteReference w:id="5"/></w:r>')}`;
    const footnotes = part(
      'footnotes',
      `<w:footnote w:id="0" w:type="separator">${p(r('---'))}</w:footnote><w:footnote w:id="5">${p(r('Overcast.'))}</w:footnote>`,
    );
    const { blocks } = read(body, { footnotes });
    expect(
      blocks.map((block) => [
        wordsOfBlock(block),
        block.cell && [block.cell.table, block.cell.row, block.cell.column],
      ]),
    ).toEqual([
      ['a', [0, 0, 0]],
      ['b', [1, 0, 0]],
      ['c', [0, 0, 1]],
      ['d', [0, 1, 0]],
      ['\uFFFC', undefined],
      ['Overcast.', undefined],
    ]);
    expect(blocks.at(-1)).toMatchObject({ kind: 'note', label: '1' });
  });

  test('comments that are in it come along, on their words; one without a stretch is on its paragraph', () => {
    const comments = part(
      'comments',
      `<w:comment w:id="4" w:author="Ruan Pellow" w:date="2026-11-01T09:00:00Z">${p(r('Which tide?'))}${p(r('Say.'))}</w:comment><w:comment w:id="6" w:author="R">${p(r('All.'))}</w:comment>`,
    );
    const body = p(
      r('At '),
      '<w:commentRangeStart w:id="4"/>',
      r('high water'),
      '<w:commentRangeEnd w:id="4"/>',
      '<w:r><w:commentReference w:id="4"/></w:r>',
      r(' we.'),
      '<w:r><w:commentReference w:id="6"/></w:r>',
    );
    expect(read(body, { comments }).comments).toEqual([
      { author: 'Ruan Pellow', at: '2026-11-01T09:00:00Z', text: 'Which tide?\nSay.', on: on(0, 3, 13) },
      { author: 'R', at: '', text: 'All.', on: on(0, 0, 17) },
    ]);
  });

  test.each([
    ['no docx at all', new Map([['a.xml', '<a/>']])],
    ['broken XML', docx('<w:p>')],
    ['an entity that would unfold', docx(p(r('&lol;')))],
  ])('%s is told', (_what, parts) => {
    expect(() => readDocx(parts)).toThrow(NotDocx);
  });
});
