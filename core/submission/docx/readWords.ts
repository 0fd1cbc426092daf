import type { TextPoint, TextRange } from '#core/passage';
import { scanXml, type XmlTag } from '../scanXml';
import type { Span, SpanMark, SubmissionBlock } from '../submission';
import type { OpenParagraph, OpenPlace, OpenRun } from './openElements';
import { offsetsIn, type TextPiece } from './textPieces';
import { PLACES, SIGNS, MARKS, AROUND, IGNORED } from './wordElements';
import { isOn, isWord, wordAttr } from './wordNames';
import type { WordsContext } from './wordsContext';

/** The words of one part of a docx (its text, its footnotes), with where each piece stands in it. */
export interface ReadWords {
  blocks: SubmissionBlock[];
  pieces: TextPiece[];
  /** Stretches that comments are on, by the ids of the comments. */
  ranges: Map<string, TextRange>;
}

const LONGEST_NAME = 200;

class WordsReader {
  readonly blocks: SubmissionBlock[] = [];
  readonly pieces: TextPiece[] = [];
  readonly ranges = new Map<string, TextRange>();
  private paragraph: OpenParagraph | null = null;
  private run: OpenRun | null = null;
  private place: OpenPlace | null = null;
  private readonly around: SpanMark[] = [];
  private text: { tag: XmlTag; words: string } | null = null;
  private inProperties: 'paragraph' | 'run' | 'none' = 'none';
  private readonly starts = new Map<string, TextPoint>();
  private readonly tables: { table: number; row: number; column: number }[] = [];
  private tableCount = 0;
  private note: { label: string; isFirst: boolean } | null = null;
  /** Within a note that says nothing of its own: the line between text and notes. */
  private skipped = false;
  /** How deep within what is not read. */
  private ignored = 0;

  constructor(
    private readonly source: string,
    private readonly part: string,
    private readonly context: WordsContext,
    private readonly firstBlock: number,
  ) {}

  open(tag: XmlTag): void {
    if (IGNORED.has(tag.name)) this.ignored += 1;
    if (this.ignored > 0) return;
    if (this.place) return this.openInPlace(tag);
    const kind = PLACES[tag.name];
    const beside = tag.name === 'AlternateContent' && !this.run;
    if (kind && this.paragraph && !beside) {
      this.place = {
        kind,
        element: tag.name,
        depth: 1,
        start: tag.start,
        name: '',
        words: '',
        inText: false,
      };
      return;
    }
    if (isWord(tag)) this.openWord(tag);
  }

  close(element: { name: string; uri: string }, start: number, end: number): void {
    const { name } = element;
    if (this.ignored > 0) {
      if (IGNORED.has(name)) this.ignored -= 1;
      return;
    }
    if (this.place) return this.closeInPlace(name, end);
    if (!isWord(element)) return;
    this.onClose[name]?.(start, end);
    if (AROUND[name] && this.inProperties === 'none') this.around.pop();
  }

  words(text: string): void {
    if (this.ignored > 0) return;
    if (this.place) this.place.words += this.place.inText ? text : '';
    else if (this.text) this.text.words += text;
  }

  private openInPlace(tag: XmlTag): void {
    const place = this.place!;
    if (tag.name === place.element) place.depth += 1;
    if (tag.name === 't') place.inText = true;
    if (tag.name === 'txbxContent') place.kind = 'text-box';
    if (tag.name === 'chart' && place.kind === 'picture') place.kind = 'chart';
    if (tag.name === 'docPr') place.name ||= tag.attr('descr') || tag.attr('title') || tag.attr('name') || '';
    if (tag.name === 'p' && place.words !== '') place.words += ' ';
  }

  private closeInPlace(name: string, end: number): void {
    const place = this.place!;
    if (name === 't') place.inText = false;
    if (name === place.element) place.depth -= 1;
    if (place.depth > 0) return;
    this.place = null;
    // What it is called in the file's own words; of what holds words, those.
    const told = place.kind === 'text-box' || place.kind === 'formula' ? place.words : place.name;
    const name_ = told.replace(/\s+/g, ' ').trim().slice(0, LONGEST_NAME);
    this.put({ place: place.kind, name: name_ }, { start: place.start, end, text: null });
  }

  private openWord(tag: XmlTag): void {
    if (this.inProperties === 'paragraph') return this.paragraphProperty(tag);
    if (this.inProperties === 'run') return this.runProperty(tag);
    const mark = AROUND[tag.name];
    if (mark) this.around.push(mark);
    else this.onOpen[tag.name]?.(tag);
  }

