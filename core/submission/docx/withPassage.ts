import type { Passage } from '#core/passage';
import { scanXml, XmlFault } from '../scanXml';
import { paragraphsXml } from './commentXml';
import { NotDocx, wordPartsOf, type DocxParts } from './docxParts';
import { isWord } from './wordNames';

/** A paragraph of a document: its words, and where it ends. */
interface ParagraphAt {
  words: string;
  end: number;
}

interface PlacesOfBody {
  paragraphs: ParagraphAt[];
  /** Behind all that the document says, before what says how its pages are. */
  end: number;
  /** The prefix of WordprocessingML, with its colon. */
  w: string;
}

const oneLine = (words: string) => words.replace(/\s+/g, ' ').trim();

/** Where in a document something can be put. */
function placesIn(source: string): PlacesOfBody {
  const open: string[] = [];
  const begun: string[] = [];
  const paragraphs: ParagraphAt[] = [];
  let [end, last, w] = [-1, -1, 'w:'];
  scanXml(source, {
    open: (tag) => {
      const name = isWord(tag) ? tag.name : '';
      if (name === 'body') w = tag.prefix === '' ? '' : `${tag.prefix}:`;
      if (name === 'sectPr' && open.at(-1) === 'body') last = tag.start;
      if (name === 'p') begun.push('');
      open.push(name);
    },
    close: (_, start, stop) => {
      const name = open.pop();
      if (name === 'p') paragraphs.push({ words: oneLine(begun.pop() ?? ''), end: stop });
      if (name === 'body') end = last >= 0 ? last : start;
    },
    text: (said) => {
      if (open.at(-1) === 't' && begun.length > 0) begun[begun.length - 1] += said;
    },
  });
  if (end < 0) throw new NotDocx('it has no text');
  return { paragraphs, end, w };
}

/** The paragraphs of a docx that have words, behind each of which something can be put. Throws a NotDocx. */
export function paragraphsOf(parts: DocxParts): string[] {
  try {
    const { paragraphs } = placesIn(parts.get(wordPartsOf(parts).document)!);
    return paragraphs.map(({ words }) => words).filter((words) => words !== '');
  } catch (error) {
    if (error instanceof XmlFault) throw new NotDocx(`it is broken: ${error.message}`);
    throw error;
  }
}

/**
 * A docx with a passage in it, as paragraphs of their own: behind the first paragraph of these words, capitals aside, or at the end of the
 * document where none are given. Gives the parts that are written anew; all else is as it was. Null where no paragraph has the words.
 * Throws a NotDocx.
 */
export function withPassage(parts: DocxParts, passage: Passage, behind: string): Map<string, string> | null {
  const { document } = wordPartsOf(parts);
  const source = parts.get(document)!;
  try {
    const { paragraphs, end, w } = placesIn(source);
    const wanted = oneLine(behind).toLocaleLowerCase();
    const found = paragraphs.find(({ words }) => words.toLocaleLowerCase() === wanted);
    if (wanted !== '' && !found) return null;
    const at = found?.end ?? end;
    return new Map([[document, source.slice(0, at) + paragraphsXml(passage, w) + source.slice(at)]]);
  } catch (error) {
    if (error instanceof XmlFault) throw new NotDocx(`it is broken: ${error.message}`);
    throw error;
  }
}
