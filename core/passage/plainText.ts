import type { Block, Inline, Passage } from './passage';

/** The words a reader sees of one inline: '\n' for a break, '' for what does not stand or is not filled yet. */
export function wordsOfInline(inline: Inline): string {
  switch (inline.type) {
    case 'text':
      return inline.text;
    case 'hardBreak':
      return '\n';
    case 'blank':
    case 'number':
    case 'reference':
    case 'timeCode':
      return inline.attrs.text;
    case 'folded':
    case 'include':
    case 'caretMark':
      return '';
  }
}

/** The words a reader sees in a run of inlines; `gap` stands for a blank without an answer. */
export function textOfInlines(inlines: readonly Inline[], gap = ''): string {
  return inlines
    .map((inline) => {
      const isGap = inline.type === 'blank' && inline.attrs.state === 'gap' && inline.attrs.text === '';
      return isGap ? gap : wordsOfInline(inline);
    })
    .join('');
}

const indented = (text: string, lead: string) => lead + text.replace(/\n/g, `\n${' '.repeat(lead.length)}`);

function listText(items: Block[], bullet: (index: number) => string, gap: string): string {
  return items
    .map((item, index) =>
      indented('content' in item ? blocksText(item.content as Block[], gap, '\n') : '', bullet(index)),
    )
    .join('\n');
}

/** What a text of a draft is called, before its words. What a comment or a marking is called says nothing. */
const boxHead = ({ name, comment, marking }: Extract<Block, { type: 'box' }>['attrs']): string =>
  comment || marking ? '' : `${name}: `;

function blockText(block: Block, gap: string): string {
  switch (block.type) {
    case 'paragraph':
    case 'heading':
    case 'turn':
      return textOfInlines(block.content ?? [], gap);
    case 'bulletList':
      return listText(block.content, () => '- ', gap);
    case 'orderedList':
      return listText(block.content, (index) => `${(block.attrs?.start ?? 1) + index}. `, gap);
    case 'listItem':
      return blocksText(block.content, gap, '\n');
    case 'blockquote':
      return blocksText(block.content, gap, '\n\n').replace(/^/gm, '> ');
    case 'box':
      return `${boxHead(block.attrs)}${blocksText(block.content, gap, '\n\n')}`;
    case 'horizontalRule':
      return '* * *';
    case 'table':
      return blocksText(block.content, gap, '\n');
    case 'tableRow':
      return blocksText(block.content, gap, '\t');
    case 'tableHeader':
    case 'tableCell':
      return blocksText(block.content, gap, ' ');
  }
}

function blocksText(blocks: Block[], gap: string, between: string): string {
  return blocks.map((block) => blockText(block, gap)).join(between);
}

/**
 * A passage as plain text: paragraphs parted by an empty line, list items with "- " or their number, table
 * cells by a tab. `gap` is what stands for an unanswered blank.
 */
export function plainText(passage: Passage, gap = ''): string {
  return blocksText(passage.content, gap, '\n\n');
}
