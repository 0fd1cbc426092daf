import { Node, type Editor } from '@tiptap/core';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import type { NodeView, ViewMutationRecord } from '@tiptap/pm/view';
import { joinTurn } from './turns';

/** What stands before the words of a turn: the label of its speaker, where it has one, and when it begins. */
export interface TurnHead {
  /** '' where the one before is the same speaker's. */
  label: string;
  /** '' where no time is shown. */
  time: string;
}

/** All turns that an editor draws: each is told what stands before it whenever that is another. */
const drawn = new WeakMap<Editor, Set<TurnView>>();

/** The turns that an editor draws. */
export const turnViews = (editor: Editor): ReadonlySet<TurnView> => drawn.get(editor) ?? new Set();

/** A turn as it stands on the page: label and time are no text, so that they cannot be half deleted. */
export class TurnView implements NodeView {
  readonly dom = document.createElement('div');
  readonly contentDOM = document.createElement('p');
  private readonly label = document.createElement('span');
  private readonly time = document.createElement('button');
  private head: TurnHead = { label: '', time: '' };

  constructor(
    public node: EditorNode,
    private readonly editor: Editor,
  ) {
    const views = drawn.get(editor) ?? new Set();
    drawn.set(editor, views.add(this));
    this.dom.className = 'turn';
    this.label.className = 'turn-label';
    this.time.className = 'turn-time';
    this.time.type = 'button';
    this.time.tabIndex = -1;
    this.time.title = 'Play from here';
    this.time.hidden = true;
    for (const part of [this.label, this.time]) part.contentEditable = 'false';
    this.time.addEventListener('click', () => {
      const at = this.node.attrs.at as number | null;
      if (at !== null) editor.storage.recordingClock.playFrom(at);
    });
    this.dom.append(this.label, this.contentDOM, this.time);
  }

  /** Draws what stands before its words. */
  show(head: TurnHead): void {
    if (head.label !== this.head.label) this.label.textContent = head.label;
    if (head.time !== this.head.time) this.time.textContent = head.time;
    this.time.hidden = head.time === '';
    this.head = head;
  }

  update(node: EditorNode): boolean {
    if (node.type !== this.node.type) return false;
    this.node = node;
    return true;
  }

  stopEvent(event: Event): boolean {
    return this.time.contains(event.target as globalThis.Node);
  }

  ignoreMutation(mutation: ViewMutationRecord): boolean {
    return mutation.type !== 'selection' && !this.contentDOM.contains(mutation.target);
  }

  destroy(): void {
    drawn.get(this.editor)?.delete(this);
  }
}

/**
 * Puts what is typed where the caret is. Before the first letter of a turn Chromium takes the caret, now and then, to be beside the
 * words and not in them (2 of 60 turns begun by a key and typed on at once): the letter would stand on the page and not in the text.
 */
const typedBesideWords = (): Plugin =>
  new Plugin({
    props: {
      handleDOMEvents: {
        beforeinput: (view, event) => {
          const { inputType, data, isComposing } = event;
          const at = event.getTargetRanges()[0]?.startContainer;
          const isBeside = at instanceof HTMLElement && at.classList.contains('turn');
          if (inputType !== 'insertText' || data === null || isComposing || !isBeside) return false;
          event.preventDefault();
          const { from, to } = view.state.selection;
          const typed = () => view.state.tr.insertText(data, from, to).scrollIntoView();
          if (!view.someProp('handleTextInput', (take) => take(view, from, to, data, typed)))
            view.dispatch(typed());
          return true;
        },
      },
    },
  });

/** The first paragraph of what somebody says. Enter goes on in a paragraph of the same turn. */
export const TurnNode = Node.create({
  name: 'turn',
  content: 'inline*',
  addAttributes: () => ({
    speaker: {
      default: '',
      parseHTML: (element) => element.dataset.speaker,
      renderHTML: ({ speaker }) => ({ 'data-speaker': String(speaker) }),
    },
    at: {
      default: null,
      parseHTML: ({ dataset: { at } }) => (at ? Number(at) : null),
      renderHTML: ({ at }) => (at === null ? {} : { 'data-at': String(at) }),
    },
  }),
  parseHTML: () => [{ tag: 'p[data-speaker]', priority: 60 }],
  renderHTML: ({ HTMLAttributes }) => ['p', HTMLAttributes, 0],
  addNodeView:
    () =>
    ({ node, editor }) =>
      new TurnView(node, editor),
  addProseMirrorPlugins: () => [typedBesideWords()],
  addKeyboardShortcuts: () => ({
    // The words go on in the turn before, and the time is not forgotten.
    Backspace: ({ editor }) => {
      const { $from, empty } = editor.state.selection;
      const isAtStart = empty && $from.parent.type.name === 'turn' && $from.parentOffset === 0;
      const before = isAtStart ? editor.state.doc.resolve($from.before()).nodeBefore : null;
      // Behind an empty line it is that line that goes.
      if (!isAtStart || before?.content.size === 0) return false;
      const tr = joinTurn(editor.state);
      if (tr) editor.view.dispatch(tr);
      return tr !== null;
    },
    Enter: ({ editor }) => {
      const { $from, empty } = editor.state.selection;
      if (!empty || $from.parent.type.name !== 'turn') return false;
      const { tr, schema } = editor.state;
      tr.split($from.pos, 1, [{ type: schema.nodes.paragraph! }]);
      editor.view.dispatch(tr.scrollIntoView());
      return true;
    },
  }),
});
