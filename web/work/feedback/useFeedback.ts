import { useQuery } from '@tanstack/react-query';
import { useEditorState } from '@tiptap/react';
import { TextSelection } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { useEffect, useMemo, useRef, useState } from 'react';
import type { CaseSubmission } from '#contracts';
import { call } from '#client/api';
import { comparePoints, compareRanges, type CommentOn, type TextPoint, type TextRange } from '#core/passage';
import { wordsBefore, wordsOn } from '#core/submission';
import { KEYS } from '../../api';
import {
  addComment,
  commentAt,
  commentById,
  commentsIn,
  copyComment,
  layComment,
  removeComment,
} from '../../editor';
import type { LeafWithMaterial } from '../../leaf';
import { giveKeys, stepTo, typeAt } from '../../writing';
import { passageToComment } from './passageToComment';
import { selectRange } from './reading';
import { readingDocument, type ReadingDocument } from './readingDocument';
import { useFollowing } from './useFollowing';
import { useCommentKeys } from './useCommentKeys';

/** A comment that is being put on other words: moved there, or copied. */
export interface Laying {
  id: string;
  as: 'move' | 'copy';
}

const START: TextRange = { from: { block: 0, at: 0 }, to: { block: 0, at: 0 } };

/** What was handed in with a case; null where nothing was. */
export const useSubmission = (of: string) =>
  useQuery({
    queryKey: KEYS.submission(of),
    queryFn: () => call('submission', { params: { case: of } }),
    staleTime: Infinity,
  });

