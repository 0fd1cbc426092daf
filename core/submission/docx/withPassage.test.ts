import { describe, expect, test } from '@jest/globals';
import { plainPassage, type Passage } from '#core/passage';
import { NotDocx, paragraphsOf, readDocx, withPassage, wordsOfBlock } from '..';

const W = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const docx = (body: string, prefix = 'w'): Map<string, string> =>
  new Map([
    [
      '_rels/.rels',
      `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r" Type="${OFFICE}/officeDocument" Target="word/document.xml"/></Relationships>`,
    ],
    [
      'word/document.xml',
      `<?xml version="1.0"?><${prefix}:document xmlns:${prefix}="${W}"><${prefix}:body>${body}</${prefix}:body></${prefix}:document>`,
    ],
  ]);
const p = (text: string, prefix = 'w') =>
  `<${prefix}:p><${prefix}:r><${prefix}:t>${text}</${prefix}:t></${prefix}:r></${prefix}:p>`;
const SECTION = '<w:sectPr><w:pgSz w:w="11906"/></w:sectPr>';
const table = (inner: string) => `<w:tbl><w:tr><w:tc>${inner}</w:tc></w:tr></w:tbl>`;
const words = (parts: Map<string, string>) => readDocx(parts).submission.blocks.map(wordsOfBlock);
const put = (parts: Map<string, string>, passage: Passage, behind = '') => {
  const made = withPassage(parts, passage, behind);
  return made && new Map([...parts, ...made]);
};

describe('a passage in a document that is there', () => {
  test('stands at its end, before what says how its pages are', () => {
    const made = put(docx(p('Application') + SECTION), plainPassage('Accepted & glad.\n\nImke'))!;
    expect(words(made)).toEqual(['Application', 'Accepted & glad.', 'Imke']);
    expect(made.get('word/document.xml')).toMatch(
      /<\/w:p><w:sectPr><w:pgSz w:w="11906"\/><\/w:sectPr><\/w:body>/,
    );
  });

  test('stands behind the paragraph of given words, capitals and spaces aside, in a table too; all else is as it was', () => {
    const parts = docx(p('Name: Petra') + table(p('Our  decision:')) + p('Signed') + SECTION);
    const made = put(parts, plainPassage('Accepted.'), 'our decision:')!;
    expect(words(made)).toEqual(['Name: Petra', 'Our  decision:', 'Accepted.', 'Signed']);
    const [before, after] = [parts, made].map((all) => all.get('word/document.xml')!);
    expect(after!.replace(/<w:p><w:r><w:t xml:space="preserve">Accepted\.<\/w:t><\/w:r><\/w:p>/, '')).toBe(
      before,
    );
  });

  test('is not put anywhere else where no paragraph has the words', () => {
    expect(put(docx(p('Application')), plainPassage('x'), 'Decision:')).toBeNull();
  });

  test('is written with the prefix that the document has', () => {
    const made = put(docx(p('a', 'x'), 'x'), plainPassage('b'))!;
    expect(words(made)).toEqual(['a', 'b']);
  });

  test('cannot be put into what is no document', () => {
    expect(() => withPassage(new Map(), plainPassage('b'), '')).toThrow(NotDocx);
    expect(() => withPassage(docx('<w:p>'), plainPassage('b'), '')).toThrow(NotDocx);
  });

  test('can stand behind each paragraph that has words, in their order', () => {
    expect(paragraphsOf(docx(p('a') + '<w:p/>' + table(p('b  c')) + p('d')))).toEqual(['a', 'b c', 'd']);
  });
});
