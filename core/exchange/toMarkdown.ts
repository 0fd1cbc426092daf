import { markRow, wordsOfInline, type Block, type Inline, type Mark, type Passage } from '#core/passage';

/** CommonMark's own characters, escaped wherever they could start a construct. */
const escape = (text: string) => text.replace(/[\\`*_[\]<>~|]/g, '\\$&');
const LINE_STARTS = /^(\s*)(#{1,6}(?=\s)|[-+>](?=\s|$)|\d+(?=[.)]\s))/;
const guardStart = (line: string) =>
  line.replace(LINE_STARTS, (_, space: string, sign: string) =>
    /\d/.test(sign) ? `${space}${sign}\\` : `${space}\\${sign}`,
  );

function fence(text: string): string {
  const longest = Math.max(0, ...(text.match(/`+/g) ?? []).map((run) => run.length));
  const ticks = '`'.repeat(longest + 1);
  return longest > 0 ? `${ticks} ${text} ${ticks}` : `${ticks}${text}${ticks}`;
}

/** Puts signs around the words but not around the spaces at their edges, which CommonMark would not accept. */
const around = (text: string, open: string, close: string) =>
  text.replace(/^(\s*)([\s\S]*?)(\s*)$/, (_, a: string, words: string, b: string) =>
    words === '' ? a + b : a + open + words + close + b,
  );

function wrap(text: string, mark: Mark): string {
  if (mark.type === 'link')
    return around(text, '[', `](<${mark.attrs.href.replace(/[<>]/g, encodeURIComponent)}>)`);
  const signs = markRow(mark.type).markdown;
  return signs ? around(text, ...signs) : text;
}

function inlineMarkdown(inline: Inline): string {
  if (inline.type === 'hardBreak') return '\\\n';
  const text = wordsOfInline(inline);
  if (text === '') return '';
  const marks = inline.marks ?? [];
  const isCode = marks.some((mark) => mark.type === 'code');
  return marks.reduce(wrap, isCode ? fence(text) : escape(text));
}

const line = (content: Inline[] | undefined) => guardStart((content ?? []).map(inlineMarkdown).join(''));
const indent = (text: string, lead: string) =>
  lead + text.replace(/\n(?=.)/g, `\n${' '.repeat(lead.length)}`);

function items(content: Block[], lead: (index: number) => string): string {
  return content
    .map((item, index) => indent('content' in item ? blocks(item.content as Block[]) : '', lead(index)))
    .join('\n');
}

function table(rows: Block[]): string {
  const cells = rows.map((row) =>
    ('content' in row ? (row.content as Block[]) : []).map((cell) =>
      ('content' in cell ? blocks(cell.content as Block[]) : '').replace(/\\?\n+/g, ' '),
    ),
  );
  const width = Math.max(...cells.map((row) => row.length));
  const written = cells.map(
    (row) => `| ${[...row, ...Array<string>(width - row.length).fill('')].join(' | ')} |`,
  );
  return [written[0], `|${' --- |'.repeat(width)}`, ...written.slice(1)].join('\n');
}

function block(node: Block): string {
  switch (node.type) {
    case 'box':
      return `## ${escape(node.attrs.name)}\n\n${blocks(node.content)}`;
    case 'paragraph':
    case 'turn':
      return line(node.content);
    case 'heading':
      return `${'#'.repeat(node.attrs.level)} ${line(node.content).replace(/\\?\n/g, ' ')}`;
    case 'bulletList':
      return items(node.content, () => '- ');
    case 'orderedList':
      return items(node.content, (index) => `${(node.attrs?.start ?? 1) + index}. `);
    case 'blockquote':
      return blocks(node.content).replace(/^/gm, '> ');
    case 'horizontalRule':
      return '---';
    case 'table':
      return table(node.content);
    case 'listItem':
    case 'tableRow':
    case 'tableHeader':
    case 'tableCell':
      return blocks(node.content);
  }
}

const blocks = (content: Block[]): string => content.map(block).join('\n\n');

/** A passage as CommonMark with tables and strike-through; underline, which it lacks, as <u>. */
export function toMarkdown(passage: Passage): string {
  return `${blocks(passage.content)}\n`;
}