/** Comments on what is read: where the reader is, which one is at hand, and all that can be done with them. */
export function useFeedback({ editor, one, open, say }: LeafWithMaterial, handed: CaseSubmission | null) {
  const reading = useMemo<ReadingDocument | null>(
    () => handed && readingDocument(handed.submission),
    [handed],
  );
  const view = useRef<EditorView | null>(null);
  const [isReading, setReading] = useState(true);
  const [selected, setSelected] = useState<TextRange>(START);
  const [laying, setLaying] = useState<Laying | null>(null);
  const { comments, at, isWordedComment } = useEditorState({
    editor,
    selector: ({ editor: { state } }) => ({
      comments: commentsIn(state.doc).map(({ comment }) => comment),
      at: commentAt(state)?.comment.id ?? null,
      // An empty paragraph has a size of two.
      isWordedComment: (commentAt(state)?.node.content.size ?? 0) > 2,
    }),
  });
  /** Comments whose words are in the submission no more, since another version was handed in. */
  const gone = useMemo(
    () =>
      new Set(
        comments
          .filter(({ on, words }) => handed && wordsOn(handed.submission, on) !== words)
          .map(({ id }) => id),
      ),
    [comments, handed],
  );
  const detail = one.record.details.find(({ path }) => path === 'language')?.value;
  const language = detail?.kind === 'text' ? detail.text : navigator.language || 'en-GB';

  const isOver = ({ on }: CommentOn, point: TextPoint) =>
    comparePoints(on.from, point) <= 0 && comparePoints(point, on.to) <= 0;
  const current = isReading ? (comments.find((comment) => isOver(comment, selected.from))?.id ?? null) : at;

  const newComment = (range: TextRange): CommentOn | null => {
    if (!handed) return null;
    const on = passageToComment(handed.submission, range, language);
    const { submission } = handed;
    const [words, before] = [wordsOn(submission, on), wordsBefore(submission, on.from)];
    return { id: crypto.randomUUID(), on, words, before, bearing: null };
  };
  /** Begins a comment on what is selected, with the keys in it; false where it cannot be. */
  const begin = (): boolean => {
    const comment = open ? newComment(selected) : null;
    if (!comment) return false;
    setReading(false);
    stepTo(editor.view, addComment(editor.state, comment));
    return true;
  };
  const typed = (words: string) => {
    if (!open) say('These comments are finished. Reopen them to write on.');
    else if (begin()) for (const sign of words) typeAt(editor.view, sign);
  };
  const read = (range: TextRange | null) => {
    if (!view.current || !reading) return;
    if (range) selectRange(view.current, reading, range);
    view.current.focus();
  };
  /** Back from a comment to the words it is on; from elsewhere to where one was. */
  const back = () => {
    const here = commentAt(editor.state)?.comment;
    read(here ? { from: here.on.from, to: here.on.from } : null);
  };
  const goTo = (id: string) => {
    const found = commentById(editor.state.doc, id);
    if (!found || !reading || !view.current) return;
    selectRange(view.current, reading, { from: found.comment.on.from, to: found.comment.on.from });
    setReading(false);
    const end = found.pos + found.node.nodeSize - 1;
    const { tr } = editor.state;
    stepTo(editor.view, tr.setSelection(TextSelection.near(editor.state.doc.resolve(end), -1)));
  };
  const step = (direction: 1 | -1) => {
    const all = commentsIn(editor.state.doc).map(({ comment }) => comment);
    const own = isReading ? null : commentAt(editor.state)?.comment;
    const index = own
      ? all.findIndex(({ id }) => id === own.id) + direction
      : nextFrom(all, selected.from, direction);
    const next = all[index];
    if (next) goTo(next.id);
    else
      say(
        all.length === 0
          ? 'There are no comments yet.'
          : direction === 1
            ? 'That was the last comment.'
            : 'That was the first comment.',
      );
  };
  const remove = () => {
    const id = current;
    const found = id === null ? null : commentById(editor.state.doc, id);
    const tr = id === null || !open ? null : removeComment(editor.state, id);
    if (!tr || !found) return say('Put the cursor in a comment, or on words that have one, first.');
    editor.view.dispatch(tr);
    read({ from: found.comment.on.from, to: found.comment.on.from });
    say('The comment is deleted. Ctrl Z brings it back.');
  };
  /** Begins to put the comment at hand on other words: what it is on is selected, to be widened or left for other words. */
  const beginLaying = (as: Laying['as']) => {
    const found = current === null ? null : commentById(editor.state.doc, current);
    if (!found || !open) return say('Put the cursor in a comment, or on words that have one, first.');
    setLaying({ id: found.comment.id, as });
    read(found.comment.on);
    say(
      as === 'move'
        ? 'Select the words that the comment is on, then press Enter. Escape leaves it where it is.'
        : 'Select the words for the copy, then press Enter. Escape makes none.',
    );
  };
  const lay = () => {
    const comment = laying && newComment(selected);
    if (!comment) return;
    const tr =
      laying.as === 'move'
        ? layComment(editor.state, laying.id, comment)
        : copyComment(editor.state, laying.id, comment, () => crypto.randomUUID());
    setLaying(null);
    say(null);
    setReading(false);
    if (tr) stepTo(editor.view, tr);
  };
  const stopLaying = () => {
    const id = laying?.id;
    setLaying(null);
    say(null);
    if (id !== undefined) goTo(id);
  };
  const undo = () => {
    editor.commands.undo();
    say(null);
  };
  const redo = () => editor.commands.redo();

  // Heard of keys and the mouse long after this render: each asks for what is so by then.
  const acts = {
    remove,
    begin,
    typed,
    back,
    lay,
    stopLaying,
    undo,
    redo,
    goTo,
    isLaying: laying !== null,
    language,
  };
  const latest = useRef(acts);
  useEffect(() => {
    latest.current = acts;
  });
  useFollowing(editor, handed);
  useCommentKeys(editor, () => latest.current.back());
  useEffect(() => {
    const { dom } = editor.view;
    const written = () => setReading(false);
    dom.addEventListener('focusin', written);
    return () => dom.removeEventListener('focusin', written);
  }, [editor]);

  return {
    reading,
    view,
    latest,
    comments,
    gone,
    current,
    selected,
    isReading,
    laying,
    isWordedComment,
    heard: { setReading, setSelected },
    acts: { begin, back, step, remove, beginLaying, goTo, giveKeys: () => giveKeys(editor.view) },
  };
}

/** The comment to step to from a place among the words: the next one from it on, or the last before it. */
function nextFrom(all: readonly CommentOn[], point: TextPoint, direction: 1 | -1): number {
  const here = { from: point, to: point };
  if (direction === 1)
    return all.findIndex(({ on }) => compareRanges(on, here) >= 0 || comparePoints(on.to, point) >= 0);
  return all.findLastIndex(({ on }) => comparePoints(on.to, point) < 0);
}

export type Feedback = ReturnType<typeof useFeedback>;
