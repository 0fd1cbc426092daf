import type { XmlTag } from '../scanXml';

/** The namespaces of WordprocessingML: as most programs write it, and as ISO/IEC 29500 Strict has it. */
const WORD = [
  'http://schemas.openxmlformats.org/wordprocessingml/2006/main',
  'http://purl.oclc.org/ooxml/wordprocessingml/main',
];
/** Of the relationships between parts, in the same two forms. */
export const RELATIONS = [
  'http://schemas.openxmlformats.org/officeDocument/2006/relationships',
  'http://purl.oclc.org/ooxml/officeDocument/relationships',
];

/** Whether a tag is of WordprocessingML itself. */
export const isWord = ({ uri }: { uri: string }): boolean => WORD.includes(uri);

/** An attribute of WordprocessingML. */
export const wordAttr = (tag: XmlTag, name: string): string | undefined => tag.attr(name, tag.uri);

/** Whether a switch such as bold is on: it is where nothing is said of it. */
export const isOn = (tag: XmlTag): boolean =>
  !['0', 'false', 'off', 'none'].includes(wordAttr(tag, 'val') ?? '1');
