import type { EditorView } from '@tiptap/pm/view';
import { eachWord } from '../editor';
import './misspelt.css';

/** By this name the look of marked words is told, in `misspelt.css`. */
const NAME = 'misspelt';
/** Above and beneath what is seen so much is marked already, so that scrolling shows no words without their marks. */
const BEYOND_PX = 400;

/** What is marked in each text that is open. */
const marked = new Map<EditorView, readonly Range[]>();

const draw = (): void => void CSS.highlights.set(NAME, new Highlight(...[...marked.values()].flat()));

/** Whether the browser can mark words without changing the page. */
export const canMark = (): boolean => typeof CSS !== 'undefined' && 'highlights' in CSS;

/** The places in a text between which everything is that is seen. */
function seen(view: EditorView): { from: number; to: number } {
  const { left, right, top, bottom } = view.dom.getBoundingClientRect();
  const x = (left + right) / 2;
  const at = (y: number, otherwise: number) =>
    y <= top || y >= bottom ? otherwise : (view.posAtCoords({ left: x, top: y })?.pos ?? otherwise);
  return { from: at(-BEYOND_PX, 0), to: at(window.innerHeight + BEYOND_PX, view.state.doc.content.size) };
}

/**
 * Marks the words in sight that are wrong, as ranges that the browser draws: the page and the text stay as they are. The word whose
 * end the caret stands at is still being written.
 * @returns all words in sight, to be asked about
 */
export function markMisspelt(
  view: EditorView,
  language: string,
  isWrong: (word: string) => boolean,
): Set<string> {
  const words = new Set<string>();
  const ranges: Range[] = [];
  const { from, to } = seen(view);
  const { selection, doc } = view.state;
  const caret = selection.empty && view.hasFocus() ? selection.head : -1;
  eachWord(
    doc,
    language,
    (one, _block, start) => {
      words.add(one.word);
      if (!isWrong(one.word) || caret === start + one.to) return;
      const range = document.createRange();
      const begin = view.domAtPos(start + one.from, 1);
      const end = view.domAtPos(start + one.to, -1);
      range.setStart(begin.node, begin.offset);
      range.setEnd(end.node, end.offset);
      ranges.push(range);
    },
    from,
    to,
  );
  marked.set(view, ranges);
  draw();
  return words;
}

/** Takes the marks of a text away. */
export function clearMisspelt(view: EditorView): void {
  marked.delete(view);
  draw();
}
