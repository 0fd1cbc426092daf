import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { DraftDocument, Placements } from '#core/draft';

/**
 * What a draft carries beside its text, as the document's attribute: its placements, and the levels given to criteria. The editor
 * compares attributes property by property and draws the whole page anew when the document's own differ; what is carried is private
 * here, so that an answer redraws its blanks and nothing else. Undo carries it all the same.
 */
class Carried {
  readonly #placements: Placements;
  readonly #levels: Levels;

  constructor(placements: Placements, levels: Levels) {
    this.#placements = placements;
    this.#levels = levels;
  }

  get placements(): Placements {
    return this.#placements;
  }

  get levels(): Levels {
    return this.#levels;
  }
}

type Levels = Readonly<Record<string, string>>;

/** What a document without placements carries. */
export const NO_PLACEMENTS: unknown = new Carried({}, {});

const carriedBy = (doc: EditorNode): Carried => doc.attrs.placements as Carried;

/** The placements that a draft open in the editor carries. */
export const placementsOf = (doc: EditorNode): Placements => carriedBy(doc).placements;

/** The levels given to the criteria of an assignment, by their ids. */
export const levelsOf = (doc: EditorNode): Levels => carriedBy(doc).levels;

/** Gives a draft in the editor other placements, as a part of the transaction. */
export const setPlacements = (tr: Transaction, placements: Placements): Transaction =>
  tr.setDocAttribute('placements', new Carried(placements, levelsOf(tr.doc)));

/** Gives a draft in the editor other levels, as a part of the transaction. */
export const setLevels = (tr: Transaction, levels: Levels): Transaction =>
  tr.setDocAttribute('placements', new Carried(placementsOf(tr.doc), levels));

/** A draft's document in the form the editor takes. */
export function toEditor(document: DraftDocument): Record<string, unknown> {
  const { placements, levels = {} } = document.attrs;
  return { ...document, attrs: { placements: new Carried(placements, levels) } };
}

/** The editor's document as the draft it is. */
export function fromEditor(doc: EditorNode): DraftDocument {
  const { content } = doc.toJSON() as DraftDocument;
  const [placements, levels] = [placementsOf(doc), levelsOf(doc)];
  const hasLevels = Object.keys(levels).length > 0;
  return { type: 'doc', content, attrs: { placements, ...(hasLevels && { levels }) } };
}

/** A transaction that puts another text in the place of the whole draft; undo brings the old one back. */
export function replaceDraft(state: EditorState, { content, attrs }: DraftDocument): Transaction {
  const doc = state.schema.nodeFromJSON({ type: 'doc', content });
  const tr = state.tr.replaceWith(0, state.doc.content.size, doc.content);
  return setLevels(setPlacements(tr, attrs.placements), attrs.levels ?? {});
}
