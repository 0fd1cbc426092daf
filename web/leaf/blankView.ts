import type { Node as EditorNode } from '@tiptap/pm/model';
import type { EditorView, NodeView } from '@tiptap/pm/view';
import { answer } from '../editor/answering';
import { attrsOf, fieldOf } from '../editor/blanks';
import { placementsOf } from '../editor/placements';
import { stepOut } from '../editor/stepping';
import { keyOnBlank, stepTo } from './blankKeys';

/** Numbers the visits to blanks: all letters typed in one visit are one step for undo. */
let visits = 0;

const element = (tag: string, className: string) => {
  const made = document.createElement(tag);
  made.className = className;
  return made;
};

/**
 * Shows a blank as the ruled line of a paper form. When it is current and takes words, the line is a text
 * field in place; the letters typed are the answer at once, so that the sentence reads right all along.
 */
export class BlankView implements NodeView {
  readonly dom = element('span', 'blank');
  private readonly words = element('span', 'blank-words');
  private readonly name = element('span', 'blank-name');
  private input: HTMLInputElement | null = null;
  private visit = 0;

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
    this.name.textContent = field?.name ?? attrsOf(this.node).field;
    this.words.textContent = text;
    // A gap has no words: it needs a voice. A finished one is read as part of the sentence.
    if (state === 'gap') this.dom.setAttribute('title', field?.question || (field?.name ?? ''));
    else this.dom.removeAttribute('title');
    requestAnimationFrame(() => this.measure());
  }

  /** An answer over two lines has no room beneath for the field's name. */
  measure(): void {
    this.dom.dataset.wraps = String(this.words.getClientRects().length > 1);
  }

  update(node: EditorNode): boolean {
    if (node.type !== this.node.type) return false;
    this.node = node;
    this.show();
    return true;
  }

  selectNode(): void {
    this.dom.classList.add('is-current');
    const field = fieldOf(this.view.state.doc, attrsOf(this.node));
    if (!field || field.kind === 'choice' || !this.view.editable || this.input) return;
    this.visit = visits += 1;
    const input = document.createElement('input');
    input.type = 'text';
    input.autocomplete = 'off';
    input.value = this.given() ?? attrsOf(this.node).text;
    input.setAttribute('aria-label', field.question || field.name);
    input.addEventListener('input', () => this.typed(input.value));
    input.addEventListener('keydown', (event) => this.key(event, input));
    this.input = input;
    this.words.hidden = true;
    this.dom.prepend(input);
    input.focus({ preventScroll: true });
    input.select();
  }

  deselectNode(): void {
    this.dom.classList.remove('is-current');
    this.input?.remove();
    this.input = null;
    this.words.hidden = false;
    this.measure();
  }

  /** The answer as the member typed it, which the line's tidying may have changed on the page. */
  private given(): string | null {
    const { placement, field } = attrsOf(this.node);
    const given = placementsOf(this.view.state.doc)[placement ?? '']?.answers[field];
    return given?.kind === 'text' ? given.text : null;
  }

  private typed(text: string): void {
    const { placement, field } = attrsOf(this.node);
    if (placement === null) return;
    const tr = answer(this.view.state, placement, field, text.trim() === '' ? null : { kind: 'text', text });
    this.view.dispatch(tr.setMeta('composition', this.visit));
  }

  private key(event: KeyboardEvent, input: HTMLInputElement): void {
    if (event.isComposing) return;
    const atStart = input.selectionStart === 0 && input.selectionEnd === 0;
    const atEnd = input.selectionStart === input.value.length && input.selectionEnd === input.value.length;
    const out =
      event.key === 'ArrowLeft' && atStart && !event.shiftKey
        ? 'before'
        : event.key === 'ArrowRight' && atEnd && !event.shiftKey
          ? 'after'
          : null;
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
