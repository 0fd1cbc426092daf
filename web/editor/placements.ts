import { Slice, type Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import { ReplaceStep, type Step } from '@tiptap/pm/transform';
import type { DraftDocument, Envelope, Placements } from '#core/draft';
import type { Block } from '#core/passage';
import { NEW_TRANSCRIPT, type Transcript } from '#core/transcript';

/**
 * What a draft carries beside its text, as the document's attribute: its placements, the levels given to criteria, the cast of a
 * transcript, the head of a letter. The editor compares attributes property by property and draws the whole page anew when the document's own differ; what is carried is private
 * here, so that an answer redraws its blanks and nothing else. Undo carries it all the same.
 */
class Carried {
  readonly #placements: Placements;
  readonly #levels: Levels;
  readonly #transcript: Transcript;
  readonly #envelope: Envelope;

  constructor(placements: Placements, levels: Levels, transcript: Transcript, envelope: Envelope) {
    this.#placements = placements;
    this.#levels = levels;
    this.#transcript = transcript;
    this.#envelope = envelope;
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

  get envelope(): Envelope {
    return this.#envelope;
  }
}

type Levels = Readonly<Record<string, string>>;

const NO_ENVELOPE: Envelope = {};

/** What a document without placements carries. */
export const NO_PLACEMENTS: unknown = new Carried({}, {}, NEW_TRANSCRIPT, NO_ENVELOPE);

const carriedBy = (doc: EditorNode): Carried => doc.attrs.placements as Carried;

/** The placements that a draft open in the editor carries. */
export const placementsOf = (doc: EditorNode): Placements => carriedBy(doc).placements;

/** The levels given to the criteria of an assignment, by their ids. */
export const levelsOf = (doc: EditorNode): Levels => carriedBy(doc).levels;

/** Who speaks in a transcript, and how its labels and times are written. */
export const transcriptOf = (doc: EditorNode): Transcript => carriedBy(doc).transcript;

/** To whom a letter goes and what it is called, where its writer said so. */
export const envelopeOf = (doc: EditorNode): Envelope => carriedBy(doc).envelope;

type Parts = Pick<Carried, 'placements' | 'levels' | 'transcript' | 'envelope'>;

const carried = ({ placements, levels, transcript, envelope }: Parts) =>
  new Carried(placements, levels, transcript, envelope);

/** What a draft's own attributes say, with what is usual for the rest. */
const partsOf = ({ placements, levels, transcript, envelope }: DraftDocument['attrs']): Parts => ({
  placements,
  levels: levels ?? {},
  transcript: transcript ?? NEW_TRANSCRIPT,
  envelope: envelope ?? NO_ENVELOPE,
});

const carry = (tr: Transaction, now: Partial<Parts>) => {
  const { placements, levels, transcript, envelope } = carriedBy(tr.doc);
  return tr.setDocAttribute('placements', carried({ placements, levels, transcript, envelope, ...now }));
};

/** Gives a draft in the editor other placements, as a part of the transaction. */
export const setPlacements = (tr: Transaction, placements: Placements): Transaction =>
  carry(tr, { placements });

/** Gives a draft in the editor other levels, as a part of the transaction. */
export const setLevels = (tr: Transaction, levels: Levels): Transaction => carry(tr, { levels });

/** Gives a draft in the editor another cast, or other ways of writing it, as a part of the transaction. */
export const setTranscript = (tr: Transaction, transcript: Transcript): Transaction =>
  carry(tr, { transcript });

/** Gives a letter in the editor another head, as a part of the transaction. */
export const setEnvelope = (tr: Transaction, envelope: Envelope): Transaction => carry(tr, { envelope });

/** A draft's document in the form the editor takes. */
export function toEditor(document: DraftDocument): Record<string, unknown> {
  return { ...document, attrs: { placements: carried(partsOf(document.attrs)) } };
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
  const { placements, levels, transcript, envelope } = carriedBy(doc);
  const more = {
    ...(Object.keys(levels).length > 0 && { levels }),
    ...(transcript !== NEW_TRANSCRIPT && { transcript }),
    ...(Object.keys(envelope).length > 0 && { envelope }),
  };
  return { type: 'doc', content, attrs: { placements, ...more } };
}

/** A transaction that puts another text in the place of the whole draft; undo brings the old one back. */
export function replaceDraft(state: EditorState, { content, attrs }: DraftDocument): Transaction {
  const doc = state.schema.nodeFromJSON({ type: 'doc', content });
  const tr = state.tr.replaceWith(0, state.doc.content.size, doc.content);
  return carry(tr, partsOf(attrs));
}

const FOLLOWED = 'followed';

/** The step that makes a text another by changing no more than the letters that differ; null where nothing does. */
function stepByLetters(here: EditorNode, there: EditorNode): Step | null {
  const start = here.content.findDiffStart(there.content);
  const end = start === null ? null : here.content.findDiffEnd(there.content);
  if (start === null || end === null) return null;
  // Where the same letters stand on both sides the two ends run past the start.
  const over = Math.max(0, start - Math.min(end.a, end.b));
  return new ReplaceStep(start, end.a + over, there.slice(start, end.b + over));
}

/** The step that makes a text another by changing the blocks that differ, whatever they are. */
function stepByBlocks(here: EditorNode, there: EditorNode): Step {
  const least = Math.min(here.childCount, there.childCount);
  let head = 0;
  while (head < least && here.child(head).eq(there.child(head))) head += 1;
  let tail = 0;
  const fromEnd = (doc: EditorNode) => doc.child(doc.childCount - 1 - tail);
  while (tail < least - head && fromEnd(here).eq(fromEnd(there))) tail += 1;
  const at = (doc: EditorNode, index: number) =>
    Array.from({ length: index }, (_, one) => doc.child(one).nodeSize).reduce((sum, size) => sum + size, 0);
  const between = (doc: EditorNode) => [at(doc, head), at(doc, doc.childCount - tail)] as const;
  return new ReplaceStep(...between(here), new Slice(there.content.cut(...between(there)), 0, 0));
}

/**
 * A transaction that makes the draft another text by changing what differs alone: the caret stays where it is, and what was done here
 * before can still be undone. Itself it is not undone: it was done elsewhere.
 */
export function followDraft(state: EditorState, { content, attrs }: DraftDocument): Transaction {
  const there = state.schema.nodeFromJSON({ type: 'doc', content });
  const { doc, tr } = state;
  const step = stepByLetters(doc, there);
  // Where blocks lie otherwise within each other, the letters that differ do not fit there.
  if (step && !step.apply(doc).doc?.content.eq(there.content)) tr.step(stepByBlocks(doc, there));
  else if (step) tr.step(step);
  return carry(tr, partsOf(attrs)).setMeta('addToHistory', false).setMeta(FOLLOWED, true);
}

/** Whether a transaction brought what was written elsewhere. */
export const isFollowing = (tr: Transaction): boolean => tr.getMeta(FOLLOWED) === true;
