import type { Block, Inline, Mark, Passage } from '#core/passage';

/** Why a text is not Rich Text Format, in words. */
export class NotRtf extends Error {}

/** Groups that hold no words of the text. */
const BESIDE = new Set(
  'fonttbl colortbl stylesheet info pict header footer headerl headerr headerf footerl footerr footerf listtable listoverridetable generator themedata datastore object xmlnstbl rsidtbl fldinst'.split(
    ' ',
  ),
);
const SIGNS: Readonly<Record<string, string>> = {
  tab: '\t',
  emdash: '—',
  endash: '–',
  lquote: '‘',
  rquote: '’',
  ldblquote: '“',
  rdblquote: '”',
  bullet: '•',
  '~': '\u00A0',
  _: '-',
  '-': '',
};

interface Look {
  bold: boolean;
  italic: boolean;
  underline: boolean;
  isBeside: boolean;
  /** So many signs stand behind a sign of Unicode for readers that do not know it. */
  skip: number;
}

const MARKS = ['bold', 'italic', 'underline'] as const;

/** What is read so far: the blocks, the line that is written, the row of a table that is open. */
class Writer {
  readonly blocks: Block[] = [];
  private line: Inline[] = [];
  private cell: Block[] = [];
  private row: Block[] = [];
  isInTable = false;

  text(words: string, look: Look): void {
    if (words === '' || look.isBeside) return;
    const marks = MARKS.filter((mark) => look[mark]).map((type): Mark => ({ type }));
    const last = this.line.at(-1);
    const isSame = last?.type === 'text' && JSON.stringify(last.marks ?? []) === JSON.stringify(marks);
    if (isSame) this.line[this.line.length - 1] = { ...last, text: last.text + words };
    else this.line.push({ type: 'text', text: words, ...(marks.length > 0 && { marks }) });
  }

  lineBreak(): void {
    this.line.push({ type: 'hardBreak' });
  }

  paragraph(): void {
    const block: Block = { type: 'paragraph', ...(this.line.length > 0 && { content: this.line }) };
    (this.isInTable ? this.cell : this.blocks).push(block);
    this.line = [];
  }

  endCell(): void {
    this.isInTable = true;
    this.paragraph();
    this.row.push({ type: 'tableCell', content: this.cell });
    this.cell = [];
  }

  endRow(): void {
    const last = this.blocks.at(-1);
    const row: Block = { type: 'tableRow', content: this.row };
    if (last?.type === 'table') last.content.push(row);
    else if (this.row.length > 0) this.blocks.push({ type: 'table', content: [row] });
    this.row = [];
    this.isInTable = false;
  }

  end(): Passage {
    if (this.line.length > 0) this.paragraph();
    return { type: 'doc', content: this.blocks.length > 0 ? this.blocks : [{ type: 'paragraph' }] };
  }
}

const PLAIN: Look = { bold: false, italic: false, underline: false, isBeside: false, skip: 1 };
const MOST_GROUPS = 200;

/** A control word with its number, a control sign, a byte in figures, a group's edge, or words. */
const TOKEN = /\\([a-z]+)(-?\d+)? ?|\\'([0-9a-f]{2})|\\([^a-z])|([{}])|([^\\{}\r\n]+)|[\r\n]+/gi;

/** What control words change of the look of what follows. */
const LOOKS: Readonly<Record<string, (look: Look, value: number | null) => void>> = {
  b: (look, value) => (look.bold = value !== 0),
  i: (look, value) => (look.italic = value !== 0),
  ul: (look, value) => (look.underline = value !== 0),
  ulnone: (look) => (look.underline = false),
  plain: (look) => Object.assign(look, { bold: false, italic: false, underline: false }),
  uc: (look, value) => (look.skip = value ?? 1),
};

/** What control words put down, but within a group beside the text. */
const BREAKS: Readonly<Record<string, (out: Writer) => void>> = {
  intbl: (out) => (out.isInTable = true),
  pard: (out) => (out.isInTable = false),
  par: (out) => out.paragraph(),
  sect: (out) => out.paragraph(),
  line: (out) => out.lineBreak(),
  cell: (out) => out.endCell(),
  row: (out) => out.endRow(),
};

/** Reads one piece of the source after the other. */
class Reader {
  private readonly decoder = new TextDecoder('windows-1252');
  private readonly looks: Look[] = [{ ...PLAIN }];
  private skip = 0;
  readonly out = new Writer();

  private get look(): Look {
    return this.looks.at(-1)!;
  }

  edge(edge: string): void {
    if (edge === '{') {
      if (this.looks.length > MOST_GROUPS) throw new NotRtf('it is nested too deeply');
      this.looks.push({ ...this.look });
    } else if (this.looks.length > 1) this.looks.pop();
    this.skip = 0;
  }

  control(word: string, value: number | null): void {
    const { look, out } = this;
    if (BESIDE.has(word)) look.isBeside = true;
    else if (word === 'u' && value !== null) {
      out.text(String.fromCharCode(value & 0xffff), look);
      this.skip = look.skip;
    } else if (LOOKS[word]) LOOKS[word](look, value);
    else if (BREAKS[word]) {
      if (!look.isBeside) BREAKS[word](out);
    } else out.text(SIGNS[word] ?? '', look);
  }

  byte(value: number): void {
    if (this.skip > 0) this.skip -= 1;
    else this.out.text(this.decoder.decode(Uint8Array.of(value)), this.look);
  }

  sign(sign: string): void {
    if (sign === '*') this.look.isBeside = true;
    else if (sign === '\n' || sign === '\r') this.out.paragraph();
    else this.out.text(SIGNS[sign] ?? ('\\{}'.includes(sign) ? sign : ''), this.look);
  }

  words(words: string): void {
    this.out.text(words.slice(this.skip), this.look);
    this.skip = Math.max(0, this.skip - words.length);
  }
}

/**
 * The words of a document of Rich Text Format as a passage: paragraphs, tables, bold, italic and underlined words. Bytes in figures are read
 * as Windows-1252, which nearly all writers mean. Throws a NotRtf.
 */
export function readRtf(source: string): Passage {
  if (!source.startsWith('{\\rtf')) throw new NotRtf('it does not begin as Rich Text Format does');
  const reader = new Reader();
  for (const [, word, number, byte, sign, edge, words] of source.matchAll(TOKEN)) {
    if (edge) reader.edge(edge);
    else if (word) reader.control(word, number === undefined ? null : Number(number));
    else if (byte) reader.byte(parseInt(byte, 16));
    else if (sign) reader.sign(sign);
    else if (words) reader.words(words);
  }
  return reader.out.end();
}
