import { Fragment, type Node as EditorNode } from '@tiptap/pm/model';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { Answer, Placements } from '#core/draft';
import { refillLine } from '#core/fill';
import type { BlankInline, Inline } from '#core/passage';
import { placementsOf, setPlacements } from './placements';

/** How many steps of the document an inline takes. */
const sizeOf = (inline: Inline): number => (inline.type === 'text' ? inline.text.length : 1);

/** Marks whatever their order. */
const marksOf = ({ marks = [] }: Inline): string =>
  JSON.stringify(marks.map((mark) => JSON.stringify(mark)).sort());

/** A blank of another optional passage is another, whatever it asks for. */
const isSameBlank = (a: Inline, b: Inline): boolean =>
  a.type === 'blank' &&
  b.type === 'blank' &&
  a.attrs.field === b.attrs.field &&
  a.attrs.placement === b.attrs.placement &&
  a.attrs.form === b.attrs.form &&
  marksOf(a) === marksOf(b);

/**
 * Pairs of indices of the blanks that stand in both lines, in order: their longest common subsequence, by the usual
 * table of lengths. A line has few blanks, and most often they are all the same.
 */
function commonBlanks(before: readonly Inline[], after: readonly Inline[]): [number, number][] {
  const at = (line: readonly Inline[]) =>
    line.flatMap((inline, index) => (inline.type === 'blank' ? [index] : []));
  const [left, right] = [at(before), at(after)];
  const same = (i: number, j: number) => isSameBlank(before[left[i]!]!, after[right[j]!]!);
  const lengths = Array.from({ length: left.length + 1 }, () => new Array<number>(right.length + 1).fill(0));
  for (let i = left.length - 1; i >= 0; i -= 1) {
    for (let j = right.length - 1; j >= 0; j -= 1) {
      lengths[i]![j] = same(i, j)
        ? lengths[i + 1]![j + 1]! + 1
        : Math.max(lengths[i + 1]![j]!, lengths[i]![j + 1]!);
    }
  }
  const pairs: [number, number][] = [];
  for (let i = 0, j = 0; i < left.length && j < right.length;) {
    if (same(i, j)) {
      pairs.push([left[i]!, right[j]!]);
      i += 1;
      j += 1;
    } else if (lengths[i + 1]![j]! >= lengths[i]![j + 1]!) i += 1;
    else j += 1;
  }
  return pairs;
}

/** Replaces a stretch of inlines by another, its differing middle alone: what stays the same keeps its place. */
function changeStretch(
  tr: Transaction,
  from: number,
  before: readonly Inline[],
  after: readonly Inline[],
): void {
  const { schema } = tr.doc.type;
  const [old, fresh] = [Fragment.fromJSON(schema, before), Fragment.fromJSON(schema, after)];
  const start = old.findDiffStart(fresh);
  if (start === null) return;
  const end = old.findDiffEnd(fresh) ?? { a: old.size, b: fresh.size };
  // The two ends may overlap where the same letters stand twice: the middle then begins where the start ends.
  const overlap = Math.max(0, start - Math.min(end.a, end.b));
  tr.replaceWith(from + start, from + end.a + overlap, fresh.cut(start, end.b + overlap));
}

/**
 * Brings one paragraph's blanks and optional passages up to date within a transaction. Blanks that stay change
 * their attributes in place, which keeps the selection on the current one; between them only what differs changes.
 */
function refillBlock(
  tr: Transaction,
  block: EditorNode,
  pos: number,
  placements: Placements,
  only: string | undefined,
): void {
  const line = (block.toJSON() as { content?: Inline[] }).content ?? [];
  const filled = refillLine(line, placements, only);
  if (filled === line) return;
  const pairs = commonBlanks(line, filled);
  const starts = line.reduce<number[]>((all, inline) => [...all, all.at(-1)! + sizeOf(inline)], [pos + 1]);
  // From the end, so that positions of what is still to come stay true.
  for (let index = pairs.length; index >= 0; index -= 1) {
    const [oldFrom, newFrom] = index === 0 ? [0, 0] : pairs[index - 1]!.map((at) => at + 1);
    const [oldTo, newTo] = pairs[index] ?? [line.length, filled.length];
    changeStretch(tr, starts[oldFrom!]!, line.slice(oldFrom, oldTo), filled.slice(newFrom, newTo));
    if (index === 0) continue;
    const [oldAt, newAt] = pairs[index - 1]!;
    const [old, fresh] = [line[oldAt] as BlankInline, filled[newAt] as BlankInline];
    for (const key of ['text', 'state', 'dropped', 'tookBefore', 'tookAfter', 'put'] as const) {
      if ((old.attrs[key] ?? '') !== (fresh.attrs[key] ?? ''))
        tr.setNodeAttribute(starts[oldAt]!, key, fresh.attrs[key] ?? '');
    }
  }
}

/** Brings all paragraphs up to date with the placements the document carries; with `only`, those of one placement. */
function refillAll(tr: Transaction, only?: string): Transaction {
  const placements = placementsOf(tr.doc);
  const blocks: { node: EditorNode; pos: number }[] = [];
  tr.doc.descendants((node, pos) => {
    if (!node.isTextblock) return true;
    blocks.push({ node, pos });
    return false;
  });
  // From the end, so that positions of those still to come stay true.
  for (const { node, pos } of blocks.reverse()) refillBlock(tr, node, pos, placements, only);
  return tr;
}

const ANSWERING = 'answering';

/** True for a transaction that does nothing but answer a field. */
export const isAnswering = (tr: Transaction): boolean => tr.getMeta(ANSWERING) === true;

/** A transaction that answers a field of a placement, or takes its answer away; what depends on it follows. */
export function answer(
  state: EditorState,
  placement: string,
  field: string,
  given: Answer | null,
): Transaction {
  return answerAll(state, placement, { [field]: given });
}

/** A transaction that answers fields of a placement together, or takes their answers away (null); what depends on them follows. */
export function answerAll(
  state: EditorState,
  placement: string,
  given: Readonly<Record<string, Answer | null>>,
): Transaction {
  const placements = placementsOf(state.doc);
  const placed = placements[placement];
  if (!placed) return state.tr;
  const kept = Object.entries({ ...placed.answers, ...given }).filter(
    (one): one is [string, Answer] => one[1] !== null,
  );
  const answers = Object.fromEntries(kept);
  return refillAll(
    setPlacements(state.tr, { ...placements, [placement]: { ...placed, answers } }),
    placement,
  ).setMeta(ANSWERING, true);
}
