import type { Editor } from '@tiptap/react';
import type { Case, Entry, Member } from '#contracts';
import { collectionsAround, entryIn, variationOf, type BankIndex, type Reach } from '#core/bank';
import type { Closer } from '#core/cue';
import { earlierUses, lastAnswers, type EarlierUse, type Placement } from '#core/draft';
import { fullWordings, type EntryContent } from '#core/entry';
import { answersFromGroups, place, type PlacedWording, type PlaceRequest } from '#core/fill';
import type { PatternMatch } from '#core/pattern';
import { signatureFor, signedWith } from '#core/signing';
import { calendarToday, clockNow } from '#client/clock';
import { entryNow } from '../../api';
import {
  changedByHand,
  fromEditor,
  placeEntry,
  placementRange,
  placementsOf,
  renewPlacement,
  type Before,
} from '../../editor';
import { stepTo } from '../surface/blankKeys';

const none: readonly never[] = [];
/** So much of what was typed is kept with a placement: a pattern may have taken more. */
const LONGEST_CUE = 60;

type State = Pick<Editor, 'state'>;

/** What the leaf knows at this moment of its case, its writer and the bank. */
export interface PlacingNow extends Pick<Case, 'id' | 'kind' | 'record'> {
  index: BankIndex | null;
  reach: Reach | null;
  earlier: readonly EarlierUse[];
  member: Member;
  pattern: (line: string, closer: Closer) => PatternMatch | null;
  /** The sets of own details that sign, and where each does. */
  signing: Parameters<typeof signatureFor>[0] | undefined;
}

/** Finds entries as they are now, and what placing one of them needs. */
function sourcesOf(now: () => PlacingNow) {
  // Found this very moment in a collection that is away, it is not in the index yet.
  const entryOf = (id: string): Entry | undefined => {
    const { index } = now();
    return (index && entryIn(index, id)) ?? entryNow(id);
  };
  /** Who signs an entry here: by the case, its collection, or the kind of work. */
  const signer = (entry: Entry | undefined) => {
    const { index, member, signing = {}, id, kind } = now();
    const around = entry && index ? collectionsAround(entry.collection, index.collections) : [];
    return signedWith(member, signatureFor(signing, { case: id, kind, collections: around }));
  };
  // The clock is read at each placing: a page may stay open over midnight.
  const needs = (entry: string) => ({
    record: now().record,
    ...clockNow(),
    writer: signer(entryOf(entry)),
    find: (id: string) => entryOf(id)?.content,
  });
  const request = (
    id: string,
    cue: string | null,
    editor: State,
    groups?: PatternMatch['groups'],
  ): PlaceRequest | null => {
    const { index, earlier } = now();
    // In place of a shared entry its variation, where there is one.
    const entry = index && (variationOf(id, index.bank.entries, index.collections) ?? entryOf(id));
    if (!entry) return null;
    const { revision, content } = entry;
    const { language } = fullWordings(content)[0]!;
    // Earlier uses for this person, those on this very leaf last.
    const uses = [...earlier, ...earlierUses(fromEditor(editor.state.doc))];
    return {
      ...needs(entry.id),
      entry: { id: entry.id, revision, content },
      cue: cue?.slice(0, LONGEST_CUE) ?? null,
      last: lastAnswers(uses, entry.id),
      id: crypto.randomUUID(),
      ...(groups && { answers: answersFromGroups(content.fields, groups, clockNow(), language) }),
    };
  };
  return { entryOf, needs, request };
}

/** What can be done with placements that stand on the leaf. */
function placementActs(now: () => PlacingNow, { entryOf, needs, request }: ReturnType<typeof sourcesOf>) {
  /** Puts an entry in the place of a stretch of the text. */
  const placeAt = (editor: Editor, entry: string, cue: string | null, from: number, to: number) => {
    const asked = request(entry, cue, editor);
    if (asked && editor.isEditable) stepTo(editor.view, placeEntry(editor.state, from, to, asked));
  };
  return {
    placeAt,
    /** A placement once more, with its answers, in another wording of its entry; null where the entry is out of reach. */
    inWording: (id: string, { entry, cue, answers }: Placement, wording: string): PlacedWording | null => {
      const found = entryOf(entry);
      if (!found) return null;
      const { revision, content } = found;
      return place({ ...needs(entry), entry: { id: entry, revision, content }, wording, cue, id, answers });
    },
    /**
     * Puts a placement's entry as it stands now in its place, in the wording given; answers are kept, and what was changed
     * by hand where the content that it was placed from is given.
     */
    renew: (editor: Editor, placement: string, wording: string, before: Before = null) => {
      const placed = placementsOf(editor.state.doc)[placement];
      const entry = placed && entryOf(placed.entry);
      if (!entry || !editor.isEditable) return;
      const { id, revision, content } = entry;
      const asked = { ...needs(id), entry: { id, revision, content }, wording };
      stepTo(editor.view, renewPlacement(editor.state, placement, asked, before));
    },
    /** Other entries in reach that the cue of a placement brings as well; none for one that no cue brought. */
    rivals: ({ cue, entry }: Placement): string[] =>
      (cue === null ? [] : (now().reach?.byTyped.get(cue.toLowerCase()) ?? [])).filter((id) => id !== entry),
    /** Puts another entry in the place of a placement, as its cue would have brought it. */
    replace: (editor: Editor, placement: string, entry: string) => {
      const range = placementRange(editor.state.doc, placement);
      const cue = placementsOf(editor.state.doc)[placement]?.cue ?? null;
      if (range) placeAt(editor, entry, cue, range.from, range.to);
    },
    /** A placement's entry with what was changed by hand where it was placed; null where nothing was. */
    changedByHand: (editor: Editor, placement: string, content: EntryContent): EntryContent | null =>
      changedByHand(editor.state, placement, {
        ...needs(placementsOf(editor.state.doc)[placement]?.entry ?? ''),
        content,
      }),
  };
}

/**
 * What a leaf takes from the bank: its cues, patterns and keys, requests for placing, and what can be done with what was placed.
 * `now` is asked at each act, since the bank and the record change while the leaf is open.
 */
export function placingHost(now: () => PlacingNow) {
  const sources = sourcesOf(now);
  return {
    cues: () => now().reach?.cues ?? null,
    now: () => ({ today: calendarToday(), language: navigator.language || 'en-GB' }),
    pattern: (line: string, closer: Closer) => now().pattern(line, closer),
    keys: () => now().reach?.keys ?? none,
    request: sources.request,
    contentOf: (entry: string): EntryContent | null => sources.entryOf(entry)?.content ?? null,
    ...placementActs(now, sources),
  };
}
