import { redo, undo } from '@tiptap/pm/history';
import type { Node as EditorNode } from '@tiptap/pm/model';
import { Plugin } from '@tiptap/pm/state';
import type { EditorView, NodeView } from '@tiptap/pm/view';
import type { Field } from '#core/entry';
import { BY_HAND, pickablesOf, readAnswer, typedForm } from '#core/fill';
import type { Value } from '#core/record';
import { clockNow } from '#client/clock';
import { answerAll, attrsOf, fieldOf, BlankNode, placementsOf, stepOut } from '../../editor';
import { keyOnBlank, stepTo } from './blankKeys';
import { giveKeys } from './whereKeysGo';

/** Undo or redo, where a key asks for it. */
function travelOf(event: KeyboardEvent): typeof undo | null {
  if (!(event.ctrlKey || event.metaKey) || event.altKey) return null;
  const key = event.key.toLowerCase();
  if (key === 'y') return redo;
  return key === 'z' ? (event.shiftKey ? redo : undo) : null;
}

/** The days on which the record measured something: once the amount is given by hand, its day is asked for too. */
function daysOfMeasuring(doc: EditorNode, placement: string): Record<string, null> {
  const placed = placementsOf(doc)[placement];
  const days = (placed?.fields ?? []).filter(({ id, ...field }) => {
    const given = placed!.answers[id];
    return (
      field.kind === 'detail' &&
      field.path === 'weighed' &&
      given?.kind === 'detail' &&
      given.source !== BY_HAND
    );
  });
  return Object.fromEntries(days.map(({ id }) => [id, null]));
}

/** Numbers the visits to blanks: all letters typed in one visit are one step for undo. */
let visits = 0;

const element = (tag: string, className: string) => {
  const made = document.createElement(tag);
  made.className = className;
  return made;
};

/** On which side of its line a key leaves a blank, when its text ends there; null where it goes on within. */
function wayOut(
  event: KeyboardEvent,
  input: HTMLInputElement | HTMLTextAreaElement,
): 'before' | 'after' | null {
  const { selectionStart, selectionEnd, value } = input;
  if (event.shiftKey || selectionStart !== selectionEnd) return null;
  if (event.key === 'ArrowLeft' && selectionStart === 0) return 'before';
  return event.key === 'ArrowRight' && selectionStart === value.length ? 'after' : null;
}

/**
 * Shows a blank as the ruled line of a paper form. When it is current and takes words, the line is a text
 * field in place; the letters typed are the answer at once, so that the sentence reads right all along.
 */
class BlankView implements NodeView {
  readonly dom = element('span', 'blank');
  private readonly words = element('span', 'blank-words');
  private readonly name = element('span', 'blank-name');
  private input: HTMLInputElement | HTMLTextAreaElement | null = null;
  private visit = 0;
  /** What the record says here, in whose unit a value is given by hand. */
  private known: Value | undefined;

  constructor(
    private node: EditorNode,
    private readonly view: EditorView,
  ) {
    this.name.setAttribute('aria-hidden', 'true');
    this.dom.append(this.words, this.name);
    this.show();
  }

  private show(): void {
    const { text, state } = attrsOf(this.node);
    const field = fieldOf(this.view.state.doc, attrsOf(this.node));
    this.dom.dataset.state = state;
    this.dom.dataset.form = attrsOf(this.node).form;
    this.name.textContent = field?.name ?? attrsOf(this.node).field;
    this.words.textContent = text;
    // A gap has no words: it needs a voice. A finished one is read as part of the sentence.
    if (state === 'gap') this.dom.setAttribute('title', field?.question || (field?.name ?? ''));
    else this.dom.removeAttribute('title');
  }

  update(node: EditorNode): boolean {
    if (node.type !== this.node.type) return false;
    this.node = node;
    this.show();
    this.followAnswer();
    return true;
  }

  /** An answer given from elsewhere, as from the margin, shows in the text field too. */
  private followAnswer(): void {
    const field = fieldOf(this.view.state.doc, attrsOf(this.node));
    if (!this.input || !field) return;
    const given = this.given(field);
    if (given !== this.input.value && this.input.dataset.typed !== this.input.value) this.input.value = given;
  }

