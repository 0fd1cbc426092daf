import type { Editor } from '@tiptap/react';
import { useEffect, useMemo, useRef } from 'react';
import type { Case } from '#contracts';
import type { PlaceRequest } from '#core/fill';
import { useBankIndex } from '../bank/bankIndex';
import { useReach } from '../bank/reach';
import { calendarToday } from '../clock/calendarToday';
import { currentBlank } from '../editor/blanks';
import { placeEntry } from '../editor/placing';
import { stepTo } from './blankKeys';

/** What placing needs besides the entry: the case's record, and the day where the member is. */
export type PlacingNeeds = Pick<PlaceRequest, 'record' | 'today'>;

/** What the leaf of a case can take from the bank: what is in reach, and requests for placing it as it is now. */
export function usePlacing({ kind, record }: Case) {
  const index = useBankIndex();
  const reach = useReach(index, kind);
  const needs = useMemo<PlacingNeeds>(() => ({ record, today: calendarToday() }), [record]);
  const now = useRef({ index, reach });
  useEffect(() => {
    now.current = { index, reach };
  });
  const host = useMemo(
    () => ({
      cues: () => now.current.reach?.cues ?? null,
      request: (id: string, cue: string | null): PlaceRequest | null => {
        const entry = now.current.index?.entries.get(id);
        if (!entry) return null;
        const { revision, content } = entry;
        // The day is read at each placing: a page may stay open over midnight.
        return {
          entry: { id, revision, content },
          cue,
          record,
          today: calendarToday(),
          id: crypto.randomUUID(),
        };
      },
    }),
    [record],
  );
  const placeIn = useMemo(
    () => (editor: Editor, entry: string) => {
      const request = host.request(entry, null);
      if (!request || !editor.isEditable) return;
      const { from, to } = editor.state.selection;
      // Over the selection; but a current blank is not taken for one: right behind it.
      const start = currentBlank(editor.state) ? to : from;
      stepTo(editor.view, placeEntry(editor.state, start, to, request));
    },
    [host],
  );
  return { index, reach, needs, host, placeIn };
}
