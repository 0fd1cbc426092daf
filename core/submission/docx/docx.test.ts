import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { comparePoints, plainPassage, type TextRange } from '#core/passage';
import { NotDocx, readDocx, withComments, wordsOfBlock, type DocxComment, type Submission } from '..';

const W = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const RELATIONSHIPS = 'http://schemas.openxmlformats.org/package/2006/relationships';

const relations = (all: Record<string, string>) =>
  `<Relationships xmlns="${RELATIONSHIPS}">${Object.entries(all)
    .map(([kind, target], at) => `<Relationship Id="rId${at}" Type="${OFFICE}/${kind}" Target="${target}"/>`)
    .join('')}</Relationships>`;

/** The parts of a docx with a body, and what else it has. */
const docx = (body: string, more: Record<string, string> = {}, base = W): Map<string, string> => {
  const kinds = Object.keys(more).map((kind) => [kind, `${kind}.xml`] as const);
  return new Map([
    ['[Content_Types].xml', '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"/>'],
    ['_rels/.rels', relations({ officeDocument: 'word/document.xml' })],
    ['word/_rels/document.xml.rels', relations(Object.fromEntries(kinds))],
    ...Object.entries(more).map(([kind, xml]) => [`word/${kind}.xml`, xml] as const),
    [
      'word/document.xml',
      `<?xml version="1.0"?>\r\n<w:document xmlns:w="${base}" xmlns:r="${OFFICE}" xmlns:m="urn:m" xmlns:mc="urn:mc"><w:body>${body}</w:body></w:document>`,
    ],
  ]);
};
const part = (name: string, inner: string) => `<w:${name} xmlns:w="${W}">${inner}</w:${name}>`;
const p = (...runs: string[]) => `<w:p>${runs.join('')}</w:p>`;
const r = (text: string, properties = '') =>
  `<w:r>${properties}<w:t xml:space="preserve">${text}</w:t></w:r>`;
const read = (body: string, more?: Record<string, string>) => readDocx(docx(body, more)).submission;
const words = ({ blocks }: Submission) => blocks.map(wordsOfBlock);
const on = (block: number, from: number, to: number, last = block): TextRange => ({
  from: { block, at: from },
  to: { block: last, at: to },
});
const comment = (range: TextRange, text = 'See'): DocxComment => ({
  on: range,
  passage: plainPassage(text),
  author: 'Desta Wynne',
  at: '2026-11-28T10:00:00Z',
});
const put = (parts: Map<string, string>, comments: DocxComment[]) =>
  new Map([...parts, ...withComments(parts, comments)]);
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

/** A run, by its words and how it is written. */
const anyRun = fc
  .tuple(
    fc.string({ unit: fc.constantFrom('a', 'b', ' ', '&', '<', '🦉', 'é'), minLength: 1, maxLength: 6 }),
    fc.constantFrom(
      '',
      '<w:rPr><w:b/></w:rPr>',
      '<w:rPr><w:rPrChange w:id="1"><w:rPr><w:i/></w:rPr></w:rPrChange></w:rPr>',
    ),
    fc.constantFrom('run', 'link', 'ins', 'two', 'plain', 'place', 'cdata'),
  )
  .map(([text, properties, as]) => {
    const xml = text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/🦉/g, '&#x1F989;');
    if (as === 'link') return `<w:hyperlink r:id="r">${r(xml, properties)}</w:hyperlink>`;
    if (as === 'ins') return `<w:ins w:id="3">${r(xml, properties)}</w:ins>`;
    if (as === 'two')
      return `<w:r>${properties}<w:t xml:space="preserve">${xml}</w:t><w:tab/><w:t>end</w:t></w:r>`;
    if (as === 'plain') return `<w:r w:rsidR="00A1">${properties}<w:t>${xml}</w:t></w:r>`;
    if (as === 'place') return `<w:r>${properties}<w:object/></w:r>`;
    if (as === 'cdata') return `<w:r>${properties}<w:t><![CDATA[x y]]></w:t></w:r>`;
    return r(xml, properties);
  });
const anyBody = fc.array(
  fc.array(anyRun, { maxLength: 4 }).map((runs) => p(...runs)),
  { minLength: 1, maxLength: 4 },
);

/** What comments put into a part, and what they part, taken out again. */
const withoutAnchors = (xml: string): string =>
  xml
    .replace(/<w:commentRange(Start|End) w:id="\d+"\/>/g, '')
    .replace(/<w:r><w:commentReference w:id="\d+"\/><\/w:r>/g, '');

