import { comparePoints, type TextRange } from '#core/passage';
import { scanXml, XmlFault } from '../scanXml';
import { wordsOfBlock, type CameAlong, type Submission, type SubmissionBlock } from '../submission';
import { NotDocx, wordPartsOf, type DocxParts } from './docxParts';
import { readWords, type ReadWords } from './readWords';
import { wordsContext } from './wordsContext';
import type { TextPiece } from './textPieces';
import { isWord, wordAttr } from './wordNames';

/** A docx as a submission, with where each piece of its words stands in the file. */
export interface ReadDocx {
  submission: Submission;
  pieces: readonly TextPiece[];
}

/** A comment as its part says it, without what it is on. */
type Written = Omit<CameAlong, 'on'>;

function commentsIn(source: string): Map<string, Written> {
  const found = new Map<string, Written>();
  let now: Written | null = null;
  let inText = false;
  scanXml(source, {
    open: (tag) => {
      if (!isWord(tag)) return;
      if (tag.name === 'comment') {
        now = { author: wordAttr(tag, 'author') ?? '', at: wordAttr(tag, 'date') ?? '', text: '' };
        found.set(wordAttr(tag, 'id') ?? '', now);
      }
      if (tag.name === 'p' && now && now.text !== '') now.text += '\n';
      inText = tag.name === 't';
    },
    close: ({ name }) => {
      if (name === 't') inText = false;
      if (name === 'comment') now = null;
    },
    text: (words) => {
      if (inText && now) now.text += words;
    },
  });
  return found;
}

/** A stretch that lies in what was read, and holds words where there are any: of a place alone the words of its block. */
function within(blocks: readonly SubmissionBlock[], { from, to }: TextRange): TextRange | null {
  const last = blocks.length - 1;
  if (last < 0) return null;
  const held = (point: TextRange['from']) =>
    point.block > last ? { block: last, at: wordsOfBlock(blocks[last]!).length } : point;
  const [start, end] = [held(from), held(to)];
  if (comparePoints(start, end) < 0) return { from: start, to: end };
  return {
    from: { block: start.block, at: 0 },
    to: { block: start.block, at: wordsOfBlock(blocks[start.block]!).length },
  };
}

const LONGEST = { author: 200, at: 60, text: 20_000 };

function cameAlong(
  source: string | undefined,
  read: readonly ReadWords[],
  blocks: readonly SubmissionBlock[],
): CameAlong[] {
  if (source === undefined) return [];
  const ranges = new Map(read.flatMap((one) => [...one.ranges]));
  return [...commentsIn(source)].flatMap(([id, { author, at, text }]) => {
    const range = ranges.get(id);
    const on = range && within(blocks, range);
    if (!on) return [];
    return [
      {
        author: author.slice(0, LONGEST.author),
        at: at.slice(0, LONGEST.at),
        text: text.slice(0, LONGEST.text),
        on,
      },
    ];
  });
}

/** The order of the parts that hold words: notes follow the text. */
export function wordSources(parts: DocxParts): string[] {
  const { document, footnotes, endnotes } = wordPartsOf(parts);
  return [document, footnotes, endnotes].filter((part) => part !== null);
}

/**
 * Reads a docx (Office Open XML, transitional or strict): headings, lists with their numbers, quotations, tables, notes, changes that
 * are tracked, and the comments that are in it. What is no words is a named place. Throws a NotDocx with what is wrong.
 */
export function readDocx(parts: DocxParts): ReadDocx {
  try {
    const names = wordPartsOf(parts);
    const part = (name: string | null) => (name === null ? undefined : parts.get(name));
    const context = wordsContext(part(names.styles), part(names.numbering));
    const read: ReadWords[] = [];
    let blocks: SubmissionBlock[] = [];
    for (const source of wordSources(parts)) {
      const one = readWords(parts.get(source)!, source, context, blocks.length);
      read.push(one);
      blocks = [...blocks, ...one.blocks];
    }
    const comments = cameAlong(part(names.comments), read, blocks);
    return { submission: { version: 1, blocks, comments }, pieces: read.flatMap(({ pieces }) => pieces) };
  } catch (error) {
    if (error instanceof XmlFault) throw new NotDocx(`it is broken: ${error.message}`);
    throw error;
  }
}
