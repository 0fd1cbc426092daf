import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import { Decoration, DecorationSet } from '@tiptap/pm/view';
import { attrsOf } from './blanks';
import { specialsIn } from './specials';

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
        let end = 0;
        // Only a line that holds a blank or words that are folded can show nothing for that.
        for (const { node, pos } of specialsIn(doc)) {
          if (pos < end || (node.type.name !== 'blank' && node.type.name !== 'folded')) continue;
          const $pos = doc.resolve(pos);
          const [from, to] = [$pos.before(), $pos.after()];
          end = to;
          const here = selection.from >= from && selection.to <= to;
          if (!here && isLeftOut($pos.parent))
            found.push(Decoration.node(from, to, { class: 'is-left-out' }));
        }
        return DecorationSet.create(doc, found);
      },
    },
  });
