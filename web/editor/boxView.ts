import type { Node as EditorNode } from '@tiptap/pm/model';
import type { NodeView, ViewMutationRecord } from '@tiptap/pm/view';
import { commentOf } from './comments';
import { markingOf } from './markings';

/** Of which sort a box is: one of another is drawn anew. */
const sortOf = (node: EditorNode): string =>
  commentOf(node) ? 'comment' : markingOf(node) ? 'marking' : 'box';

/**
 * A box as it stands on the page: one of a name, a comment or a marking. A comment stands beside the words it is on, and a marking at its place
 * of a page, where the screen puts them; so what is written on them (their place, a head) is no change of the text.
 */
export class BoxView implements NodeView {
  readonly dom: HTMLElement;
  readonly contentDOM: HTMLElement;
  private readonly head: HTMLElement | null;

  constructor(private node: EditorNode) {
    const comment = commentOf(node);
    this.dom = document.createElement('section');
    this.contentDOM = document.createElement('div');
    this.head = comment ? document.createElement('div') : null;
    if (this.head) {
      this.head.className = 'comment-head';
      this.head.contentEditable = 'false';
      this.dom.append(this.head);
    }
    this.dom.append(this.contentDOM);
    this.dom.role = 'group';
    this.draw();
  }

  private draw(): void {
    const comment = commentOf(this.node);
    const name = String(this.node.attrs.name);
    const marking = markingOf(this.node);
    this.dom.className = comment ? 'comment' : marking ? 'marking' : 'box';
    if (marking) {
      this.dom.dataset.marking = marking.id;
      this.dom.ariaLabel = `Marking on page ${marking.page + 1}`;
    } else if (comment) {
      this.dom.dataset.comment = comment.id;
      this.dom.ariaLabel = `Comment on “${comment.words.slice(0, 60)}”`;
    } else {
      this.dom.dataset.box = name;
      this.dom.ariaLabel = name;
    }
  }

  update(node: EditorNode): boolean {
    if (node.type !== this.node.type || sortOf(node) !== sortOf(this.node)) return false;
    this.node = node;
    this.draw();
    return true;
  }

  ignoreMutation(mutation: ViewMutationRecord): boolean {
    return mutation.type !== 'selection' && !this.contentDOM.contains(mutation.target);
  }
}