  private readonly onOpen: Record<string, (tag: XmlTag) => void> = {
    tbl: () => {
      this.tables.push({ table: this.tableCount, row: -1, column: -1 });
      this.tableCount += 1;
    },
    tr: () => {
      const table = this.tables.at(-1);
      if (table) Object.assign(table, { row: table.row + 1, column: -1 });
    },
    tc: () => {
      const table = this.tables.at(-1);
      if (table) table.column += 1;
    },
    p: () => this.openParagraph(),
    pPr: () => {
      if (this.paragraph) this.inProperties = 'paragraph';
    },
    r: (tag) => {
      const opening = this.source.slice(tag.start, tag.end);
      const at = {
        start: tag.start,
        end: -1,
        opening,
        properties: '',
        contentStart: tag.end,
        contentEnd: -1,
      };
      if (this.paragraph) this.run = { at, marks: new Set(), propertiesStart: -1 };
    },
    rPr: (tag) => {
      if (!this.run) return;
      this.inProperties = 'run';
      this.run.propertiesStart = tag.start;
    },
    t: (tag) => (this.text = { tag, words: '' }),
    delText: (tag) => (this.text = { tag, words: '' }),
    sym: (tag) => {
      const code = parseInt(wordAttr(tag, 'char') ?? '', 16);
      // Fonts of symbols have their signs where Unicode has none: those say nothing here.
      const sign =
        Number.isNaN(code) || (code >= 0xe000 && code <= 0xf8ff) || code > 0xffff
          ? '\u25a1'
          : String.fromCharCode(code);
      this.put({ text: sign }, { start: tag.start, end: tag.end, text: null });
    },
    footnoteReference: (tag) => this.reference('footnote', tag),
    endnoteReference: (tag) => this.reference('endnote', tag),
    footnote: (tag) => this.openNote('footnote', tag),
    endnote: (tag) => this.openNote('endnote', tag),
    commentRangeStart: (tag) => void this.starts.set(wordAttr(tag, 'id') ?? '', this.here()),
    commentRangeEnd: (tag) => this.endRange(wordAttr(tag, 'id') ?? ''),
    commentReference: (tag) => this.endRange(wordAttr(tag, 'id') ?? ''),
    ...Object.fromEntries(
      Object.entries(SIGNS).map(([name, sign]) => [
        name,
        (tag: XmlTag) => this.run && this.put({ text: sign }, { start: tag.start, end: tag.end, text: null }),
      ]),
    ),
  };

  private readonly onClose: Record<string, (start: number, end: number) => void> = {
    tbl: () => void this.tables.pop(),
    p: () => this.closeParagraph(),
    pPr: () => {
      this.inProperties = 'none';
    },
    r: (start, end) => {
      if (!this.run) return;
      Object.assign(this.run.at, { end, contentEnd: start });
      this.run = null;
    },
    rPr: (_start, end) => {
      if (this.inProperties !== 'run' || !this.run) return;
      this.inProperties = 'none';
      this.run.at.properties = this.source.slice(this.run.propertiesStart, end);
      this.run.at.contentStart = end;
    },
    t: (start, end) => this.closeText(start, end),
    delText: (start, end) => this.closeText(start, end),
    footnote: () => this.closeNote(),
    endnote: () => this.closeNote(),
  };

  private openParagraph(): void {
    if (this.skipped) return;
    const table = this.tables.at(-1);
    const cell = table && table.row >= 0 && table.column >= 0 ? { ...table } : undefined;
    this.paragraph = {
      index: this.firstBlock + this.blocks.length,
      ...{ spans: [], at: 0, style: undefined, num: null, level: null, rtl: false, outline: null },
      cell,
    };
  }

  private paragraphProperty(tag: XmlTag): void {
    const open = this.paragraph!;
    const value = wordAttr(tag, 'val');
    if (tag.name === 'pStyle') open.style = value;
    else if (tag.name === 'numId') open.num = value ?? null;
    else if (tag.name === 'ilvl') open.level = Number(value);
    else if (tag.name === 'bidi') open.rtl = isOn(tag);
    else if (tag.name === 'outlineLvl') open.outline = Number(value);
  }

  private runProperty(tag: XmlTag): void {
    const { marks } = this.run!;
    const mark = MARKS[tag.name];
    if (mark && isOn(tag)) marks.add(mark);
    if (tag.name !== 'vertAlign') return;
    if (wordAttr(tag, 'val') === 'superscript') marks.add('super');
    if (wordAttr(tag, 'val') === 'subscript') marks.add('sub');
  }

