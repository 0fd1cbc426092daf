import { fieldUses, newEntry, proposeTitle, type EntryContent } from '#core/entry';
import type { Block } from '#core/passage';
import type { EndAt, SharedEnd } from './sharedEnds';

/** The entry with another put in where the blocks stood; fields that only they needed go with them. */
export function withPiece(
  content: EntryContent,
  { wording, part }: Omit<EndAt, 'entry'>,
  { kind, blocks }: Pick<SharedEnd, 'kind' | 'blocks'>,
  piece: string,
): EntryContent {
  const put: Block = { type: 'paragraph', content: [{ type: 'include', attrs: { entry: piece } }] };
  const replaced = (all: Block[]) =>
    kind === 'opening'
      ? [put, ...all.slice(blocks.length)]
      : [...all.slice(0, all.length - blocks.length), put];
  const wordings = content.wordings.map((one) =>
    one.id === wording
      ? {
          ...one,
          parts: one.parts.map((its) =>
            its.id === part
              ? { ...its, passage: { ...its.passage, content: replaced(its.passage.content) } }
              : its,
          ),
        }
      : one,
  );
  const [before, after] = [fieldUses(content), fieldUses({ ...content, wordings })];
  const isUsed = (uses: ReturnType<typeof fieldUses>, id: string) => {
    const { blanks, elsewhere } = uses.get(id)!;
    return blanks + elsewhere > 0;
  };
  // One that was used nowhere before is not ours to drop.
  const fields = content.fields.filter(({ id }) => isUsed(after, id) || !isUsed(before, id));
  return { ...content, wordings, fields };
}

/** The entry of its own that shared blocks become. */
export function pieceOf({ kind, language, blocks, fields }: SharedEnd): EntryContent {
  const passage = { type: 'doc' as const, content: blocks };
  const title = proposeTitle(passage) || (kind === 'opening' ? 'Opening' : 'Closing');
  return { ...newEntry(title, language, passage), fields };
}
