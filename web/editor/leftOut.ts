import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';
import { attrsOf } from './blanks';

/** True for a paragraph in which nothing shows, though something may: it will not be there when finished. */
function isLeftOut(block: EditorNode): boolean {
  let live = false;
  let shown = false;
  block.forEach((node) => {
    if (node.type.name === 'folded') live = true;
    else if (node.type.name === 'blank' && attrsOf(node).state === 'left-out') live = true;
    else if (!node.isText || node.text!.trim() !== '') shown = true;
  });
  return live && !shown;
}

/** Lets paragraphs and list items in which nothing shows take next to no room on the page. */
export const leftOutLines = (): Plugin =>
  new Plugin({
    props: {
      decorations: ({ doc, selection }) => {
        const found: Decoration[] = [];
        doc.descendants((node, pos) => {
          if (!node.isTextblock) return true;
          const here = selection.from >= pos && selection.to <= pos + node.nodeSize;
          if (here || !isLeftOut(node)) return false;
          found.push(Decoration.node(pos, pos + node.nodeSize, { class: 'is-left-out' }));
          return false;
        });
        return DecorationSet.create(doc, found);
      },
    },
  });
