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

/** A control word: what it changes of the look, or puts down. */
function control(word: string, value: number | null, look: Look, out: Writer): void {
  const isOn = value !== 0;
  switch (word) {
    case 'b':
      look.bold = isOn;
      return;
    case 'i':
      look.italic = isOn;
      return;
    case 'ul':
      look.underline = isOn;
      return;
    case 'ulnone':
      look.underline = false;
      return;
    case 'plain':
      Object.assign(look, { bold: false, italic: false, underline: false });
      return;
    case 'uc':
      look.skip = value ?? 1;
      return;
    case 'intbl':
      out.isInTable = true;
      return;
    case 'pard':
      out.isInTable = false;
      return;
    case 'par':
    case 'sect':
      if (!look.isBeside) out.paragraph();
      return;
    case 'line':
      if (!look.isBeside) out.lineBreak();
      return;
    case 'cell':
      if (!look.isBeside) out.endCell();
      return;
    case 'row':
      if (!look.isBeside) out.endRow();
      return;
    default:
      out.text(SIGNS[word] ?? '', look);
  }
}

/**
 * The words of a document of Rich Text Format as a passage: paragraphs, tables, bold, italic and underlined words. Bytes in figures are read
 * as Windows-1252, which nearly all writers mean. Throws a NotRtf.
 */
export function readRtf(source: string): Passage {
  if (!source.startsWith('{\\rtf')) throw new NotRtf('it does not begin as Rich Text Format does');
  const decoder = new TextDecoder('windows-1252');
  const out = new Writer();
  const stack: Look[] = [{ ...PLAIN }];
  let skip = 0;
  for (const [, word, number, byte, sign, edge, words] of source.matchAll(TOKEN)) {
    const look = stack.at(-1)!;
    if (edge === '{') {
      if (stack.length > MOST_GROUPS) throw new NotRtf('it is nested too deeply');
      stack.push({ ...look });
    } else if (edge === '}') {
      if (stack.length > 1) stack.pop();
      skip = 0;
    } else if (word) {
      const value = number === undefined ? null : Number(number);
      if (BESIDE.has(word)) look.isBeside = true;
      else if (word === 'u' && value !== null) {
        out.text(String.fromCharCode(value & 0xffff), look);
        skip = look.skip;
      } else control(word, value, look, out);
    } else if (byte !== undefined) {
      if (skip > 0) skip -= 1;
      else out.text(decoder.decode(Uint8Array.of(parseInt(byte, 16))), look);
    } else if (sign !== undefined) {
      if (sign === '*') look.isBeside = true;
      else if (sign === '\n' || sign === '\r') out.paragraph();
      else out.text(SIGNS[sign] ?? ('\\{}'.includes(sign) ? sign : ''), look);
    } else if (words !== undefined) {
      out.text(words.slice(skip), look);
      skip = Math.max(0, skip - words.length);
    }
  }
  return out.end();
}
