import { BLOCKS, type Block, type BlockOf } from './blocks';
import { wordsOfInline, type Inline } from './inlines';
import { isLine } from './lines';
import type { Passage } from './passage';

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

const listText = (items: readonly Block[], bullet: (index: number) => string, gap: string): string =>
  items.map((item, index) => indented(within(item, gap), bullet(index))).join('\n');

/** What a text of a draft is called, before its words. What a comment or a marking is called says nothing. */
const boxHead = ({ name, comment, marking }: BlockOf<'box'>['attrs']): string =>
  comment || marking ? '' : `${name}: `;

/** What a block holds, as its row of the table parts it. */
function within(block: Block, gap: string): string {
  if (isLine(block)) return textOfInlines(block.content ?? [], gap);
  return 'content' in block ? blocksText(block.content, gap, BLOCKS[block.type].between) : '';
}

function blockText(block: Block, gap: string): string {
  switch (block.type) {
    case 'bulletList':
      return listText(block.content, () => '- ', gap);
    case 'orderedList':
      return listText(block.content, (index) => `${(block.attrs?.start ?? 1) + index}. `, gap);
    case 'blockquote':
      return within(block, gap).replace(/^/gm, '> ');
    case 'box':
      return `${boxHead(block.attrs)}${within(block, gap)}`;
    case 'horizontalRule':
      return '* * *';
    default:
      return within(block, gap);
  }
}

const blocksText = (blocks: readonly Block[], gap: string, between: string): string =>
  blocks.map((block) => blockText(block, gap)).join(between);

/**
 * A passage as plain text: paragraphs parted by an empty line, list items with "- " or their number, table
 * cells by a tab. `gap` is what stands for an unanswered blank.
 */
export function plainText(passage: Passage, gap = ''): string {
  return blocksText(passage.content, gap, '\n\n');
}
