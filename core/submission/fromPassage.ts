import { seenMarks, textOfInlines, type Block, type Inline, type Passage } from '#core/passage';
import type { Span, Submission, SubmissionBlock } from './submission';

const spansOf = (inlines: readonly Inline[] = []): Span[] =>
  inlines.flatMap((inline) => {
    const text = textOfInlines([inline]);
    if (text === '') return [];
    const marks = seenMarks(inline.marks).map(({ type }) => type);
    return [{ text, ...(marks.length > 0 && { marks }) }];
  });

/** What a block of a passage is in a submission besides its words, by what it stands in. */
type Within = Omit<SubmissionBlock, 'spans'>;

const MOST_DEEP = 8;

class PassageReader {
  readonly blocks: SubmissionBlock[] = [];
  private tables = 0;

  read(block: Block, within: Within): void {
    switch (block.type) {
      case 'paragraph':
      case 'turn':
        this.blocks.push({ ...within, spans: spansOf(block.content) });
        return;
      case 'heading':
        this.blocks.push({
          ...within,
          ...(within.cell ? {} : { kind: 'heading', level: block.attrs.level }),
          spans: spansOf(block.content),
        });
        return;
      case 'bulletList':
        return this.list(block.content, within, () => '•');
      case 'orderedList':
        return this.list(block.content, within, (at) => `${(block.attrs?.start ?? 1) + at}.`);
      case 'blockquote':
        return this.all(block.content, { ...within, kind: 'quote' });
      case 'table':
        return this.table(block.content, within);
      case 'horizontalRule':
        return;
      default:
        return this.all(block.content, within);
    }
  }

  private all(blocks: readonly Block[], within: Within): void {
    for (const block of blocks) this.read(block, within);
  }

  private list(items: readonly Block[], within: Within, labelOf: (at: number) => string): void {
    const level = within.kind === 'item' ? Math.min((within.level ?? 0) + 1, MOST_DEEP) : 0;
    items.forEach((item, at) => {
      const content = 'content' in item ? (item.content as Block[]) : [];
      // What follows in the same item stands beneath its first line, without a sign of its own.
      content.forEach((block, index) =>
        this.read(block, { ...within, kind: 'item', level, label: index === 0 ? labelOf(at) : '' }),
      );
    });
  }

  private table(rows: readonly Block[], within: Within): void {
    const table = this.tables;
    this.tables += 1;
    rows.forEach((line, row) => {
      const cells = 'content' in line ? (line.content as Block[]) : [];
      cells.forEach((cell, column) => {
        const content = 'content' in cell ? (cell.content as Block[]) : [];
        for (const block of content) this.read(block, { ...within, cell: { table, row, column } });
      });
    });
  }
}

/** A passage as a submission: what was written in Markdown, pasted, or is plain text. */
export function submissionOfPassage({ content }: Passage): Submission {
  const reader = new PassageReader();
  for (const block of content) reader.read(block, { kind: 'paragraph' });
  return { version: 1, blocks: reader.blocks, comments: [] };
}
