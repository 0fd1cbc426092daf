import { numberInForm } from '#core/numbering';
import { scanXml, type XmlTag } from '../scanXml';
import { isWord, wordAttr } from './wordNames';

/** A level of a list: how its numbers are written, around what, and where they begin. */
interface Level {
  format: string;
  text: string;
  start: number;
}

/** Lists as the part `numbering.xml` says them: the levels of each, by the id that paragraphs name. */
interface Lists {
  levels: (num: string) => Map<number, Level>;
  /** Those that count together: the same for ids that rest on one definition. */
  countsAs: (num: string) => string;
}

class ListReader {
  readonly abstract = new Map<string, Map<number, Level>>();
  readonly nums = new Map<string, { of: string; starts: Map<number, number> }>();
  private levels: Map<number, Level> | null = null;
  private level: Level | null = null;
  private num: { of: string; starts: Map<number, number> } | null = null;
  private overridden = 0;

  private readonly onOpen: Record<string, (tag: XmlTag, value: string) => void> = {
    abstractNum: (tag) => {
      this.levels = new Map();
      this.abstract.set(wordAttr(tag, 'abstractNumId') ?? '', this.levels);
    },
    lvl: (tag) => {
      this.level = { format: 'decimal', text: '', start: 1 };
      this.levels?.set(Number(wordAttr(tag, 'ilvl') ?? 0), this.level);
    },
    start: (_tag, value) => this.level && (this.level.start = Number(value)),
    numFmt: (_tag, value) => this.level && (this.level.format = value),
    lvlText: (_tag, value) => this.level && (this.level.text = value),
    num: (tag) => {
      this.num = { of: '', starts: new Map() };
      this.nums.set(wordAttr(tag, 'numId') ?? '', this.num);
    },
    abstractNumId: (_tag, value) => this.num && (this.num.of = value),
    lvlOverride: (tag) => (this.overridden = Number(wordAttr(tag, 'ilvl') ?? 0)),
    startOverride: (_tag, value) => this.num?.starts.set(this.overridden, Number(value)),
  };

  open(tag: XmlTag): void {
    if (isWord(tag)) this.onOpen[tag.name]?.(tag, wordAttr(tag, 'val') ?? '');
  }

  close(name: string): void {
    if (name === 'lvl') this.level = null;
    if (name === 'abstractNum') this.levels = null;
    if (name === 'num') this.num = null;
  }
}

function listsIn(source: string | undefined): Lists {
  const reader = new ListReader();
  if (source !== undefined)
    scanXml(source, {
      open: (tag) => reader.open(tag),
      close: ({ name }) => reader.close(name),
      text: () => undefined,
    });
  return {
    levels: (num) => {
      const one = reader.nums.get(num);
      const levels = reader.abstract.get(one?.of ?? '') ?? new Map<number, Level>();
      const started = [...levels].map(
        ([at, level]) => [at, { ...level, start: one?.starts.get(at) ?? level.start }] as const,
      );
      return new Map(started);
    },
    countsAs: (num) => {
      const one = reader.nums.get(num);
      return !one || one.starts.size > 0 ? `own ${num}` : one.of;
    },
  };
}

/** How the formats of WordprocessingML are written here. */
const FORMS = {
  decimal: '1',
  decimalZero: '01',
  lowerLetter: 'a',
  upperLetter: 'A',
  lowerRoman: 'i',
  upperRoman: 'I',
} as const;

/** What stands before an item of a bulleted list: fonts of symbols have their own signs, of which none is meant. */
const BULLET = '•';
const LONGEST_LABEL = 40;

/** Counts the items of a document as they come, and says what stands before each. */
export function listLabels(source: string | undefined): (num: string, level: number) => string {
  const lists = listsIn(source);
  const known = new Map<string, Map<number, Level>>();
  const counts = new Map<string, number[]>();
  return (num, at) => {
    const levels = known.get(num) ?? lists.levels(num);
    known.set(num, levels);
    const level = levels.get(at);
    if (!level || level.format === 'bullet') return BULLET;
    if (level.format === 'none') return '';
    const counted = counts.get(lists.countsAs(num)) ?? [];
    counts.set(lists.countsAs(num), counted);
    counted.length = Math.min(counted.length, at + 1);
    counted[at] = (counted[at] ?? level.start - 1) + 1;
    const written = (of: number) => {
      const { format, start } = levels.get(of) ?? level;
      const form = FORMS[format as keyof typeof FORMS] ?? '1';
      return numberInForm(counted[of] ?? start, form);
    };
    return level.text
      .replace(/%([1-9])/g, (_all, of: string) => written(Number(of) - 1))
      .slice(0, LONGEST_LABEL);
  };
}
