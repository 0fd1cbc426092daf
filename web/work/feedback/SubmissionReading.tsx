import type { Editor } from '@tiptap/react';
import { useEffect, useLayoutEffect, useRef } from 'react';
import type { OthersComments } from '#contracts';
import { createReading, mark, pointOut, type MarkedPassage } from './reading';
import type { Signs } from './signs/useSigns';
import type { Feedback } from './useFeedback';
import type { Pages } from './usePages';

interface Props {
  editor: Editor;
  feedback: Feedback;
  others: readonly OthersComments[];
  signs: Signs;
  pages: Pages | null;
}

/** The submission as it is read, with the passages marked that comments are on. */
export function SubmissionReading({ editor, feedback, others, signs, pages }: Props) {
  const { reading, viewRef, latestRef, comments, current, heard } = feedback;
  const place = useRef<HTMLDivElement>(null);
  const { setReading, setSelected } = heard;
  const signsRef = useRef(signs);
  const pagesRef = useRef(pages);
  useLayoutEffect(() => {
    signsRef.current = signs;
    pagesRef.current = pages;
  });
  useLayoutEffect(() => {
    if (!reading || !place.current) return;
    const made = createReading(place.current, reading, {
      typed: (words) => latestRef.current.acts.typed(words),
      begin: () => {
        const { acts, isLaying } = latestRef.current;
        if (isLaying) acts.lay();
        else if (!signsRef.current.take()) acts.begin();
      },
      selected: (range) => {
        setSelected(range);
        signsRef.current.moved(range);
      },
      focused: () => setReading(true),
      key: (event) => {
        if (event.key !== 'Escape' || !latestRef.current.isLaying) return false;
        latestRef.current.acts.stopLaying();
        return true;
      },
      remove: () => {
        if (!signsRef.current.leave()) latestRef.current.acts.remove();
      },
      undo: () => latestRef.current.acts.undo(),
      redo: () => latestRef.current.acts.redo(),
      language: () => latestRef.current.language,
      drawPage: (page, canvas) =>
        pagesRef.current?.draw(page, canvas) ?? Promise.reject(new Error('There is no file to draw from.')),
    });
    viewRef.current = made;
    // Unless one writes already: another version may have come in meanwhile.
    if (!editor.view.hasFocus()) made.focus();
    return () => {
      viewRef.current = null;
      made.destroy();
    };
  }, [editor, reading, viewRef, latestRef, setReading, setSelected]);
  useEffect(() => {
    if (!viewRef.current) return;
    const own = comments.map(({ id, on }): MarkedPassage => ({ id, on, isOthers: false }));
    const theirs = others.flatMap((other) =>
      other.comments.map(({ id, on }): MarkedPassage => ({
        id: `${other.author} ${id}`,
        on,
        isOthers: true,
      })),
    );
    mark(viewRef.current, { passages: [...theirs, ...own], current });
  }, [viewRef, reading, comments, others, current]);
  const { shown, sign } = signs;
  useEffect(() => {
    if (viewRef.current)
      pointOut(
        viewRef.current,
        shown.map((one) => ({ on: one.on, isCurrent: one === sign })),
      );
  }, [viewRef, reading, shown, sign]);
  return <div ref={place} className="px-9 pt-4 pb-2 max-[899px]:px-4" />;
}
