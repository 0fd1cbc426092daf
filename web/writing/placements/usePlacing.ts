import type { Editor } from '@tiptap/react';
import { useEffect, useMemo, useRef } from 'react';
import type { Case, Entry, Member } from '#contracts';
import { fullWordings, type EntryContent } from '#core/entry';
import { earlierUses, lastAnswers, type Placement } from '#core/draft';
import type { Closer } from '#core/cue';
import { answersFromGroups, place, type PlacedWording, type PlaceRequest } from '#core/fill';
import type { PatternMatch } from '#core/pattern';
import { entryNow, useEarlierUses, useBankIndex, usePreferences, useReach } from '../../api';
import { collectionsAround, entryIn, variationOf } from '#core/bank';
import { signatureFor, signedWith } from '#core/signing';
import { calendarToday, clockNow } from '#client/clock';
import {
  currentBlank,
  placementRange,
  fromEditor,
  placementsOf,
  placeEntry,
  changedByHand,
  renewPlacement,
  type Before,
} from '../../editor';
import { stepTo } from '../surface/blankKeys';
import { usePatterns } from '../cues/usePatterns';

/** What capturing needs of the case: its record, and the day where the member is. */
export type CaseToday = Pick<PlaceRequest, 'record' | 'today'>;

const none: readonly never[] = [];
/** So much of what was typed is kept with a placement: a pattern may have taken more. */
const LONGEST_CUE = 60;

/** What the leaf of a case can take from the bank: what is in reach, and requests for placing it as it is now. */
export function usePlacing({ id, kind, record }: Case, draft: string, member: Member) {
  const index = useBankIndex();
  const reach = useReach(index, kind);
  const earlier = useEarlierUses(draft).data ?? none;
  const caseToday = useMemo<CaseToday>(() => ({ record, today: calendarToday() }), [record]);
  const pattern = usePatterns(reach);
  const signing = usePreferences().data;
  const now = useRef({ index, reach, earlier, member, pattern, record, id, kind, signing });
  useEffect(() => {
    now.current = { index, reach, earlier, member, pattern, record, id, kind, signing };
  });
  const host = useMemo(() => {
    // Found this very moment in a collection that is away, it is not in the index yet.
    const entryOf = (id: string) => (now.current.index && entryIn(now.current.index, id)) ?? entryNow(id);
    /** Who signs an entry here: by the case, its collection, or the kind of work. */
    const signer = (entry: Entry | undefined) => {
      const { index: found, member: own, signing: sets = {} } = now.current;
      const around = entry && found ? collectionsAround(entry.collection, found.collections) : [];
      const { id: of, kind: work } = now.current;
      const set = signatureFor(sets, { case: of, kind: work, collections: around });
      return signedWith(own, set);
    };
    // The clock is read at each placing: a page may stay open over midnight.
    const needs = (entry: string) => ({
      record: now.current.record,
      ...clockNow(),
      writer: signer(entryOf(entry)),
      find: (id: string) => entryOf(id)?.content,
    });
    /** Earlier uses for this person, those on this very leaf last. */
    const uses = (editor: Pick<Editor, 'state'>) => [
      ...now.current.earlier,
      ...earlierUses(fromEditor(editor.state.doc)),
    ];
    const host = {
      cues: () => now.current.reach?.cues ?? null,
      now: () => ({ today: calendarToday(), language: navigator.language || 'en-GB' }),
      pattern: (line: string, closer: Closer) => now.current.pattern(line, closer),
      keys: () => now.current.reach?.keys ?? none,
      request: (
        id: string,
        cue: string | null,
        editor: Pick<Editor, 'state'>,
        groups?: PatternMatch['groups'],
      ): PlaceRequest | null => {
        const found = now.current.index;
        // In place of a shared entry its variation, where there is one.
        const entry = found && (variationOf(id, found.bank.entries, found.collections) ?? entryOf(id));
        if (!entry) return null;
        const { revision, content } = entry;
        const { language } = fullWordings(content)[0]!;
        return {
          ...needs(entry.id),
          entry: { id: entry.id, revision, content },
          cue: cue?.slice(0, LONGEST_CUE) ?? null,
          last: lastAnswers(uses(editor), entry.id),
          id: crypto.randomUUID(),
          ...(groups && { answers: answersFromGroups(content.fields, groups, clockNow(), language) }),
        };
      },
      contentOf: (entry: string): EntryContent | null => entryOf(entry)?.content ?? null,
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
        const request = { ...needs(id), entry: { id, revision, content }, wording };
        stepTo(editor.view, renewPlacement(editor.state, placement, request, before));
      },
      /** Other entries in reach that the cue of a placement brings as well; none for one that no cue brought. */
      rivals: ({ cue, entry }: Placement): string[] =>
        (cue === null ? [] : (now.current.reach?.byTyped.get(cue.toLowerCase()) ?? [])).filter(
          (id) => id !== entry,
        ),
      /** Puts another entry in the place of a placement, as its cue would have brought it. */
      replace: (editor: Editor, placement: string, entry: string) => {
        const range = placementRange(editor.state.doc, placement);
        const cue = placementsOf(editor.state.doc)[placement]?.cue ?? null;
        if (range) host.placeAt(editor, entry, cue, range.from, range.to);
      },
      /** Puts an entry in the place of a stretch of the text. */
      placeAt: (editor: Editor, entry: string, cue: string | null, from: number, to: number) => {
        const request = host.request(entry, cue, editor);
        if (request && editor.isEditable) stepTo(editor.view, placeEntry(editor.state, from, to, request));
      },
      /** A placement's entry with what was changed by hand where it was placed; null where nothing was. */
      changedByHand: (editor: Editor, placement: string, content: EntryContent): EntryContent | null =>
        changedByHand(editor.state, placement, {
          ...needs(placementsOf(editor.state.doc)[placement]?.entry ?? ''),
          content,
        }),
    };
    return host;
  }, []);
  // Gives the id of the placement; null when nothing could be placed.
  const placeIn = useMemo(
    () =>
      (editor: Editor, entry: string): string | null => {
        const request = host.request(entry, null, editor);
        if (!request || !editor.isEditable) return null;
        const { from, to } = editor.state.selection;
        // Over the selection; but a current blank is not taken for one: right behind it.
        const start = currentBlank(editor.state) ? to : from;
        stepTo(editor.view, placeEntry(editor.state, start, to, request));
        return request.id;
      },
    [host],
  );
  return { index, reach, caseToday, host, placeIn };
}