  selectNode(): void {
    this.dom.classList.add('is-current');
    const field = fieldOf(this.view.state.doc, attrsOf(this.node));
    if (!field || pickablesOf(field).length > 0 || !this.view.editable || this.input) return;
    this.visit = visits += 1;
    const before = placementsOf(this.view.state.doc)[attrsOf(this.node).placement ?? '']?.answers[field.id];
    if (before?.kind === 'detail') this.known = before.value;
    const long = field.kind === 'text' && field.long;
    const input = document.createElement(long ? 'textarea' : 'input');
    if (input instanceof HTMLTextAreaElement) input.rows = 1;
    input.autocomplete = 'off';
    input.value = this.given(field);
    // What is worked out stands there until something else is typed.
    if (field.kind === 'computed') input.placeholder = attrsOf(this.node).text;
    input.setAttribute('aria-label', field.question || field.name);
    input.addEventListener('input', () => this.typed(field, input.value));
    input.addEventListener('keydown', (event: Event) => this.key(event as KeyboardEvent, input));
    this.input = input;
    this.words.hidden = true;
    this.dom.prepend(input);
    input.focus({ preventScroll: true });
    input.select();
  }

  deselectNode(): void {
    this.dom.classList.remove('is-current');
    this.letGo();
    this.words.hidden = false;
  }

  destroy(): void {
    this.letGo();
  }

  /** Takes the line away. Where it had the keys and nothing else takes them, as after undo, they go to the text. */
  private letGo(): void {
    const had = this.input !== null && document.activeElement === this.input;
    this.input?.remove();
    this.input = null;
    if (!had) return;
    queueMicrotask(() => {
      if (document.activeElement === document.body && !this.view.isDestroyed) giveKeys(this.view);
    });
  }

  /** The answer as it is typed, which the line's form and tidying may show otherwise on the page. */
  private given(field: Field): string {
    const placement = placementsOf(this.view.state.doc)[attrsOf(this.node).placement ?? ''];
    return placement ? typedForm(field, placement.answers[field.id], placement.language) : '';
  }

  private typed(field: Field, text: string): void {
    // What is being typed may be written otherwise once it is read, and is left alone.
    if (this.input) this.input.dataset.typed = text;
    const { placement } = attrsOf(this.node);
    const language = placementsOf(this.view.state.doc)[placement ?? '']?.language;
    if (placement === null || language === undefined) return;
    const { answer: given } = readAnswer(field, text, clockNow(), language, this.known);
    const companions = given?.kind === 'detail' ? daysOfMeasuring(this.view.state.doc, placement) : {};
    const tr = answerAll(this.view.state, placement, { ...companions, [field.id]: given });
    this.view.dispatch(tr.setMeta('composition', this.visit));
  }

  private key(event: KeyboardEvent, input: HTMLInputElement | HTMLTextAreaElement): void {
    // One history for all: what was typed on this line is a step of the text's.
    const travel = !event.isComposing && travelOf(event);
    if (travel) {
      event.preventDefault();
      event.stopPropagation();
      travel(this.view.state, this.view.dispatch);
      giveKeys(this.view);
      return;
    }
    // In a field of several lines Shift and Enter begin a new one.
    if (event.isComposing || (event.key === 'Enter' && event.shiftKey)) return;
    const out = wayOut(event, input);
    const tr = out && stepOut(this.view.state, out);
    if (tr) stepTo(this.view, tr);
    else if (!keyOnBlank(this.view, event, input.value === '')) return;
    event.preventDefault();
    event.stopPropagation();
  }

  stopEvent(event: Event): boolean {
    return this.input !== null && event.target === this.input;
  }

  ignoreMutation(): boolean {
    return true;
  }
}

/**
 * Tells each blank whether its words go over the end of a line, where the field's name has no room beneath: whatever is typed before it
 * can move it there. Once a frame, all read before any is told.
 */
const overLineEnds = () =>
  new Plugin({
    view: ({ dom }) => {
      let frame = 0;
      const measure = () => {
        frame = 0;
        const blanks = [...dom.querySelectorAll<HTMLElement>('.blank')];
        const wraps = blanks.map((blank) => {
          const words = blank.querySelector('.blank-words');
          return String(words !== null && words.getClientRects().length > 1);
        });
        blanks.forEach((blank, at) => {
          if (blank.dataset.wraps !== wraps[at]) blank.dataset.wraps = wraps[at];
        });
      };
      const soon = () => {
        frame ||= requestAnimationFrame(measure);
      };
      const sized = new ResizeObserver(soon);
      sized.observe(dom);
      return {
        update: soon,
        destroy: () => {
          sized.disconnect();
          cancelAnimationFrame(frame);
        },
      };
    },
  });

/** The blank on a leaf, alive: shown as a ruled line, answered in place. */
export const LiveBlank = BlankNode.extend({
  addNodeView: () => {
    return ({ node, view }) => new BlankView(node, view);
  },
  addProseMirrorPlugins: () => [overLineEnds()],
});
