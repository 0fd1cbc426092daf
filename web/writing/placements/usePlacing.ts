import type { Editor } from '@tiptap/react';
import { useEffect, useMemo, useState } from 'react';
import type { Case, Member } from '#contracts';
import type { PlaceRequest } from '#core/fill';
import { calendarToday } from '#client/clock';
import { useBankIndex, useEarlierUses, usePreferences, useReach } from '../../api';
import { currentBlank, placeEntry } from '../../editor';
import { usePatterns } from '../cues/usePatterns';
import { stepTo } from '../surface/blankKeys';
import { placingHost, type PlacingNow } from './placingHost';

/** What capturing needs of the case: its record, and the day where the member is. */
export type CaseToday = Pick<PlaceRequest, 'record' | 'today'>;

const none: readonly never[] = [];

/** What was known last, for what asks later than it was made. */
function lastKnown<T>(first: T): { get: () => T; set: (now: T) => void } {
  let last = first;
  return {
    get: () => last,
    set: (now) => {
      last = now;
    },
  };
}

/** What the leaf of a case can take from the bank: what is in reach, and requests for placing it as it is now. */
export function usePlacing({ id, kind, record }: Case, draft: string, member: Member) {
  const index = useBankIndex();
  const reach = useReach(index, kind);
  const earlier = useEarlierUses(draft).data ?? none;
  const caseToday = useMemo<CaseToday>(() => ({ record, today: calendarToday() }), [record]);
  const pattern = usePatterns(reach);
  const signing = usePreferences().data;
  const now: PlacingNow = { index, reach, earlier, member, pattern, record, id, kind, signing };
  const [known] = useState(() => lastKnown(now));
  useEffect(() => known.set(now));
  const host = useMemo(() => placingHost(known.get), [known]);
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
