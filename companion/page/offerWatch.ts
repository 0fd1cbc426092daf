import { OFFER_KEYS } from '#core/glossary';
import { ask, type OfferedRow } from '../messages';
import type { Box } from './box';
import { meeting } from './contract';
import type { Fitting } from './fittingCues';
import { afterLeadIn } from './leadIn';

interface Shown {
  rows: readonly OfferedRow[];
  take: (at: number) => void;
  /** What stands up to the lead-in that it is offered for; null where it is for nothing that is typed. */
  upTo: string | null;
}

/** These change what stands before the caret, or nothing: what is offered is looked at again, and stays until then. */
const STAYS = new Set(['Backspace', 'Shift', 'Control', 'Alt', 'Meta', 'CapsLock', 'AltGraph']);

/** Offers entries for what is typed behind a lead-in; nothing else is looked at for it. */
export class OfferWatch {
  private shown: Shown | null = null;
  /** What stood up to a lead-in whose offers were called off. */
  private calledOff: string | null = null;
  private asked = 0;

  constructor(
    private readonly leadIns: () => readonly string[],
    private readonly bring: (box: Box, fitting: Fitting) => void,
  ) {}

  /** Looks at what stands before the caret of a box. */
  look(box: Box): void {
    const number = ++this.asked;
    const { drawing } = meeting();
    const line = drawing && !drawing.isOpen() ? box.before() : null;
    const found = line === null ? null : afterLeadIn(line, this.leadIns());
    const upTo = found && line!.slice(0, found.from + found.leadIn.length);
    if (!found || upTo !== this.calledOff) this.calledOff = null;
    if (!found || this.calledOff !== null) return this.letGo();
    const { leadIn, words, from } = found;
    void ask('offers', { leadIn, words }).then((rows) => {
      // Typed on meanwhile, another answer is on its way.
      if (number !== this.asked || box.before() !== line) return;
      if (!rows || rows.length === 0) return this.letGo();
      this.show(box, rows, (at) => this.bringAt(box, line!, from, rows[at]!.id), upTo);
    });
  }

  /** Offers rows beneath the caret of a box, in place of what was offered. `upTo`: what stands up to the lead-in they are for. */
  show(box: Box, rows: Shown['rows'], take: Shown['take'], upTo: string | null = null): void {
    this.shown = { rows, take, upTo };
    meeting().drawing?.offer(box, rows, (at) => this.take(at));
  }

  /** What was offered for what is typed is for nothing any more. */
  private letGo(): void {
    if (this.shown?.upTo !== null) this.hide();
  }

  hide(): void {
    this.asked += 1;
    if (!this.shown) return;
    this.shown = null;
    meeting().drawing?.offer(null, [], () => undefined);
  }

  /** What a key does to what is offered; true where it is used up by that. */
  pressed(event: KeyboardEvent, box: Box): boolean {
    const isAlt = event.altKey && !event.ctrlKey && !event.metaKey && !event.getModifierState('AltGraph');
    const at = isAlt ? OFFER_KEYS.indexOf(event.code) : -1;
    if (!this.shown) {
      // An answer can get lost while the browser wakes the companion up: who wants an offer asks once more.
      if (at >= 0) this.look(box);
      return false;
    }
    if (event.key === 'Escape') {
      this.calledOff = this.shown.upTo;
      this.hide();
      return true;
    }
    if (at >= 0 && at < this.shown.rows.length) {
      this.take(at);
      return true;
    }
    if (event.key.length > 1 && !STAYS.has(event.key)) this.letGo();
    return false;
  }

  private take(at: number): void {
    const take = this.shown?.take;
    this.hide();
    take?.(at);
  }

  private bringAt(box: Box, line: string, from: number, entry: string): void {
    if (box.before() !== line) return;
    const typed = line.slice(from);
    this.bring(box, {
      ...{ entry, typed, before: line.slice(0, from) },
      ...{ cue: null, typedCase: 'as-is', inWord: false, kept: '', groups: [] },
      keys: typed.length + 1,
    });
  }
}
