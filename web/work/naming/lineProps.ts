import type { Case, TrayLine } from '#contracts';
import type { LocalCopy } from '#client/drafts';
import type { BankIndex, Reach } from '#core/bank';
import type { NamePlace, Paper, TraySetup } from '#core/naming';
import type { Proposer } from '../../writing';
import type { Found } from './foundEntries';

/** What the line of a file is written with. */
export interface LineProps extends LineGiven {
  /** What was written of it that the server never got; null for nothing. */
  copy: LocalCopy | null;
  /** Shows the line anew, as the server has it. */
  renew: () => void;
}

/** What the page gives a line. */
export interface LineGiven {
  one: Case;
  line: TrayLine;
  setup: TraySetup;
  place: NamePlace;
  /** Names of the others, sorted. */
  sorted: readonly string[];
  paper: Paper | null;
  proposer: Proposer | null;
  found: (paper: Paper, index: BankIndex, reach: Reach) => readonly Found[];
  /** The entry that the line before was begun by; null for none. */
  before: string | null;
  /** It is done: on to the next. */
  done: () => void;
  /** It is taken out of the tray. */
  takeOut: () => void;
  /** Puts back the file that was taken out last; null where none was. */
  putBack: (() => void) | null;
  /** To another line, with nothing done about this one. */
  step: (by: 1 | -1) => void;
  said: string | null;
  say: (words: string | null) => void;
  beside: HTMLElement | null;
}
