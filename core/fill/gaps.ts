import type { DraftDocument } from '#core/draft';
import { linesOf, textOfInlines, type Inline, type Line } from '#core/passage';
import { knowledgeOf } from './knowledge';

/** Something that must be done before a draft can be finished: a question to answer, or a statement to confirm. */
export type Gap = { placement: string; name: string; question: string } & (
  | { kind: 'answer'; field: string }
  /** The question is how the statement begins. */
  | { kind: 'confirm' }
  /** A reference to a number that is not there any more; the question is how its line reads. */
  | { kind: 'reference'; to: string }
);

/** A statement is named by this many of its letters. */
const NAMED_BY = 60;

const isUnconfirmed = (inline: Inline) => inline.marks?.some(({ type }) => type === 'confirm') ?? false;

const placementOf = (inline: Inline): string => {
  const mark = inline.marks?.find(({ type }) => type === 'placed');
  return mark?.type === 'placed' ? mark.attrs.placement : '';
};

/** How some inlines begin, to be told them by. */
function shownIn(inlines: readonly Inline[]): string {
  const words = textOfInlines(inlines, '…').trim();
  return words.length > NAMED_BY ? `${words.slice(0, NAMED_BY).trimEnd()} …` : words;
}

/** The statements of a line still to be confirmed: stretches of inlines that carry the mark. */
function statementsIn(line: Line): Gap[] {
  const statements: Inline[][] = [];
  line.forEach((inline, at) => {
    if (!isUnconfirmed(inline)) return;
    const before = line[at - 1];
    if (before && isUnconfirmed(before)) statements.at(-1)!.push(inline);
    else statements.push([inline]);
  });
  return statements.map((inlines) => {
    return {
      kind: 'confirm',
      placement: placementOf(inlines[0]!),
      name: 'To be confirmed',
      question: shownIn(inlines),
    };
  });
}

/**
 * What still has to be done before a draft can be finished: each field without its required answer once, however many
 * blanks ask for it, each statement not confirmed yet, and each reference to a number that is gone; in the order of the text. What
 * is folded away asks nothing.
 */
export function gapsOf(draft: DraftDocument): Gap[] {
  const seen = new Set<string>();
  const lines = linesOf(draft);
  const numbers = new Set(
    lines.flatMap((line) => line.flatMap((one) => (one.type === 'number' ? [one.attrs.id] : []))),
  );
  const lostIn = (line: Line): Gap[] =>
    line.flatMap((one): Gap[] =>
      one.type === 'reference' && !numbers.has(one.attrs.to)
        ? [
            {
              kind: 'reference',
              to: one.attrs.to,
              placement: placementOf(one),
              name: 'Reference',
              question: shownIn(line),
            },
          ]
        : [],
    );
  return lines.flatMap((line): Gap[] => {
    const asked = line.flatMap((inline): Gap[] => {
      if (inline.type !== 'blank' || inline.attrs.state !== 'gap') return [];
      const { placement, field } = inline.attrs;
      const key = `${placement} ${field}`;
      if (seen.has(key)) return [];
      seen.add(key);
      const placed = placement === null ? undefined : draft.attrs.placements[placement];
      const declared = placed && knowledgeOf(placed).field(field);
      const name = declared?.name ?? field;
      return [
        { kind: 'answer', placement: placement ?? '', field, name, question: declared?.question || name },
      ];
    });
    return [...asked, ...statementsIn(line), ...lostIn(line)];
  });
}
