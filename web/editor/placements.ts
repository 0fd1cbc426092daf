import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { DraftDocument, Placements } from '#core/draft';
import type { Block } from '#core/passage';
import { NEW_TRANSCRIPT, type Transcript } from '#core/transcript';

/**
 * What a draft carries beside its text, as the document's attribute: its placements, the levels given to criteria, the cast of a
 * transcript. The editor compares attributes property by property and draws the whole page anew when the document's own differ; what is carried is private
 * here, so that an answer redraws its blanks and nothing else. Undo carries it all the same.
 */
class Carried {
  readonly #placements: Placements;
  readonly #levels: Levels;
  readonly #transcript: Transcript;

  constructor(placements: Placements, levels: Levels, transcript: Transcript) {
    this.#placements = placements;
    this.#levels = levels;
    this.#transcript = transcript;
  }

  get placements(): Placements {
    return this.#placements;
  }

  get levels(): Levels {
    return this.#levels;
  }

  get transcript(): Transcript {
    return this.#transcript;
  }
}

type Levels = Readonly<Record<string, string>>;

/** What a document without placements carries. */
export const NO_PLACEMENTS: unknown = new Carried({}, {}, NEW_TRANSCRIPT);

const carriedBy = (doc: EditorNode): Carried => doc.attrs.placements as Carried;

/** The placements that a draft open in the editor carries. */
export const placementsOf = (doc: EditorNode): Placements => carriedBy(doc).placements;

/** The levels given to the criteria of an assignment, by their ids. */
export const levelsOf = (doc: EditorNode): Levels => carriedBy(doc).levels;

/** Who speaks in a transcript, and how its labels and times are written. */
export const transcriptOf = (doc: EditorNode): Transcript => carriedBy(doc).transcript;

const carry = (tr: Transaction, now: Partial<Pick<Carried, 'placements' | 'levels' | 'transcript'>>) => {
  const { placements, levels, transcript } = carriedBy(tr.doc);
  const next = { placements, levels, transcript, ...now };
  return tr.setDocAttribute('placements', new Carried(next.placements, next.levels, next.transcript));
};

/** Gives a draft in the editor other placements, as a part of the transaction. */
export const setPlacements = (tr: Transaction, placements: Placements): Transaction =>
  carry(tr, { placements });

/** Gives a draft in the editor other levels, as a part of the transaction. */
export const setLevels = (tr: Transaction, levels: Levels): Transaction => carry(tr, { levels });

/** Gives a draft in the editor another cast, or other ways of writing it, as a part of the transaction. */
export const setTranscript = (tr: Transaction, transcript: Transcript): Transaction =>
  carry(tr, { transcript });

/** A draft's document in the form the editor takes. */
export function toEditor(document: DraftDocument): Record<string, unknown> {
  const { placements, levels = {}, transcript = NEW_TRANSCRIPT } = document.attrs;
  return { ...document, attrs: { placements: new Carried(placements, levels, transcript) } };
}

/** Of each block: a key changes one of thousands, and what is saved of the others stays the same objects. */
const written = new WeakMap<EditorNode, Block>();

function jsonOf(block: EditorNode): Block {
  const json = written.get(block) ?? (block.toJSON() as Block);
  written.set(block, json);
  return json;
}

/** The editor's document as the draft it is. */
export function fromEditor(doc: EditorNode): DraftDocument {
  const content: Block[] = [];
  doc.forEach((block) => content.push(jsonOf(block)));
  const { placements, levels, transcript } = carriedBy(doc);
  const more = {
    ...(Object.keys(levels).length > 0 && { levels }),
    ...(transcript !== NEW_TRANSCRIPT && { transcript }),
  };
  return { type: 'doc', content, attrs: { placements, ...more } };
}

/** A transaction that puts another text in the place of the whole draft; undo brings the old one back. */
export function replaceDraft(state: EditorState, { content, attrs }: DraftDocument): Transaction {
  const doc = state.schema.nodeFromJSON({ type: 'doc', content });
  const tr = state.tr.replaceWith(0, state.doc.content.size, doc.content);
  const { placements, levels = {}, transcript = NEW_TRANSCRIPT } = attrs;
  return carry(tr, { placements, levels, transcript });
}
