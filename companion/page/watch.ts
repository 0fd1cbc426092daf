import { closerOf, keysOf, type Closer } from '#core/cue';
import { ask, type PageBeginning, type PageTold } from '../messages';
import { hostOf } from './addressOf';
import type { Box } from './box';
import { boxOf, focused } from './boxAt';
import { meeting, type Bringing, type HeldKey } from './contract';
import { CLOSING_KEYS, FittingCues, type Fitting } from './fittingCues';
import { typedUpToCue } from './heldWords';
import { OfferWatch } from './offerWatch';

/** Keys of the companion's own, on any page. */
export const PAGE_KEYS = { lookUp: 'Alt+Shift+U', keep: 'Alt+Shift+K', switch: 'Alt+Shift+O' } as const;
/** Keys are held for so long at the most, in milliseconds: then they go where they were meant. */
const HELD_MS = 4000;
/** More of a selection is not an answer. */
const MOST_SELECTED = 2000;

/**
 * Watches the boxes of a page: only what ends at the caret is held against the cues, in the page itself. What is not a cue is forgotten
 * with the key; nothing of it is kept or sent.
 */
export class PageWatch {
  private beginning: PageBeginning | null = null;
  private cues: FittingCues | null = null;
  private begun = false;
  /** Wording that was brought right now, until anything else happens. */
  private just: Bringing | null = null;
  /** What was given back, and so does not fire again as long as it stands. */
  private refused: { box: Box; line: string } | null = null;
  /** Keys typed while an entry is fetched; null while none is. */
  private held: HeldKey[] | null = null;
  private brought = 0;
  private selected = '';
  private composing = false;
  private found: { active: Element | null; box: Box | null } | null = null;
  /** Wakes what looks once an editor has written a letter itself. */
  private readonly written = new MessageChannel();
  private readonly offers = new OfferWatch(
    () => (this.beginning?.offers ? this.beginning.cues.leadIns : []),
    (box, fitting) => this.bring(box, fitting, 'offer'),
  );

  constructor(private readonly page: Document) {
    meeting().watching = {
      form: () => this.beginning?.form ?? 'by-box',
      boxes: () => this.beginning?.boxes ?? {},
      takeHeld: () => this.takeHeld(),
      hold: () => {
        this.held = [];
      },
      typeHeld: (box, keys) => this.typeHeld(box, keys),
      giveBack: (bringing) => this.giveBack(bringing),
      stopHolding: () => this.stopHolding(),
      broughtIn: (bringing) => this.broughtIn(bringing),
      gaveUp: (bringing) => this.refuse(bringing),
      selected: () => this.selected,
      offer: (box, rows, take) => this.offers.show(box, rows, take),
    };
    const window = page.defaultView!;
    // First of all that listen: what closes a cue is not also what sends a message.
    window.addEventListener('keydown', (event) => this.pressed(event), true);
    window.addEventListener('beforeinput', (event) => this.typing(event), true);
    window.addEventListener('input', (event) => this.typed(event), true);
    window.addEventListener('compositionstart', () => (this.composing = true), true);
    window.addEventListener('compositionend', () => (this.composing = false), true);
    window.addEventListener('pointerdown', (event) => this.clicked(event), true);
    window.addEventListener('focusout', () => this.offers.hide(), true);
    window.addEventListener(
      'focusin',
      () => {
        this.found = null;
        void this.begin();
      },
      true,
    );
    this.written.port1.onmessage = () => this.lookWhereWritten();
    page.addEventListener('selectionchange', () => this.remember());
    chrome.runtime.onMessage.addListener((told: PageTold) => {
      if (told.tell === 'begin-again') void this.beginAgain();
    });
    void this.begin();
  }

  /** The box that has the keys: looked for once a key, since several events tell of one. */
  private box(): Box | null {
    const active = this.page.activeElement;
    if (this.found?.active !== active) this.found = { active, box: boxOf(focused(this.page)) };
    return this.found.box;
  }

  /** The cues are fetched once somebody writes here. */
  private async begin(): Promise<void> {
    if (this.begun || !this.box()) return;
    this.begun = true;
    await this.beginAgain();
  }

  private async beginAgain(): Promise<void> {
    if (!this.begun) return;
    const host = hostOf(this.page);
    this.beginning = await ask('begin-page', { host });
    if (!this.beginning) this.cues = null;
    else if (this.cues?.print !== this.beginning.cues.print) this.cues = new FittingCues(this.beginning.cues);
    // What draws beside the boxes comes before it is needed, while nobody waits.
    if (this.cues && !meeting().drawing) requestIdleCallback(() => void ask('slip', {}));
  }

