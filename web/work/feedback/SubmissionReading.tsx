import type { Editor } from '@tiptap/react';
import { useEffect, useLayoutEffect, useRef } from 'react';
import type { OthersComments } from '#contracts';
import { createReading, mark, type MarkedPassage } from './reading';
import type { Feedback } from './useFeedback';

interface Props {
  editor: Editor;
  feedback: Feedback;
  others: readonly OthersComments[];
}

/** The submission as it is read, with the passages marked that comments are on. */
export function SubmissionReading({ editor, feedback, others }: Props) {
  const { reading, view, latest, comments, current, heard } = feedback;
  const place = useRef<HTMLDivElement>(null);
  const { setReading, setSelected } = heard;
  useLayoutEffect(() => {
    if (!reading || !place.current) return;
    const made = createReading(place.current, reading, {
      typed: (words) => latest.current.typed(words),
      begin: () => (latest.current.isLaying ? latest.current.lay() : void latest.current.begin()),
      selected: setSelected,
      focused: () => setReading(true),
      key: (event) => {
        if (event.key !== 'Escape' || !latest.current.isLaying) return false;
        latest.current.stopLaying();
        return true;
      },
      remove: () => latest.current.remove(),
      undo: () => latest.current.undo(),
      redo: () => latest.current.redo(),
      language: () => latest.current.language,
    });
    view.current = made;
    // Unless one writes already: another version may have come in meanwhile.
    if (!editor.view.hasFocus()) made.focus();
    return () => {
      view.current = null;
      made.destroy();
    };
  }, [editor, reading, view, latest, setReading, setSelected]);
  useEffect(() => {
    if (!view.current) return;
    const own = comments.map(({ id, on }): MarkedPassage => ({ id, on, isOthers: false }));
    const theirs = others.flatMap((other) =>
      other.comments.map(({ id, on }): MarkedPassage => ({
        id: `${other.author} ${id}`,
        on,
        isOthers: true,
      })),
    );
    mark(view.current, { passages: [...theirs, ...own], current });
  }, [view, reading, comments, others, current]);
  return <div ref={place} className="px-9 pt-4 pb-2 max-[899px]:px-4" />;
}
