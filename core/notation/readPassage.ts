import { LIMITS, type Block, type Passage } from '#core/passage';
import { unescaped } from './escapes';
import { InlineReader, type NotationReading } from './readInlines';
import { after, isBlank, refuse, type SourceLine } from './sourceLine';

const leadOf = ({ text }: SourceLine) => /^ */.exec(text)![0].length;

/** What begins a block other than a paragraph. */
const BEGINS = /^(#{1,6} |- |>|\d+\. |:[a-z]|\||---$)/;

/** Reads blocks from lines, each kind by how its first line begins. */
class BlockReader {
  private at = 0;

  constructor(
    private readonly lines: readonly SourceLine[],
    private readonly reading: NotationReading,
    private readonly depth: number,
  ) {
    if (depth > LIMITS.depth && lines[0]) refuse(lines[0], 0, { code: 'too-deep' });
  }

  all(): Block[] {
    const blocks: Block[] = [];
    for (;;) {
      while (this.line && isBlank(this.line)) this.at += 1;
      if (!this.line) return blocks;
      blocks.push(this.block(this.line));
    }
  }

  private get line(): SourceLine | undefined {
    return this.lines[this.at];
  }

  private block(line: SourceLine): Block {
    const heading = /^(#{1,6}) /.exec(line.text);
    if (heading) {
      this.at += 1;
      const level = heading[1]!.length;
      return { type: 'heading', attrs: { level }, content: this.inlines([after(line, level + 1)]) };
    }
    if (line.text === '---') {
      this.at += 1;
      return { type: 'horizontalRule' };
    }
    if (line.text.startsWith('- ')) return { type: 'bulletList', content: this.items(/^- /) };
    const number = /^(\d+)\. /.exec(line.text);
    if (number) return this.ordered(Number(number[1]), null);
    if (line.text.startsWith('>')) return this.quote();
    if (line.text.startsWith('|')) return this.simpleTable();
    if (/^:[a-z]/.test(line.text)) return this.directive(line);
    return this.paragraph();
  }

  private inlines(lines: readonly SourceLine[]) {
    return new InlineReader(lines, this.reading).all();
  }

  private inner(lines: readonly SourceLine[], from: SourceLine): Block[] {
    const blocks = new BlockReader(lines, this.reading, this.depth + 1).all();
    if (blocks.length === 0)
      refuse(from, from.text.length, { code: 'wanted', wanted: 'words, or [] for an empty line', found: '' });
    return blocks;
  }

  private paragraph(): Block {
    const lines: SourceLine[] = [];
    for (let next = this.line; next && !isBlank(next); next = this.line) {
      if (lines.length > 0 && BEGINS.test(next.text)) break;
      lines.push(next);
      this.at += 1;
    }
    const content = this.inlines(lines);
    return content.length > 0 ? { type: 'paragraph', content } : { type: 'paragraph' };
  }

  /** The lines from here that stand at least so far in, with the blank lines between them. */
  private indented(lead: number): SourceLine[] {
    const lines: SourceLine[] = [];
    for (;;) {
      let next = this.at;
      while (this.lines[next] && isBlank(this.lines[next]!)) next += 1;
      const line = this.lines[next];
      if (!line || leadOf(line) < lead) return lines;
      for (; this.at <= next; this.at += 1) {
        const one = this.lines[this.at]!;
        lines.push(isBlank(one) ? after(one, one.text.length) : after(one, lead));
      }
    }
  }

  private items(begins: RegExp): Block[] {
    const items: Block[] = [];
    for (let line = this.line; line; line = this.line) {
      const sign = begins.exec(line.text);
      if (!sign) break;
      const lead = sign[0].length;
      this.at += 1;
      items.push({
        type: 'listItem',
        content: this.inner([after(line, lead), ...this.indented(lead)], line),
      });
    }
    return items;
  }

  private ordered(start: number, type: string | null): Block {
    const attrs = { ...(start === 1 ? {} : { start }), ...(type === null ? {} : { type }) };
    const content = this.items(/^\d+\. /);
    return Object.keys(attrs).length > 0
      ? { type: 'orderedList', attrs, content }
      : { type: 'orderedList', content };
  }

  private quote(): Block {
    const first = this.line!;
    const lines: SourceLine[] = [];
    for (let line = this.line; line?.text.startsWith('>'); line = this.line) {
      lines.push(after(line, line.text.startsWith('> ') ? 2 : 1));
      this.at += 1;
    }
    return { type: 'blockquote', content: this.inner(lines, first) };
  }

  private simpleTable(): Block {
    const rows: Block[] = [];
    for (let line = this.line; line?.text.startsWith('|'); line = this.line) {
      rows.push({ type: 'tableRow', content: this.simpleRow(line) });
      this.at += 1;
    }
    return { type: 'table', content: rows };
  }

  private simpleRow(line: SourceLine): Block[] {
    const cells: Block[] = [];
    for (let at = 1; line.text.slice(at).trim() !== '';) {
      const rest = after(line, at);
      const head = /^ ?# ?/.exec(rest.text)?.[0];
      const lead = head?.length ?? (rest.text.startsWith(' ') ? 1 : 0);
      const start = at + lead;
      const reader = new InlineReader([after(rest, lead)], this.reading, true);
      const content = reader.all();
      at = start + reader.length;
      if (line.text[at] !== '|')
        refuse(line, at, { code: 'wanted', wanted: '“|” after the cell', found: '' });
      at += 1;
      const last = content.at(-1);
      // The space before the bar belongs to the bar, unless a backslash keeps it.
      const isPlain = /(?:^|[^\\])(?:\\\\)* $/.test(line.text.slice(start, at - 1));
      if (isPlain && last?.type === 'text') {
        if (last.text === ' ') content.pop();
        else content[content.length - 1] = { ...last, text: last.text.slice(0, -1) };
      }
      const paragraph: Block = content.length > 0 ? { type: 'paragraph', content } : { type: 'paragraph' };
      cells.push({ type: head === undefined ? 'tableCell' : 'tableHeader', content: [paragraph] });
    }
    return cells;
  }

  private directive(line: SourceLine): Block {
    const [, name = '', args = ''] = /^:([a-z]+) ?(.*)$/.exec(line.text)!;
    this.at += 1;
    const below = this.indented(2);
    switch (name) {
      case 'ordered': {
        const [list] = new BlockReader(below, this.reading, this.depth + 1).all();
        if (list?.type !== 'orderedList')
          refuse(line, 0, { code: 'wanted', wanted: 'a numbered list below', found: '' });
        return { ...list, attrs: { ...list.attrs, type: unescaped(args) } };
      }
      case 'box':
        if (args.trim() === '')
          refuse(line, line.text.length, { code: 'wanted', wanted: 'the name of the box', found: '' });
        return { type: 'box', attrs: { name: unescaped(args) }, content: this.inner(below, line) };
      case 'table':
      case 'row':
        return {
          type: name === 'table' ? 'table' : 'tableRow',
          content: this.inner(below, line),
        };
      case 'head':
      case 'cell':
        return this.cell(name, args, line, below);
      default:
        return refuse(line, 0, { code: 'line-unknown', found: `:${name}` });
    }
  }

  private cell(name: string, args: string, line: SourceLine, below: readonly SourceLine[]): Block {
    const found = /^(?:(\d+)x(\d+))? ?(?:widths ([\d. ]+))?$/.exec(args);
    if (!found) refuse(line, 6, { code: 'wanted', wanted: 'a size, such as 2x1', found: args });
    const [, colspan, rowspan, widths] = found;
    const content = this.inner(below, line);
    const type = name === 'head' ? ('tableHeader' as const) : ('tableCell' as const);
    if (!colspan && !widths) return { type, content };
    const colwidth = widths ? { colwidth: widths.trim().split(/ +/).map(Number) } : {};
    const attrs = { colspan: Number(colspan ?? 1), rowspan: Number(rowspan ?? 1), ...colwidth };
    return { type, attrs, content };
  }
}

/** Reads a wording from lines. Throws a NotationFault at the first character that does not fit. */
export function readBlocks(lines: readonly SourceLine[], reading: NotationReading): Passage {
  const content = new BlockReader(lines, reading, 0).all();
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}
