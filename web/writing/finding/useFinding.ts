import { closeHistory } from '@tiptap/pm/history';
import { useEditorState, type Editor } from '@tiptap/react';
import { useEffect } from 'react';
import {
  changeWords,
  findingIn,
  goToFound,
  lookFor,
  stayAtFound,
  type FoundWords,
  type Search,
} from '../../editor';
import { showPlace } from './showPlace';

function goTo(editor: Editor, at: number): void {
  const tr = goToFound(editor.state, at);
  if (!tr) return;
  editor.view.dispatch(tr);
  showPlace(editor, findingIn(editor.state)!.places[at]!.from);
}

const placesIn = (editor: Editor) => findingIn(editor.state)?.places ?? [];

/** Puts other words in those places, as a step of its own for undo; says where a position is now. */
function change(editor: Editor, places: readonly FoundWords[], put: string, search: Search) {
  const tr = closeHistory(changeWords(editor.state, places, put, search));
  editor.view.dispatch(tr);
  return (pos: number) => tr.mapping.map(pos);
}

/** Changes the place gone to and goes on to the next behind what was put there, in which the words may stand again. */
function changeOne(editor: Editor, put: string, search: Search): void {
  const place = placesIn(editor)[findingIn(editor.state)?.at ?? -1];
  if (!place) return;
  const behind = change(editor, [place], put, search)(place.to);
  const next = placesIn(editor).findIndex(({ from }) => from >= behind);
  goTo(editor, Math.max(0, next));
}

/** Looks for words in a draft while it is shown: how many there are, and the ways through them. */
export function useFinding(editor: Editor, search: Search) {
  const { words, wholeWords, sameCase } = search;
  useEffect(() => {
    editor.view.dispatch(lookFor(editor.state, { words, wholeWords, sameCase }));
    const found = findingIn(editor.state);
    const first = found?.places[found.at];
    if (first) showPlace(editor, first.from);
  }, [editor, words, wholeWords, sameCase]);
  useEffect(
    () => () => {
      if (!editor.isDestroyed) editor.view.dispatch(lookFor(editor.state, null));
    },
    [editor],
  );
  const told = useEditorState({
    editor,
    selector: ({ editor: { state } }) => {
      const found = findingIn(state);
      const places = found?.places ?? [];
      return {
        count: places.length,
        at: found?.at ?? -1,
        answered: places.filter((one) => one.isAnswered).length,
        isAnswered: (found && places[found.at]?.isAnswered) ?? false,
      };
    },
  });
  return {
    ...told,
    step(by: 1 | -1) {
      const { length } = placesIn(editor);
      if (length > 0) goTo(editor, (told.at + by + length) % length);
    },
    /** Goes on in the text at the words gone to. */
    stay() {
      const tr = stayAtFound(editor.state);
      if (tr) editor.view.dispatch(tr);
    },
    changeOne: (put: string) => changeOne(editor, put, search),
    /** Changes all that are written; says how many they were. */
    changeAll(put: string) {
      const written = placesIn(editor).filter((one) => !one.isAnswered);
      change(editor, written, put, search);
      return written.length;
    },
  };
}
