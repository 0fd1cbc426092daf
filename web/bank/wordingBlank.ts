import type { Node as EditorNode } from '@tiptap/pm/model';
import type { NodeView } from '@tiptap/pm/view';
import { attrsOf } from '../editor/blanks';
import { BlankNode } from '../editor/extensions';

/** The names of the entry's fields, which blanks show; they change apart from the text. */
export class FieldNames {
  private names = new Map<string, string>();
  private readonly shown = new Set<() => void>();

  of(field: string): string {
    return this.names.get(field) ?? 'unknown field';
  }

  /** Takes new names and lets every blank show its own again. */
  set(names: Map<string, string>): void {
    this.names = names;
    for (const show of this.shown) show();
  }

  /** Calls `show` whenever names change, until the function returned is called. */
  follow(show: () => void): () => void {
    this.shown.add(show);
    return () => this.shown.delete(show);
  }
}

/** A blank in a wording: a ruled line with its field's name on it. */
class WordingBlankView implements NodeView {
  readonly dom = document.createElement('span');
  private readonly leave: () => void;

  constructor(
    private node: EditorNode,
    private readonly names: FieldNames,
  ) {
    this.dom.className = 'blank in-wording';
    this.leave = names.follow(() => this.show());
    this.show();
  }

  private show(): void {
    this.dom.textContent = this.names.of(attrsOf(this.node).field);
  }

  update(node: EditorNode): boolean {
    if (node.type !== this.node.type) return false;
    this.node = node;
    this.show();
    return true;
  }

  selectNode(): void {
    this.dom.classList.add('is-current');
  }

  deselectNode(): void {
    this.dom.classList.remove('is-current');
  }

  ignoreMutation(): boolean {
    return true;
  }

  destroy(): void {
    this.leave();
  }
}

/** The blank node for the wording editor, showing the names it is given. */
export const wordingBlank = (names: FieldNames) =>
  BlankNode.extend({
    addNodeView:
      () =>
      ({ node }) =>
        new WordingBlankView(node, names),
  });