  private remember(): void {
    if (this.box()) return;
    const words = this.page.getSelection()?.toString().replace(/\s+/g, ' ').trim() ?? '';
    if (words === '' || words.length > MOST_SELECTED) return;
    this.selected = words;
  }

  private takeHeld(): HeldKey[] {
    const { held } = this;
    if (held !== null) this.held = [];
    return held ?? [];
  }

  private stopHolding(): HeldKey[] {
    const held = this.takeHeld();
    this.held = null;
    return held;
  }

  private broughtIn(bringing: Bringing): void {
    this.just = bringing;
    this.refused = null;
  }

  /** What was typed stands again. As it was typed: an editor may have it in a line of its own until one types on. */
  private refuse({ box, before, typed }: Bringing): void {
    this.refused = { box, line: before + typed };
  }

  /** Brings an entry into a box; keys that are typed before it is there are held for it. */
  private bring(box: Box, fitting: Fitting, way: Bringing['way'], held: readonly HeldKey[] = []): void {
    const { drawing } = meeting();
    this.offers.hide();
    this.held = [...held];
    const number = ++this.brought;
    setTimeout(() => {
      if (number === this.brought && !drawing?.isOpen()) void this.typeHeld(box, this.takeHeld());
    }, HELD_MS);
    const bringing: Bringing = { ...fitting, box, way };
    if (drawing) return void drawing.bring(bringing);
    void ask('slip', {}).then(() => meeting().drawing?.bring(bringing));
  }

  private async typeHeld(box: Box, keys: readonly HeldKey[]): Promise<void> {
    const isRefused = (fitting: Fitting) => this.isRefused(box, fitting);
    for (let rest = keys; rest.length > 0; rest = this.takeHeld()) {
      const { cues } = this;
      const into = { line: box.before(), isOneLine: box.isOneLine, cues, isRefused };
      const { words, fitting, left } = typedUpToCue(rest, into);
      if (words !== '') await box.put('', { plain: words, html: null });
      if (fitting) return this.bring(box, fitting, 'cue', [...left, ...this.takeHeld()]);
    }
    this.held = null;
  }

  private isRefused(box: Box, { before, typed }: Fitting): boolean {
    const { refused } = this;
    return refused?.box === box && (before + typed).endsWith(refused.line);
  }

  /** A letter has been typed: is there a cue before the caret? */
  private look(box: Box): void {
    const line = this.cues && box.before();
    if (line === null || line === '') return this.offers.hide();
    if (this.refused?.box === box && !line.includes(this.refused.line)) this.refused = null;
    const fitting = this.cues!.endOf(line);
    if (fitting) {
      if (!this.isRefused(box, fitting)) this.bring(box, fitting, 'cue');
      return;
    }
    this.offers.look(box);
    const closer = this.cues!.hasPatterns ? closerOf(line.slice(-1)) : null;
    if (closer) void this.lookForPattern(box, line, closer);
  }

  private async lookForPattern(box: Box, line: string, closer: Closer): Promise<void> {
    const last = line.slice(-1);
    const found = await ask('pattern', { line: line.slice(0, -1), closer });
    // Typed on meanwhile, it is not at the caret any more.
    if (!found || box.before() !== line) return;
    const typed = found.typed + last;
    const fitting: Fitting = {
      entry: found.cue.entry,
      ...{ typed, cue: found.typed, typedCase: 'as-is', groups: found.groups, inWord: false },
      before: line.slice(0, -typed.length),
      kept: found.cue.rules.keepCloser ? last : '',
      keys: typed.length,
    };
    if (!this.isRefused(box, fitting)) this.bring(box, fitting, 'cue');
  }

  private looked = false;

  /** Before a letter is typed: editors that type it themselves tell nobody that they did. */
  private typing(event: InputEvent): void {
    this.looked = false;
    if (!this.isTyping(event)) return;
    if (this.box()) this.written.port2.postMessage(null);
  }

  private lookWhereWritten(): void {
    const box = this.box();
    if (box && this.cues && !this.looked && this.held === null) this.look(box);
  }

  private typed(event: Event): void {
    if (!(event instanceof InputEvent) || !event.isTrusted) return;
    const box = this.box();
    if (!box) return;
    // Taken back or pasted: no cue fires by it, but what is offered is for what stands there now.
    if (!this.isTyping(event)) return this.cues && this.held === null ? this.offers.look(box) : undefined;
    this.looked = true;
    if (this.held === null) this.look(box);
  }

