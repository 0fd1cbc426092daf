import type { Node as EditorNode } from '@tiptap/pm/model';

/** An inline that is more than plain words, where it stands. */
export interface SpecialAt {
  node: EditorNode;
  pos: number;
}

/** Marks of words that are asked after wherever they stand. */
const ASKED_AFTER: ReadonlySet<string> = new Set(['confirm', 'placed']);

const isSpecial = (node: EditorNode): boolean =>
  node.isInline &&
  ((!node.isText && node.type.name !== 'hardBreak') ||
    node.marks.some(({ type }) => ASKED_AFTER.has(type.name)));

/** Of each block, and of each text, that was looked through: a key changes one block of thousands, the others stay the same objects. */
const ofBlocks = new WeakMap<EditorNode, readonly SpecialAt[]>();
const ofTexts = new WeakMap<EditorNode, readonly SpecialAt[]>();

/** What of a block is special, by its place behind the block's own. */
function within(block: EditorNode): readonly SpecialAt[] {
  let found = ofBlocks.get(block);
  if (!found) {
    const fresh: SpecialAt[] = [];
    block.descendants((node, pos) => {
      if (isSpecial(node)) fresh.push({ node, pos: pos + 1 });
    });
    ofBlocks.set(block, (found = fresh));
  }
  return found;
}

/** All inlines of a document, or of one line, but plain words and line breaks, in their order: blanks, numbers, times, words to confirm or from the bank. */
export function specialsIn(doc: EditorNode): readonly SpecialAt[] {
  let found = ofTexts.get(doc);
  if (!found) {
    const fresh: SpecialAt[] = [];
    doc.forEach((block, at) => {
      if (isSpecial(block)) fresh.push({ node: block, pos: at });
      for (const { node, pos } of within(block)) fresh.push({ node, pos: at + pos });
    });
    ofTexts.set(doc, (found = fresh));
  }
  return found;
}
