import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { comparePoints, plainPassage, type TextRange } from '#core/passage';
import { docxParagraph as p, docxPart as part, docxParts as docx, docxRun as r } from '#core/testing';
import { readDocx, withComments, wordsOfBlock, type DocxComment } from '..';

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