  private isTyping(event: InputEvent): boolean {
    if (!event.isTrusted || event.isComposing || this.composing || !this.cues) return false;
    return event.inputType === 'insertText' && event.data?.length === 1;
  }

  private clicked({ target }: Event): void {
    this.just = null;
    // What is offered is clicked at in a tree of the companion's own.
    if (!(target instanceof HTMLElement && target.localName === 'elderleaf-slip')) this.offers.hide();
  }

  private stop(event: KeyboardEvent): void {
    event.preventDefault();
    event.stopImmediatePropagation();
  }

  private pressed(event: KeyboardEvent): void {
    if (!event.isTrusted || event.isComposing || this.composing) return;
    this.found = null;
    if (this.held !== null && this.hold(event)) return this.stop(event);
    if (meeting().drawing?.isOpen()) return;
    const box = this.box();
    const isUsed =
      box && this.cues
        ? this.offers.pressed(event, box) ||
          this.backspaceAfter(event, box) ||
          this.ownKey(event, box) ||
          this.closes(event, box)
        : this.switchedBy(event);
    if (isUsed) this.stop(event);
  }

  /** Backspace right after words were brought gives back what was typed; any other key leaves them there. */
  private backspaceAfter(event: KeyboardEvent, box: Box): boolean {
    const { just } = this;
    if (!just || MODIFIERS.has(event.key)) return false;
    const isMine = just.box === box && event.key === 'Backspace' && !hasModifier(event);
    this.just = null;
    if (isMine) void this.giveBack(just);
    return isMine;
  }

  /** Enter or Tab behind a cue that waits for it. */
  private closes(event: KeyboardEvent, box: Box): boolean {
    const closer = CLOSING_KEYS[event.key];
    const line = closer && !hasModifier(event) ? box.before() : null;
    const fitting = closer && line ? this.cues!.closedBy(line, closer) : null;
    if (!fitting || this.isRefused(box, fitting)) return false;
    this.bring(box, fitting, 'cue');
    return true;
  }

  /** A key pressed while an entry is fetched is held for it. What changes nothing goes where it was meant. */
  private hold({ key, code, ctrlKey, metaKey, altKey, shiftKey }: KeyboardEvent): boolean {
    const isStep = HELD.has(key);
    if (!isStep && (ctrlKey || metaKey || key.length !== 1)) return false;
    this.held!.push({ key, code, ctrlKey: ctrlKey || metaKey, altKey, shiftKey });
    return true;
  }

  private async giveBack(bringing: Bringing): Promise<void> {
    if (await bringing.box.giveBack()) this.refuse(bringing);
  }

  private ownKey(event: KeyboardEvent, box: Box): boolean {
    if (this.switchedBy(event)) return true;
    const keys = keysOf(event);
    if (!keys) return false;
    if (keys === PAGE_KEYS.lookUp) {
      const { drawing } = meeting();
      if (drawing) drawing.lookUp(box);
      else void ask('slip', {}).then(() => meeting().drawing?.lookUp(box));
      return true;
    }
    const entry = this.cues!.ofKeys(keys);
    if (!entry) return false;
    const before = box.before() ?? '';
    const fitting: Fitting = {
      ...{ entry, before, typed: '', cue: keys, typedCase: 'as-is', inWord: false, kept: '', groups: [] },
      keys: keys.split('+').length,
    };
    this.bring(box, fitting, 'keys');
    return true;
  }

  /** The keys that work wherever one is on a page: off and on here, and keeping what is selected. */
  private switchedBy(event: KeyboardEvent): boolean {
    const keys = event.altKey ? keysOf(event) : null;
    const host = hostOf(this.page);
    if (keys === PAGE_KEYS.switch) {
      const on = this.cues === null;
      this.begun = true;
      void ask('switch-page', { host, on }).then(() => this.sayWhereFocused(on));
      return true;
    }
    if (keys !== PAGE_KEYS.keep) return false;
    const words = this.page.getSelection()?.toString().trim() || this.selected;
    if (words !== '') void ask('keep-words', { words });
    return words !== '';
  }

  private sayWhereFocused(on: boolean): void {
    const box = this.box();
    const words = on
      ? 'Cues work on this page from now on.'
      : 'Elderleaf leaves this page alone from now on. The same keys switch it on again.';
    meeting().drawing?.say(box, words);
  }
}

const HELD = new Set(['Enter', 'Tab', 'Backspace', 'Escape']);
const MODIFIERS = new Set(['Shift', 'Control', 'Alt', 'Meta']);

const hasModifier = (event: KeyboardEvent) =>
  event.ctrlKey || event.metaKey || event.altKey || event.shiftKey;
