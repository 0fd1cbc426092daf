import type { RefObject } from 'react';
import type { Case, TrayLine } from '#contracts';
import type { BankIndex, Reach } from '#core/bank';
import type { NamePlace, Paper, TraySetup } from '#core/naming';
import type { Action } from '../../shell';
import type { Proposer } from '../../writing';
import type { Found } from './foundEntries';

/** What others on the page can have the line do. */
export interface LineHandle {
  write: () => void;
}

/** What the line of a file is written with. */
export interface LineProps {
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
  /** To another line, with nothing done about this one. */
  step: (by: 1 | -1) => void;
  actions: readonly Action[];
  said: string | null;
  say: (words: string | null) => void;
  beside: HTMLElement | null;
  handleRef: RefObject<LineHandle | null>;
  /** Shows the line anew, as the server has it. */
  renew: () => void;
}
