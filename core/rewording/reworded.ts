import type { EntryContent } from '#core/entry';
import { isLine, type Block } from '#core/passage';
import { editTexts, type TextAt } from '#core/terms';
import type { Rewording } from './changesOf';

/** Blocks without lines that have nothing in them any more. */
const withoutEmpty = (blocks: Block[]): Block[] => {
  const left = blocks.filter((block) => !(isLine(block) && (block.content ?? []).length === 0));
  return left.length === 0 ? blocks.slice(0, 1) : left;
};

/** The entry with a change made in one part of a wording; a paragraph of which nothing is left goes. */
export function reworded(
  content: EntryContent,
  { wording, part }: { wording: string; part: string },
  { line, from, to, put }: Rewording,
): EntryContent {
  const at: TextAt = { in: 'wording', wording, part, line };
  const edited = editTexts(content, [{ at, from, to, put }]);
  return {
    ...edited,
    wordings: edited.wordings.map((one) =>
      one.id === wording
        ? {
            ...one,
            parts: one.parts.map((its) =>
              its.id === part && put === ''
                ? { ...its, passage: { ...its.passage, content: withoutEmpty(its.passage.content) } }
                : its,
            ),
          }
        : one,
    ),
  };
}
