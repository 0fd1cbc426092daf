import { isLine } from './lines';
import type { Block } from './blocks';
import type { Inline } from './inlines';
import type { Mark } from './marks';
import type { Passage } from './passage';

/** What an inline took away: most took nothing. */
const TOOK = new Set(['tookBefore', 'tookAfter', 'put']);

/** What says nothing: an editor writes it out, and a wording read from its notation has none of it. */
const SAYS_NOTHING: Record<string, unknown> = { colspan: 1, rowspan: 1, start: 1 };

type Attrs = Record<string, unknown>;

const sorted = (attrs: Attrs, without: (key: string, value: unknown) => boolean = () => false): Attrs =>
  Object.fromEntries(
    Object.entries(attrs)
      .filter(([key, value]) => value !== undefined && !without(key, value))
      .sort(([a], [b]) => (a < b ? -1 : 1)),
  );

/** Keys in one order; what is empty left out. */
function keyed(type: string, { text, attrs = {}, marks = [], content = [] }: Attrs): unknown {
  return {
    type,
    ...(text !== undefined && { text }),
    ...(Object.keys(attrs as Attrs).length > 0 && { attrs }),
    ...((content as unknown[]).length > 0 && { content }),
    ...((marks as unknown[]).length > 0 && { marks }),
  };
}

function canonicalMark(mark: Mark): Mark {
  const attrs = ('attrs' in mark ? mark.attrs : {}) as Attrs;
  return keyed(mark.type, { attrs: sorted(mark.type === 'link' ? { href: attrs.href } : attrs) }) as Mark;
}

/** Marks in the order of their names; of optional passages within each other the order stays. */
const canonicalMarks = (marks: readonly Mark[] = []) =>
  marks.map(canonicalMark).sort((a, b) => (a.type < b.type ? -1 : a.type > b.type ? 1 : 0));

function canonicalInline(inline: Inline): Inline {
  const {
    type,
    text,
    attrs = {},
    marks,
  } = inline as { type: string; text?: string; attrs?: Attrs; marks?: Mark[] };
  const own = inline.type === 'folded' ? { ...attrs, content: canonicalLine(inline.attrs.content) } : attrs;
  const isNothing = (key: string, value: unknown) => value === '' && TOOK.has(key);
  return keyed(type, { text, attrs: sorted(own, isNothing), marks: canonicalMarks(marks) }) as Inline;
}

function canonicalLine(line: readonly Inline[]): Inline[] {
  const joined: Inline[] = [];
  for (const inline of line.map(canonicalInline)) {
    const last = joined.at(-1);
    const isSame = JSON.stringify(last?.marks) === JSON.stringify(inline.marks);
    if (inline.type === 'text' && last?.type === 'text' && isSame)
      joined[joined.length - 1] = { ...last, text: last.text + inline.text };
    else joined.push(inline);
  }
  return joined;
}

function canonicalBlock(block: Block): Block {
  const { type } = block;
  const attrs = sorted(
    ('attrs' in block ? block.attrs : {}) ?? {},
    (key, value) => value === null || SAYS_NOTHING[key] === value,
  );
  if (isLine(block)) return keyed(type, { attrs, content: canonicalLine(block.content ?? []) }) as Block;
  return keyed(type, {
    attrs,
    content: 'content' in block ? block.content.map(canonicalBlock) : [],
  }) as Block;
}

/**
 * A passage in the one form of all that read and behave alike: wherever it comes from (an editor, the notation, the store), the
 * same passage has the same JSON. Marks stand in one order, neighbouring words of the same marks are one run, what says
 * nothing is left out.
 */
export const canonical = ({ content }: Passage): Passage => ({
  type: 'doc',
  content: content.map(canonicalBlock),
});