describe('comments put into a docx', () => {
  test('words, looks and all else stay as they were, and each comment is read again on the very words it was put on', () => {
    fc.assert(
      fc.property(
        anyBody,
        fc.array(fc.tuple(fc.nat(), fc.nat()), { minLength: 1, maxLength: 5 }),
        (body, picked) => {
          const parts = docx(body.join(''));
          const { submission: before } = readDocx(parts);
          // Every place between two signs that can be parted; half of a sign is none.
          const points = before.blocks.flatMap((block, index) => {
            const text = wordsOfBlock(block);
            return Array.from({ length: text.length + 1 }, (_, at) => ({ block: index, at })).filter(
              ({ at }) => !/[\udc00-\udfff]/.test(text[at] ?? ''),
            );
          });
          const ranges = picked
            .map(([a, b]) => [points[a % points.length]!, points[b % points.length]!].sort(comparePoints))
            .map(([from, to]) => ({ from: from!, to: to! }))
            .filter(({ from, to }) => comparePoints(from, to) < 0);
          const out = put(
            parts,
            ranges.map((range, at) => comment(range, `Comment ${at}`)),
          );
          const { submission: after } = readDocx(out);
          expect(after.blocks).toEqual(before.blocks);
          const wordsWithin = ({ from, to }: TextRange) =>
            before.blocks
              .map((block, index) => {
                const all = wordsOfBlock(block);
                if (index < from.block || index > to.block) return '';
                return all.slice(index === from.block ? from.at : 0, index === to.block ? to.at : all.length);
              })
              .join('');
          // Where one ends before empty lines, or within what cannot be parted, it may hold more, and never less.
          const holds = after.comments.map(({ text, on: range }) => [text, wordsWithin(range)] as const);
          for (const [at, range] of ranges.entries()) {
            const wanted = wordsWithin(range);
            const found = holds.find(([text]) => text === `Comment ${at}`);
            if (wanted === '') continue;
            expect(found![1]).toContain(wanted);
            if (!body.join('').includes('CDATA')) expect(found![1]).toBe(wanted);
          }
        },
      ),
      { numRuns: 300 },
    );
  });

  test('between runs nothing but the anchors comes in; within a run it is parted, with the properties it has', () => {
    const bold = '<w:rPr><w:b/></w:rPr>';
    const parts = docx(p(r('We ', bold), r('walked.')));
    const between = put(parts, [comment(on(0, 3, 10))]).get('word/document.xml')!;
    expect(withoutAnchors(between)).toBe(parts.get('word/document.xml'));
    const within = put(docx(p(`<w:r>${bold}<w:t>We go</w:t></w:r>`)), [comment(on(0, 0, 3))]).get(
      'word/document.xml',
    )!;
    expect(within).toContain(
      `<w:commentRangeStart w:id="0"/><w:r>${bold}<w:t xml:space="preserve">We </w:t></w:r><w:commentRangeEnd w:id="0"/><w:r><w:commentReference w:id="0"/></w:r><w:r>${bold}<w:t xml:space="preserve">go</w:t></w:r>`,
    );
  });

  test('no part but the text, the comments and what names them changes; ids go on from those that are there', () => {
    const there = part('comments', `<w:comment w:id="4" w:author="R">${p(r('Old'))}</w:comment>`);
    const styles = part('styles', '');
    const parts = docx(p(r('We walked.')), { comments: there, styles });
    const changed = withComments(parts, [comment(on(0, 0, 2), 'New & <old>')]);
    expect([...changed.keys()].sort()).toEqual(['word/comments.xml', 'word/document.xml']);
    const comments = changed.get('word/comments.xml')!;
    expect(comments).toContain('w:id="5"');
    expect(comments).toContain('w:initials="DW"');
    expect(comments).toContain('New &amp; &lt;old&gt;');
    expect(comments.startsWith(there.slice(0, -'</w:comments>'.length))).toBe(true);
    expect([...withComments(docx(p(r('x'))), [comment(on(0, 0, 1))]).keys()].sort()).toEqual([
      '[Content_Types].xml',
      'word/_rels/document.xml.rels',
      'word/comments.xml',
      'word/document.xml',
    ]);
  });

  test('on a note they stand on its number, with its words; none reaches into the notes', () => {
    const footnotes = part(
      'footnotes',
      `<w:footnote w:id="5">${p(r('Overcast.'))}${p(r('Later fair.'))}</w:footnote>`,
    );
    const noted = docx(p(r('We'), '<w:r><w:footnoteReference w:id="5"/></w:r>', r(' went.')), { footnotes });
    const out = put(noted, [
      comment(on(1, 0, 4), 'How far?'),
      comment(on(2, 6, 10), 'Fair?'),
      comment(on(0, 3, 2, 1), 'All of it.'),
      comment(on(0, 0, 2), 'Who?'),
    ]);
    expect(out.get('word/footnotes.xml')).toBe(footnotes);
    expect(readDocx(out).submission.comments.map(({ on: range, text }) => [range, text])).toEqual([
      [on(0, 2, 3), '1 “Over”\nHow far?'],
      [on(0, 2, 3), '1 “fair”\nFair?'],
      [on(0, 3, 9), 'All of it.'],
      [on(0, 0, 2), 'Who?'],
    ]);
  });

  test('on an empty line between two texts, and in a file of the strict form', () => {
    const empty = put(docx(`${p(r('a'))}<w:p/>${p(r('b'))}`), [comment(on(1, 0, 0))]);
    expect(readDocx(empty).submission.comments.map(({ on: range }) => range)).toEqual([on(0, 0, 1)]);
    const strict = 'http://purl.oclc.org/ooxml/wordprocessingml/main';
    const parts = docx(p(r('We')), {}, strict);
    const out = put(parts, [comment(on(0, 0, 2))]);
    expect(out.get('word/_rels/document.xml.rels')).toContain(
      'http://purl.oclc.org/ooxml/officeDocument/relationships/comments',
    );
    expect(out.get('word/comments.xml')).toContain(`xmlns:w="${strict}"`);
  });
});
