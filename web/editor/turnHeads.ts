import type { Editor } from '@tiptap/core';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { labelOf, timesToShow, writtenTime } from '#core/transcript';
import { transcriptOf } from './placements';
import { turnsIn } from './turns';
import { turnViews, type TurnHead } from './turnView';

/** What stands before the words of each turn. */
function headsOf(doc: EditorNode): Map<EditorNode, TurnHead> {
  const { cast, labels, times } = transcriptOf(doc);
  const speakers = new Map(cast.map((speaker) => [speaker.id, speaker]));
  const turns = turnsIn(doc);
  const shown = timesToShow(
    turns.map(({ attrs }) => attrs.at),
    times.every,
  );
  return new Map(
    turns.map(({ node, attrs: { speaker, at } }, index) => [
      node,
      {
        label: turns[index - 1]?.attrs.speaker === speaker ? '' : labelOf(speakers.get(speaker), labels),
        time: times.shown !== 'none' && shown[index] ? writtenTime(at!, times) : '',
      },
    ]),
  );
}

/** Labels take so much of the line at the least and at the most, in letters. */
const WIDTH = { least: 4, most: 18 };

function draw(editor: Editor, { dom, state: { doc } }: EditorView): void {
  const heads = headsOf(doc);
  for (const view of turnViews(editor)) {
    const head = heads.get(view.node);
    if (head) view.show(head);
  }
  const { labels, times } = transcriptOf(doc);
  const least = labels.by === 'none' ? 0 : WIDTH.least;
  const longest = Math.max(least, ...[...heads.values()].map(({ label }) => label.length));
  dom.style.setProperty('--label-letters', String(Math.min(longest, WIDTH.most)));
  dom.classList.toggle('has-turns', heads.size > 0);
  dom.classList.toggle('labels-bold', labels.bold);
  dom.classList.toggle('labels-above', labels.after === 'line' && labels.by !== 'none');
  dom.classList.toggle('labels-none', labels.by === 'none');
  dom.classList.toggle('times-in-text', times.shown === 'text');
}

/** Whether the turns are written otherwise: another speaker, time or order, another cast. Their words count for nothing here. */
function areOthers(before: EditorNode, now: EditorNode): boolean {
  if (transcriptOf(before) !== transcriptOf(now)) return true;
  const [old, turns] = [turnsIn(before), turnsIn(now)];
  // An edit of its words leaves a turn's own attributes the very same object.
  return old.length !== turns.length || turns.some(({ attrs }, at) => attrs !== old[at]!.attrs);
}

/** Draws label and time before each turn, and again where a change makes them others. */
export const turnHeads = (editor: Editor): Plugin =>
  new Plugin({
    view: (view) => {
      draw(editor, view);
      return {
        update: (now, { doc }) => {
          if (doc !== now.state.doc && areOthers(doc, now.state.doc)) draw(editor, now);
        },
      };
    },
  });
