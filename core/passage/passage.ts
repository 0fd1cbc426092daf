import { z } from 'zod';
import { BlockSchema, type Block } from './blocks';

/**
 * Rich text as data, in the shape of the editor's document schema, so that the editor, the store and the
 * core need no translation between them. Its marks, inlines and blocks are the rows of `MARKS`, `INLINES` and `BLOCKS`.
 */

/** What a passage may hold at the most; a larger one is refused with a clear message. */
export const LIMITS = { depth: 12, characters: 600_000, nodes: 40_000 } as const;

/** Rich text as data: blocks of lines. */
export interface Passage {
  type: 'doc';
  content: Block[];
}

/** Depth, nodes and characters of an unchecked value; measured without recursion, so that depth cannot hurt. */
function measure(root: unknown): { depth: number; nodes: number; characters: number } {
  const total = { depth: 0, nodes: 0, characters: 0 };
  const waiting: { value: unknown; depth: number }[] = [{ value: root, depth: 0 }];
  for (let next = waiting.pop(); next && total.nodes <= LIMITS.nodes; next = waiting.pop()) {
    const node = next.value as { content?: unknown; text?: unknown; attrs?: { content?: unknown } } | null;
    if (typeof node !== 'object' || node === null) continue;
    total.nodes += 1;
    total.depth = Math.max(total.depth, next.depth);
    if (typeof node.text === 'string') total.characters += node.text.length;
    for (const inner of [node.content, node.attrs?.content]) {
      if (!Array.isArray(inner)) continue;
      for (const value of inner) waiting.push({ value, depth: next.depth + 1 });
    }
  }
  return total;
}

const sizes = z.unknown().superRefine((value, context) => {
  const found = measure(value);
  for (const key of ['depth', 'nodes', 'characters'] as const) {
    if (found[key] > LIMITS[key]) {
      context.addIssue({ code: 'custom', message: `the text is too large: ${key} over ${LIMITS[key]}` });
    }
  }
});

/**
 * Checks a whole passage: shape, marks, safe links and the limits of `LIMITS`. Anything that is not part of
 * the model (attributes, classes, foreign nodes) is dropped or refused; nothing else is ever stored.
 */
export const PassageSchema: z.ZodType<Passage> = sizes.pipe(
  z.object({ type: z.literal('doc'), content: z.array(BlockSchema).min(1) }),
);
