import type { Editor } from '@tiptap/react';
import { useEffect, useMemo, useRef } from 'react';
import { followedAnswers } from '#core/fill';
import { emptyRecord, type CaseRecord } from '#core/record';
import { calendarToday } from '#client/clock';
import { answerAll, placementsOf } from '../../editor';

const withDetails = (details: CaseRecord['details']): CaseRecord => ({ ...emptyRecord(), details });

/**
 * Has the summing-up know what is worked out from the submission and its comments, and what was placed before follow it: quietly, and
 * as no step of its own for undo, since it follows from steps that are.
 */
export function useSummingUp(
  editor: Editor,
  details: CaseRecord['details'],
  isOpen: boolean,
  tellDetails: (details: CaseRecord['details']) => void,
): void {
  const said = JSON.stringify(details);
  const now = useMemo(() => JSON.parse(said) as CaseRecord['details'], [said]);
  const last = useRef(now);
  useEffect(() => {
    tellDetails(now);
    const before = last.current;
    last.current = now;
    if (before === now || !isOpen) return;
    for (const [id, placement] of Object.entries(placementsOf(editor.state.doc))) {
      const answers = followedAnswers(placement, withDetails(before), withDetails(now), calendarToday());
      if (Object.keys(answers).length > 0)
        editor.view.dispatch(answerAll(editor.state, id, answers).setMeta('addToHistory', false));
    }
  }, [editor, now, isOpen, tellDetails]);
}
