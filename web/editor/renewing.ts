import type { EditorState, Transaction } from '@tiptap/pm/state';
import type { TypedCase } from '#core/cue';
import { mergedPassage, wordingWithHandChanges } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { place, refillPassage, type PlaceRequest } from '#core/fill';
import { followCase, linesOf, type Passage } from '#core/passage';
import { placementRange } from './blanks';
import { placementsOf, setPlacements } from './placements';
import { putIn } from './placing';
import { bodyRange, withItsBlocks, withoutBareEnds, wordsStanding } from './standing';

const CASES: readonly TypedCase[] = ['as-is', 'capital', 'upper'];

/** How a passage begins: its first two letters, or the form of the blank that it begins with. */
function beginning(passage: Passage): string {
  const first = linesOf(passage).flat()[0];
  if (first?.type === 'blank') return first.attrs.form;
  return first?.type === 'text' ? first.text.slice(0, 2) : '';
}

/** In which case the cue was typed that brought what stands now, by how it begins; as it is, where that is another. */
const caseOf = (was: Passage, now: Passage): TypedCase =>
  CASES.find((typed) => beginning(followCase(was, typed)) === beginning(now)) ?? 'as-is';

/** What a placement that is renewed was before: the content of its revision, to tell what was changed by hand in it. */
export type Before = EntryContent | null;

/**
 * A transaction that puts a newer wording in the place of a placement, with the answers given so far. Where what it was
 * before is known, and its wording stays, words changed by hand stay too; of what both changed, the hand's stand.
 */
export function renewPlacement(
  state: EditorState,
  id: string,
  request: Omit<PlaceRequest, 'id' | 'answers' | 'cue'>,
  before: Before = null,
): Transaction {
  const range = placementRange(state.doc, id);
  const old = placementsOf(state.doc)[id];
  if (!range || !old) return state.tr;
  // Record details are looked up anew; what the member answered is kept.
  const given = Object.entries(old.answers).filter(([, answer]) => answer.kind !== 'detail');
  const answers = Object.fromEntries(
    request.entry.id === old.entry
      ? given
      : // It has become another entry, whose fields are known by their names alone.
        given.flatMap(([field, answer]) => {
          const name = old.fields.find(({ id: one }) => one === field)?.name;
          const same = request.entry.content.fields.find((one) => one.name === name);
          return same ? [[same.id, answer] as const] : [];
        }),
  );
  const inBody = withItsBlocks(state.doc, bodyRange(state.doc, id) ?? range);
  const whole = { ...request, id, answers, cue: old.cue };
  const fresh = place(whole);
  const placed = { ...fresh, passage: withoutBareEnds(state, fresh.passage, id) };
  const put = (passage: Passage) => putIn(state, inBody.from, inBody.to, id, { ...placed, passage });
  const mine = wordsStanding(state.doc, id);
  if (!before || !mine || request.wording !== old.wording) return put(placed.passage);
  const was = place({
    ...whole,
    answers: Object.fromEntries(given),
    entry: { id: old.entry, revision: old.revision, content: before },
  });
  const words = (passage: Passage) => wordsStanding(state.schema.nodeFromJSON(passage), id);
  const base = words(was.passage);
  const theirs = words(fresh.passage);
  if (!base || !theirs) return put(placed.passage);
  const typed = caseOf(base, mine);
  const { passage } = mergedPassage(followCase(base, typed), mine, followCase(theirs, typed));
  return put(refillPassage(passage, { [id]: placed.placement }));
}

/**
 * An entry's content with what was changed by hand where it was placed, its blanks still blanks; null where nothing of its own
 * words was changed. `content` is that of the revision which was placed.
 */
export function changedByHand(
  state: EditorState,
  id: string,
  { content, ...needs }: Omit<PlaceRequest, 'id' | 'answers' | 'cue' | 'entry'> & { content: EntryContent },
): EntryContent | null {
  const old = placementsOf(state.doc)[id];
  const now = wordsStanding(state.doc, id);
  if (!old || !now) return null;
  const { entry, revision, wording, answers, cue } = old;
  const placed = place({ ...needs, entry: { id: entry, revision, content }, wording, id, answers, cue });
  const was = wordsStanding(state.schema.nodeFromJSON(placed.passage), id);
  if (!was) return null;
  const typed = followCase(was, caseOf(was, now));
  let changed = false;
  const wordings = content.wordings.map((one) => {
    const last = one.parts.at(-1)!;
    if (one.id !== wording) return one;
    const passage = wordingWithHandChanges(last.passage, typed, now);
    changed = passage !== last.passage;
    return { ...one, parts: one.parts.map((part) => (part === last ? { ...part, passage } : part)) };
  });
  return changed ? { ...content, wordings } : null;
}

/** A transaction that says at which revision of its entry a placement is: that one says what stands here, or is not wanted. */
export function nowAt(state: EditorState, id: string, revision: number): Transaction {
  const placements = placementsOf(state.doc);
  const placed = placements[id];
  if (!placed) return state.tr;
  return setPlacements(state.tr, { ...placements, [id]: { ...placed, revision } });
}

/** A transaction that notes that of a newer revision of its entry the older words are kept. */
export function keptAgainst(state: EditorState, id: string, revision: number): Transaction {
  const placements = placementsOf(state.doc);
  const placed = placements[id];
  if (!placed) return state.tr;
  return setPlacements(state.tr, { ...placements, [id]: { ...placed, keptAgainst: revision } });
}
