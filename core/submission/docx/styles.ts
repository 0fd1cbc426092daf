import { scanXml } from '../scanXml';
import { isWord, wordAttr } from './wordNames';

/** What a paragraph's style says of it. */
export interface ParagraphStyle {
  /** The rank of a heading, from 1; null for other text. */
  heading: number | null;
  isQuote: boolean;
  /** The numbering it has of itself. */
  list: { num: string; level: number } | null;
}

const PLAIN: ParagraphStyle = { heading: null, isQuote: false, list: null };

/** A style as its part says it, before what it rests on is asked. */
interface Written {
  name: string;
  basedOn: string | null;
  outline: number | null;
  num: string | null;
  level: number | null;
}

function writtenStyles(source: string): Map<string, Written> {
  const styles = new Map<string, Written>();
  let now: Written | null = null;
  scanXml(source, {
    open: (tag) => {
      if (!isWord(tag)) return;
      const value = wordAttr(tag, 'val') ?? '';
      if (tag.name === 'style') {
        now = { name: '', basedOn: null, outline: null, num: null, level: null };
        styles.set(wordAttr(tag, 'styleId') ?? '', now);
      } else if (!now) return;
      else if (tag.name === 'name') now.name = value;
      else if (tag.name === 'basedOn') now.basedOn = value;
      else if (tag.name === 'outlineLvl') now.outline = Number(value);
      else if (tag.name === 'numId') now.num = value;
      else if (tag.name === 'ilvl') now.level = Number(value);
    },
    close: ({ name }) => {
      if (name === 'style') now = null;
    },
    text: () => undefined,
  });
  return styles;
}

/** So many styles may rest on each other: more is a ring. */
const MOST_DEEP = 20;

/** The styles of a docx by their ids, from the part `styles.xml`; a style that is not known is plain. */
export function stylesIn(source: string | undefined): (id: string | undefined) => ParagraphStyle {
  const written = source === undefined ? new Map<string, Written>() : writtenStyles(source);
  /** The style and those it rests on, the nearest first. */
  const chain = (id: string): Written[] => {
    const all: Written[] = [];
    for (let one = written.get(id); one && all.length < MOST_DEEP; one = written.get(one.basedOn ?? ''))
      all.push(one);
    return all;
  };
  const headingOf = (all: readonly Written[]): number | null => {
    for (const { name, outline } of all) {
      const named = /^(?:heading|title) ?(\d?)$/i.exec(name);
      if (named) return Number(named[1]) || 1;
      if (outline !== null) return outline < 9 ? outline + 1 : null;
    }
    return null;
  };
  return (id) => {
    const all = id === undefined ? [] : chain(id);
    if (all.length === 0) return PLAIN;
    const num = all.find((one) => one.num !== null)?.num;
    return {
      heading: headingOf(all),
      isQuote: all.some(({ name }) => /\bquote\b/i.test(name)),
      list:
        num === null || num === undefined || num === '0'
          ? null
          : { num, level: all.find((one) => one.level !== null)?.level ?? 0 },
    };
  };
}
