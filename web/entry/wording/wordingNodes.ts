import type { Node as EditorNode } from '@tiptap/pm/model';
import type { NodeView } from '@tiptap/pm/view';
import { numberInForm } from '#core/numbering';
import type { NumberForm } from '#core/passage';
import { blankLabel } from '#core/passage';
import {
  attrsOf,
  BlankNode,
  CaretMarkNode,
  IncludeNode,
  NumberNode,
  ReferenceNode,
  TimeCodeNode,
} from '../../editor';

/** What a wording's nodes are called: names of fields, titles of entries. They change apart from the text. */
export interface NodeNames {
  fields: ReadonlyMap<string, string>;
  entries: ReadonlyMap<string, string>;
}

/** The names that the nodes of one editor show. */
export class Names {
  private named: NodeNames = { fields: new Map(), entries: new Map() };
  private readonly shown = new Set<() => void>();

  field = (id: string): string => this.named.fields.get(id) ?? 'unknown field';
  entry = (id: string): string => this.named.entries.get(id) ?? 'an entry not shared with you';

  /** Takes new names and lets every node show its own again. */
  set(named: NodeNames): void {
    this.named = named;
    for (const show of this.shown) show();
  }

  /** Calls `show` whenever names change, until the function returned is called. */
  follow(show: () => void): () => void {
    this.shown.add(show);
    return () => this.shown.delete(show);
  }
}

type WordsOf = (node: EditorNode) => string;

/** A node of a wording as a piece of text that cannot be torn apart by typing. */
class NamedView implements NodeView {
  readonly dom = document.createElement('span');
  private readonly leave: () => void;

  constructor(
    private node: EditorNode,
    look: string,
    private readonly wordsOf: WordsOf,
    names: Names,
  ) {
    this.dom.className = look;
    this.leave = names.follow(() => this.show());
    this.show();
  }

  private show(): void {
    this.dom.textContent = this.wordsOf(this.node);
    if (this.node.type.name !== 'blank') return;
    this.dom.dataset.form = attrsOf(this.node).form;
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

const ATOM = 'in-wording-atom';

/** The nodes that only a wording's editor shows as what they are, with the names given. */
export function wordingNodes(names: Names) {
  const shown = (node: typeof BlankNode, look: string, wordsOf: WordsOf) =>
    node.extend({
      addNodeView:
        () =>
        ({ node: one }) =>
          new NamedView(one, look, wordsOf, names),
    });
  return [
    shown(BlankNode, 'blank in-wording', (node) =>
      blankLabel(names.field(attrsOf(node).field), attrsOf(node).form),
    ),
    shown(IncludeNode, ATOM, (node) => `“${names.entry(String(node.attrs.entry))}”`),
    shown(CaretMarkNode, ATOM, () => 'caret'),
    shown(
      NumberNode,
      ATOM,
      (node) => `${String(node.attrs.list)} ${numberInForm(1, node.attrs.form as NumberForm)}`,
    ),
    shown(ReferenceNode, ATOM, () => 'see its number'),
    shown(TimeCodeNode, ATOM, (node) => (node.attrs.unclear ? 'time, unclear' : 'time')),
  ];
}
