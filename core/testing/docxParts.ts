const WORD = 'http://schemas.openxmlformats.org/wordprocessingml/2006/main';
const OFFICE = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';
const RELATIONSHIPS = 'http://schemas.openxmlformats.org/package/2006/relationships';

const relations = (all: Record<string, string>) =>
  `<Relationships xmlns="${RELATIONSHIPS}">${Object.entries(all)
    .map(([kind, target], at) => `<Relationship Id="rId${at}" Type="${OFFICE}/${kind}" Target="${target}"/>`)
    .join('')}</Relationships>`;

/** The parts of a docx with a body, and what else it has. */
export const docxParts = (
  body: string,
  more: Record<string, string> = {},
  base = WORD,
): Map<string, string> => {
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
/** A part of a docx besides its text, such as its comments, by its element's name and what is within. */
export const docxPart = (name: string, inner: string): string =>
  `<w:${name} xmlns:w="${WORD}">${inner}</w:${name}>`;

/** A paragraph of runs. */
export const docxParagraph = (...runs: string[]): string => `<w:p>${runs.join('')}</w:p>`;

/** A run of words, which must be written as XML has them. */
export const docxRun = (text: string, properties = ''): string =>
  `<w:r>${properties}<w:t xml:space="preserve">${text}</w:t></w:r>`;
