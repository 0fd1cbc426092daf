import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { DraftDocument, Placements } from '#core/draft';

/**
 * Placements as the document's attribute. The editor compares attributes property by property and draws the
 * whole page anew when the document's own differ; the placements are private here, so that an answer redraws
 * its blanks and nothing else. Undo carries them all the same.
 */
class Carried {
  readonly #placements: Placements;

  constructor(placements: Placements) {
    this.#placements = placements;
  }

  get placements(): Placements {
    return this.#placements;
  }
}

/** What a document without placements carries. */
export const NO_PLACEMENTS: unknown = new Carried({});

/** The placements that a draft open in the editor carries. */
export function placementsOf(doc: EditorNode): Placements {
  return (doc.attrs.placements as Carried).placements;
}

/** Gives a draft in the editor other placements, as a part of the transaction. */
export function setPlacements(tr: Transaction, placements: Placements): Transaction {
  return tr.setDocAttribute('placements', new Carried(placements));
}

/** A draft's document in the form the editor takes. */
export function toEditor(document: DraftDocument): Record<string, unknown> {
  return { ...document, attrs: { placements: new Carried(document.attrs.placements) } };
}

/** The editor's document as the draft it is. */
export function fromEditor(doc: EditorNode): DraftDocument {
  const { content } = doc.toJSON() as DraftDocument;
  return { type: 'doc', content, attrs: { placements: placementsOf(doc) } };
}

/** A transaction that puts another text in the place of the whole draft; undo brings the old one back. */
export function replaceDraft(state: EditorState, { content, attrs }: DraftDocument): Transaction {
  const doc = state.schema.nodeFromJSON({ type: 'doc', content });
  return setPlacements(state.tr.replaceWith(0, state.doc.content.size, doc.content), attrs.placements);
}
