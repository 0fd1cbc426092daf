import { strToU8, zipSync } from 'fflate';

const escaped = (words: string) => words.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** A paragraph of a made document. */
export interface MadeParagraph {
  text: string;
  /** A heading of this rank. */
  heading?: number;
  /** All of it, or so many letters of its beginning. */
  bold?: true | number;
  underline?: true;
  item?: true;
}
export type MadeTable = { table: MadeBlock[][][] };
export type MadeBlock = MadeParagraph | MadeTable;

const W = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';

function run(text: string, { bold, underline }: { bold: boolean; underline: boolean }): string {
  const look = `${bold ? '<w:b/>' : ''}${underline ? '<w:u w:val="single"/>' : ''}`;
  const lines = escaped(text).split('\n').join('</w:t><w:br/><w:t xml:space="preserve">');
  return `<w:r>${look && `<w:rPr>${look}</w:rPr>`}<w:t xml:space="preserve">${lines}</w:t></w:r>`;
}

function wordXml(block: MadeBlock): string {
  if ('table' in block)
    return `<w:tbl>${block.table
      .map(
        (row) =>
          `<w:tr>${row.map((cell) => `<w:tc>${cell.map(wordXml).join('')}<w:p/></w:tc>`).join('')}</w:tr>`,
      )
      .join('')}</w:tbl>`;
  const { text, heading, bold, item, underline } = block;
  const style = heading ? `<w:pStyle w:val="Heading${heading}"/>` : '';
  const list = item ? '<w:numPr><w:ilvl w:val="0"/><w:numId w:val="1"/></w:numPr>' : '';
  const until = bold === true ? text.length : (bold ?? 0);
  const look = underline === true;
  return `<w:p>${style || list ? `<w:pPr>${style}${list}</w:pPr>` : ''}${until > 0 ? run(text.slice(0, until), { bold: true, underline: look }) : ''}${
    until < text.length ? run(text.slice(until), { bold: false, underline: look }) : ''
  }</w:p>`;
}

/** A document of Word with these blocks, as other programs write one. */
export function docxOf(blocks: readonly MadeBlock[]): Uint8Array {
  const relations = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
  const parts: Record<string, string> = {
    '[Content_Types].xml':
      '<Types xmlns="http://schemas.openxmlformats.org/package/2006/content-types"><Default Extension="xml" ContentType="application/xml"/><Override PartName="/word/document.xml" ContentType="application/vnd.openxmlformats-officedocument.wordprocessingml.document.main+xml"/></Types>',
    '_rels/.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${relations}/officeDocument" Target="word/document.xml"/></Relationships>`,
    'word/_rels/document.xml.rels': `<Relationships xmlns="http://schemas.openxmlformats.org/package/2006/relationships"><Relationship Id="r1" Type="${relations}/styles" Target="styles.xml"/><Relationship Id="r2" Type="${relations}/numbering" Target="numbering.xml"/></Relationships>`,
    'word/styles.xml': `<w:styles xmlns:w="${W}">${[1, 2, 3].map((rank) => `<w:style w:type="paragraph" w:styleId="Heading${rank}"><w:name w:val="heading ${rank}"/></w:style>`).join('')}</w:styles>`,
    'word/numbering.xml': `<w:numbering xmlns:w="${W}"><w:abstractNum w:abstractNumId="0"><w:lvl w:ilvl="0"><w:numFmt w:val="bullet"/></w:lvl></w:abstractNum><w:num w:numId="1"><w:abstractNumId w:val="0"/></w:num></w:numbering>`,
    'word/document.xml': `<w:document xmlns:w="${W}"><w:body>${blocks.map(wordXml).join('')}</w:body></w:document>`,
  };
  return zipSync(Object.fromEntries(Object.entries(parts).map(([name, text]) => [name, strToU8(text)])));
}

function openXml(block: MadeBlock): string {
  if ('table' in block)
    return `<table:table>${block.table
      .map(
        (row) =>
          `<table:table-row>${row.map((cell) => `<table:table-cell>${cell.map(openXml).join('')}</table:table-cell>`).join('')}</table:table-row>`,
      )
      .join('')}</table:table>`;
  const { text, heading, bold } = block;
  const words = escaped(text).replace(/\n/g, '<text:line-break/>');
  if (heading) return `<text:h text:outline-level="${heading}">${words}</text:h>`;
  return `<text:p>${bold === true ? `<text:span text:style-name="B">${words}</text:span>` : words}</text:p>`;
}

/** A document of OpenDocument with these blocks. */
export function odtOf(blocks: readonly MadeBlock[]): Uint8Array {
  const name = (part: string) => `urn:oasis:names:tc:opendocument:xmlns:${part}:1.0`;
  const content = `<office:document-content xmlns:office="${name('office')}" xmlns:text="${name('text')}" xmlns:table="${name('table')}" xmlns:style="${name('style')}" xmlns:fo="urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0"><office:automatic-styles><style:style style:name="B" style:family="text"><style:text-properties fo:font-weight="bold"/></style:style></office:automatic-styles><office:body><office:text>${blocks.map(openXml).join('')}</office:text></office:body></office:document-content>`;
  return zipSync({
    mimetype: [strToU8('application/vnd.oasis.opendocument.text'), { level: 0 }],
    'content.xml': strToU8(content),
  });
}
