import { SaxesParser } from 'saxes';

/** A tag as it stands in its source: `start` is where its `<` is, `end` right behind its `>`. */
export interface XmlTag {
  /** Its name without a prefix. */
  name: string;
  prefix: string;
  uri: string;
  start: number;
  end: number;
  /** The value of an attribute by its name without a prefix, of the namespace given; '' for one without a prefix. */
  attr: (name: string, uri?: string) => string | undefined;
}

/** What hears of the parts of an XML text, in their order. */
export interface XmlListener {
  open: (tag: XmlTag) => void;
  /** The end of an element, by its name and namespace; of one written as `<a/>` it has the place of the whole tag. */
  close: (element: { name: string; uri: string }, start: number, end: number) => void;
  text: (words: string) => void;
}

/** An XML text that is not well-formed, with what is wrong with it. */
export class XmlFault extends Error {}

/**
 * Reads an XML text from its start to its end and tells where each tag stands, in UTF-16 units of `source`. Entities that a document
 * type would define are not known here, so that a small file can not be made to unfold. Throws an XmlFault.
 */
export function scanXml(source: string, listener: XmlListener): void {
  const parser = new SaxesParser({ xmlns: true });
  // In XML no `<` stands within a tag, be it in a value: the last one before a tag's end is its start.
  const startOf = (end: number) => source.lastIndexOf('<', end - 1);
  parser.on('error', ({ message }) => {
    throw new XmlFault(message);
  });
  parser.on('opentag', ({ local, prefix, uri, attributes }) => {
    const end = parser.position;
    const all = Object.values(attributes);
    const attr = (name: string, of = '') =>
      all.find((one) => one.local === name && (of === '' ? one.prefix === '' : one.uri === of))?.value;
    listener.open({ name: local, prefix, uri, start: startOf(end), end, attr });
  });
  parser.on('closetag', ({ local, uri }) => {
    listener.close({ name: local, uri }, startOf(parser.position), parser.position);
  });
  parser.on('text', (words) => listener.text(words));
  parser.on('cdata', (words) => listener.text(words));
  parser.write(source).close();
}
