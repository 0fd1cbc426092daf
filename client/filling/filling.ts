import type { TypedCase } from '#core/cue';
import type { Answer, Answers, DraftDocument, Placement } from '#core/draft';
import { NEVER_ASKED, type Field } from '#core/entry';
import {
  finishedPassage,
  gapsOf,
  isByHand,
  place,
  refillPassage,
  type Gap,
  type PlaceRequest,
} from '#core/fill';
import {
  followCase,
  joinAtCaret,
  linesOf,
  mapLines,
  type Inline,
  type Join,
  type Passage,
} from '#core/passage';

/** An entry that is being filled by itself, to be put into a page of somebody else's as words: nothing of it stays alive there. */
export interface Filling {
  placement: Placement;
  id: string;
  /** All its parts, as Subject and the text; the text is the last. */
  parts: readonly { name: string; passage: Passage }[];
  joins: Join;
}

/** Something a filling asks: an answer to a field, or that a statement be confirmed; a statement's number among them all. */
export type Step = { kind: 'answer'; field: Field } | { kind: 'confirm'; at: number; words: string };

/** The text that an entry is put beside: what of the line stands before and after, and whether it goes on with a word. */
export interface Beside {
  before: string;
  after: string;
  inWord: boolean;
}

/** Begins to fill an entry, in the case in which its cue was typed; what the record and the writer's details tell is answered. */
export function beginFilling(request: PlaceRequest, typed: TypedCase = 'as-is'): Filling {
  const { passage, placement, boxes, joins } = place(request);
  const parts = [...boxes, { name: '', passage: followCase(passage, typed) }];
  return { placement, id: request.id, parts, joins };
}

/** The filling with some answers given, or taken back (null); what depends on them follows. */
export function withAnswers(filling: Filling, given: Readonly<Record<string, Answer | null>>): Filling {
  const all = Object.entries({ ...filling.placement.answers, ...given });
  const answers: Answers = Object.fromEntries(all.filter((one): one is [string, Answer] => one[1] !== null));
  const placement = { ...filling.placement, answers };
  const parts = filling.parts.map(({ name, passage }) => ({
    name,
    passage: refillPassage(passage, { [filling.id]: placement }),
  }));
  return { ...filling, placement, parts };
}

/** The answers that a person gave: those that a record or the writer's details told are not among them, and are told anew. */
export const typedAnswers = ({ placement: { answers } }: Filling): Answers =>
  Object.fromEntries(
    Object.entries(answers).filter(
      ([, answer]) => (answer.kind !== 'detail' && answer.kind !== 'person') || isByHand(answer),
    ),
  );

const isUnconfirmed = (inline: Inline) => inline.marks?.some(({ type }) => type === 'confirm') ?? false;

/** A filling as a draft of its own: what is missing in it is found as on a leaf. */
const draftOf = ({ parts, placement, id }: Filling): DraftDocument => ({
  type: 'doc',
  content: parts.flatMap(({ passage }) => passage.content),
  attrs: { placements: { [id]: placement } },
});

/** The filling with a statement confirmed: the one of this number among those that still are to be. */
export function withConfirmed(filling: Filling, at: number): Filling {
  let seen = -1;
  const parts = filling.parts.map(({ name, passage }) => ({
    name,
    passage: mapLines(passage, (line) =>
      line.map((inline, index) => {
        if (!isUnconfirmed(inline)) return inline;
        const before = line[index - 1];
        if (!before || !isUnconfirmed(before)) seen += 1;
        if (seen !== at) return inline;
        return { ...inline, marks: inline.marks?.filter(({ type }) => type !== 'confirm') };
      }),
    ),
  }));
  return { ...filling, parts };
}

/** Whether a person is asked for the answer to a field, as on a leaf. */
const isAsked = (field: Field) =>
  field.kind === 'detail' ? field.required : !NEVER_ASKED.has(field.kind) || field.kind === 'writer';

/**
 * What a filling asks, in the order of its text: each field once, those of optional passages as long as these stand. `also` is a field that
 * somebody goes to by hand, such as a detail that may be missing.
 */
export function stepsOf(filling: Filling, also?: string): Step[] {
  const { fields } = filling.placement;
  const seen = new Set<string>();
  const asked = linesOf(draftOf(filling)).flatMap((line) =>
    line.flatMap((inline): Step[] => {
      if (inline.type !== 'blank' || seen.has(inline.attrs.field)) return [];
      seen.add(inline.attrs.field);
      const field = fields.find(({ id }) => id === inline.attrs.field);
      // What the record or the writer's details tell is not asked again.
      const isTold =
        field &&
        ['writer', 'detail'].includes(field.kind) &&
        filling.placement.answers[field.id]?.kind === 'detail';
      const isWanted = field && ((isAsked(field) && !isTold) || field.id === also);
      return isWanted && field.kind !== 'computed' ? [{ kind: 'answer', field }] : [];
    }),
  );
  const statements = gapsIn(filling).filter(({ kind }) => kind === 'confirm');
  return [
    ...asked,
    ...statements.map(({ question }, at): Step => ({ kind: 'confirm', at, words: question })),
  ];
}

/** What still is missing: required answers, statements to confirm. Nothing goes into a page as long as there is any. */
export const gapsIn = (filling: Filling): Gap[] => gapsOf(draftOf(filling));

/** How the parts of a filling read, finished; the text joined to what it is put beside. Parts without words are left out. */
export function finishedParts(
  { parts, joins }: Filling,
  { before, after, inWord }: Beside,
): Filling['parts'] {
  return parts.map(({ name, passage }, at) => {
    const isText = at === parts.length - 1;
    const joined = isText ? joinAtCaret(passage, before, after, joins, inWord) : passage;
    return { name, passage: finishedPassage(joined) };
  });
}
