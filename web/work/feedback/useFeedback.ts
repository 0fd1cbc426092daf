import { useQuery } from '@tanstack/react-query';
import { useEditorState, type Editor } from '@tiptap/react';
import type { EditorView } from '@tiptap/pm/view';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { CaseSubmission, OthersComments } from '#contracts';
import { call } from '#client/api';
import { comparePoints, type CommentOn, type TextPoint, type TextRange } from '#core/passage';
import { wordsOn } from '#core/submission';
import { KEYS } from '../../api';
import { commentAt, commentsIn } from '../../editor';
import type { LeafWithMaterial } from '../../leaf';
import { FeedbackActs, type Laying } from './feedbackActs';
import { readingDocument, type ReadingDocument } from './readingDocument';
import { useCommentKeys } from './useCommentKeys';
import { useSaidTwice } from './useSaidTwice';
import { useFollowing } from './useFollowing';

const START: TextRange = { from: { block: 0, at: 0 }, to: { block: 0, at: 0 } };

/** What was handed in with a case; null where nothing was. */
export const useSubmission = (of: string) =>
  useQuery({
    queryKey: KEYS.submission(of),
    queryFn: () => call('submission', { params: { case: of } }),
    staleTime: Infinity,
  });

const isOver = ({ on }: CommentOn, point: TextPoint): boolean =>
  comparePoints(on.from, point) <= 0 && comparePoints(point, on.to) <= 0;

/** The comments that are written, and the one that the caret is in. */
const useWritten = (editor: Editor) =>
  useEditorState({
    editor,
    selector: ({ editor: { state } }) => {
      const here = commentAt(state);
      return {
        comments: commentsIn(state.doc).map(({ comment }) => comment),
        at: here?.comment.id ?? null,
        // An empty paragraph has a size of two.
        isWordedComment: (here?.node.content.size ?? 0) > 2,
      };
    },
  });

/** Hears when one begins to write: in a comment, the summing-up, or a blank's own line. */
function useWritingHeard(editor: Editor, written: () => void): void {
  useEffect(() => {
    const { dom } = editor.view;
    dom.addEventListener('focusin', written);
    return () => dom.removeEventListener('focusin', written);
  }, [editor, written]);
}

/** Comments on what is read: where one is, which of them is at hand, and all that can be done with them. */
export function useFeedback(
  { editor, one, open, say, bank }: LeafWithMaterial,
  handed: CaseSubmission | null,
  others: readonly OthersComments[],
) {
  const reading = useMemo<ReadingDocument | null>(
    () => handed && readingDocument(handed.submission),
    [handed],
  );
  const viewRef = useRef<EditorView | null>(null);
  const [isReading, setReading] = useState(true);
  // What is selected moves with every key: nothing is drawn anew for it but what changes by it.
  const selectedRef = useRef(START);
  const [over, setOver] = useState<string | null>(null);
  const look = useCallback(() => {
    const { from } = selectedRef.current;
    const all = commentsIn(editor.state.doc);
    setOver(all.find(({ comment }) => isOver(comment, from))?.comment.id ?? null);
  }, [editor]);
  const setSelected = useCallback(
    (range: TextRange) => {
      selectedRef.current = range;
      look();
    },
    [look],
  );
  const [laying, setLaying] = useState<Laying | null>(null);
  const { comments, at, isWordedComment } = useWritten(editor);
  // Comments whose words are in the submission no more, since another version was handed in.
  const gone = useMemo(() => {
    const lost = comments.filter(({ on, words }) => handed && wordsOn(handed.submission, on) !== words);
    return new Set(lost.map(({ id }) => id));
  }, [comments, handed]);
  const detail = one.record.details.find(({ path }) => path === 'language')?.value;
  const language = detail?.kind === 'text' ? detail.text : navigator.language || 'en-GB';
  const isThere = comments.some(({ id }) => id === over);
  const overNow = isThere ? over : null;
  const current = isReading ? overNow : at;

  const acts = new FeedbackActs({
    ...{ editor, open, say, handed, reading, view: viewRef, isReading, current, laying, language },
    isSecondLook: others.some(({ finished }) => finished),
    ...{ selected: () => selectedRef.current, look, setReading, setLaying },
  });
  // Heard of keys and the mouse long after this render: each asks for what is so by then.
  const latestRef = useRef({ acts, isLaying: false, language });
  useEffect(() => {
    latestRef.current = { acts, isLaying: laying !== null, language };
  });
  useFollowing(editor, handed);
  useSaidTwice(editor, handed, bank);
  useCommentKeys(editor, () => latestRef.current.acts.back());
  const [written] = useState(() => () => setReading(false));
  useWritingHeard(editor, written);

  return {
    ...{ reading, viewRef, latestRef, comments, gone, current, isReading, laying, isWordedComment, language },
    heard: { setReading, setSelected },
    acts,
  };
}

export type Feedback = ReturnType<typeof useFeedback>;
