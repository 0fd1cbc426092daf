import { useEffect, useRef } from 'react';
import type { Editor } from '@tiptap/react';
import { followedAnswers } from '#core/fill';
import type { CaseRecord } from '#core/record';
import { calendarToday } from '#client/clock';
import { answerAll, placementsOf } from '../../editor';

const inWordsOf = (blanks: number) =>
  blanks === 1 ? 'One blank follows.' : `${blanks.toLocaleString()} blanks follow.`;

/** Has the blanks of an open draft follow the record of its case when that is corrected, here or by a colleague, and says so. */
export function useFollowRecord(
  editor: Editor,
  record: CaseRecord,
  isOpen: boolean,
  say: (words: string) => void,
): void {
  const last = useRef(record);
  useEffect(() => {
    const before = last.current;
    last.current = record;
    if (before === record || !isOpen) return;
    let blanks = 0;
    for (const [id, placement] of Object.entries(placementsOf(editor.state.doc))) {
      const answers = followedAnswers(placement, before, record, calendarToday());
      const count = Object.keys(answers).length;
      if (count === 0) continue;
      blanks += count;
      editor.view.dispatch(answerAll(editor.state, id, answers));
    }
    if (blanks > 0) say(`The record was corrected. ${inWordsOf(blanks)}`);
  }, [editor, record, isOpen, say]);
}
