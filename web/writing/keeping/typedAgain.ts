import { Plugin, type EditorState } from '@tiptap/pm/state';

/** The end of the sentence before. */
const ENDED = /[.!?…]["'”’)]?\s/gu;

/**
 * The sentence that ends at a position, as it was typed by hand; null where it holds a blank, a number or wording from the bank.
 * @param coming what is on its way into the text there: the mark that ends it
 */
export function sentenceByHand({ doc }: EditorState, pos: number, coming: string): string | null {
  const $pos = doc.resolve(pos);
  const { parent, parentOffset } = $pos;
  const before = parent.textBetween(0, parentOffset, undefined, '\uFFFC');
  const ends = [...before.matchAll(ENDED)];
  const last = ends.at(-1);
  const start = last ? last.index + last[0].length : 0;
  const sentence = before.slice(start);
  if (sentence.trim() === '' || sentence.includes('\uFFFC')) return null;
  let isByHand = true;
  parent.nodesBetween(start, parentOffset, (node) => {
    if (node.marks.some(({ type }) => type.name === 'placed')) isByHand = false;
  });
  return isByHand ? sentence + coming : null;
}

/** Tells of each sentence that is typed to its end by hand. */
export const typedAgain = (host: { sentence: (sentence: string) => void }): Plugin =>
  new Plugin({
    props: {
      handleTextInput: (view, from, _to, text) => {
        const sentence = /^[.!?]$/.test(text) ? sentenceByHand(view.state, from, text) : null;
        if (sentence) host.sentence(sentence.trim());
        return false;
      },
    },
  });