  private closeParagraph(): void {
    const open = this.paragraph;
    if (!open) return;
    this.paragraph = null;
    const style = this.context.styles(open.style);
    const outline = open.outline === null || open.outline > 8 ? null : open.outline + 1;
    const heading = outline ?? style.heading;
    const list =
      open.num === null ? style.list : open.num === '0' ? null : { num: open.num, level: open.level ?? 0 };
    this.blocks.push({
      ...this.kindOf(heading, style.isQuote, list && { ...list, level: open.level ?? list.level }),
      ...(open.cell && { cell: open.cell }),
      ...(open.rtl && { rtl: true as const }),
      spans: open.spans,
    });
  }

  /** What a paragraph is, the number of a heading or an item with it. */
  private kindOf(
    heading: number | null,
    isQuote: boolean,
    list: { num: string; level: number } | null,
  ): Omit<SubmissionBlock, 'spans'> {
    const label = list ? this.context.label(list.num, list.level) : '';
    if (this.note) {
      const { isFirst } = this.note;
      this.note.isFirst = false;
      return { kind: 'note', ...(isFirst && { label: this.note.label }) };
    }
    if (heading !== null)
      return { kind: 'heading', level: Math.min(heading, 6), ...(label !== '' && { label }) };
    if (list) return { kind: 'item', level: Math.min(list.level, 8), label };
    return { kind: isQuote ? 'quote' : 'paragraph' };
  }

  private closeText(start: number, end: number): void {
    const text = this.text;
    this.text = null;
    if (!text || text.words === '') return;
    const offsets = offsetsIn(this.source, text.tag.end, start);
    const opening = this.source.slice(text.tag.start, text.tag.end);
    this.put(
      { text: text.words },
      {
        start: text.tag.start,
        end,
        // Where it is not read as it is counted, it is not parted rather than parted amiss.
        text: offsets && offsets.length === text.words.length + 1 ? { opening, offsets } : null,
      },
    );
  }

  /** Puts words, or what stands for one, behind what the paragraph has so far. */
  private put(span: Span, where: Pick<TextPiece, 'start' | 'end' | 'text'>): void {
    const open = this.paragraph;
    if (!open) return;
    const length = 'text' in span ? span.text.length : 1;
    const found = [...new Set([...(this.run?.marks ?? []), ...this.around])];
    const marks = found.length > 0 ? { marks: found } : {};
    this.pieces.push({
      block: open.index,
      at: open.at,
      length,
      part: this.part,
      run: this.run?.at ?? null,
      ...where,
    });
    const last = open.spans.at(-1);
    const isSame = last && 'text' in last && 'text' in span && String(last.marks ?? []) === String(found);
    if (isSame) last.text += span.text;
    else open.spans.push({ ...span, ...marks });
    open.at += length;
  }

  private reference(of: 'footnote' | 'endnote', tag: XmlTag): void {
    const label = this.context.noteLabel(of, wordAttr(tag, 'id') ?? '');
    this.put({ place: 'note', name: label }, { start: tag.start, end: tag.end, text: null });
  }

  private openNote(of: 'footnote' | 'endnote', tag: XmlTag): void {
    const type = wordAttr(tag, 'type') ?? 'normal';
    this.skipped = type !== 'normal';
    if (!this.skipped)
      this.note = { label: this.context.noteLabel(of, wordAttr(tag, 'id') ?? ''), isFirst: true };
  }

  private closeNote(): void {
    this.note = null;
    this.skipped = false;
  }

  private here(): TextPoint {
    if (this.paragraph) return { block: this.paragraph.index, at: this.paragraph.at };
    return { block: this.firstBlock + this.blocks.length, at: 0 };
  }

  /** The end of what a comment is on; a reference without a stretch is on the place where it stands. */
  private endRange(id: string): void {
    if (this.ranges.has(id)) return;
    const to = this.here();
    this.ranges.set(id, { from: this.starts.get(id) ?? to, to });
  }
}

/** Reads the words of a part, from the block number given on. Throws an XmlFault where it is not well-formed. */
export function readWords(
  source: string,
  part: string,
  context: WordsContext,
  firstBlock: number,
): ReadWords {
  const reader = new WordsReader(source, part, context, firstBlock);
  scanXml(source, {
    open: (tag) => reader.open(tag),
    close: (element, start, end) => reader.close(element, start, end),
    text: (words) => reader.words(words),
  });
  const { blocks, pieces, ranges } = reader;
  return { blocks, pieces, ranges };
}
