/** What the part that watches boxes and the part that draws beside them know of each other: they are fetched apart, and meet in the page. */
import type { TypedCase } from '#core/cue';
import type { Way } from '#core/savings';
import type { BoxName, Form, OfferedRow } from '../messages';
import type { Box } from './box';

/** An entry that is to be brought into a box. */
export interface Bringing {
  box: Box;
  entry: string;
  /** What was typed, closing key and all: it gives way to the words, or is given back. '' where nothing was. */
  typed: string;
  /** The cue in it; null where none brought it. */
  cue: string | null;
  typedCase: TypedCase;
  /** What stands on the line before what was typed. */
  before: string;
  inWord: boolean;
  /** The closing key, where the cue keeps it. */
  kept: string;
  /** What the groups of a pattern hold. */
  groups: { name: string | null; text: string | null }[];
  way: Way;
  /** Keys pressed for it so far. */
  keys: number;
}

/** A key that was pressed before what it was meant for stood there. */
export interface HeldKey {
  key: string;
  /** Its place on the keyboard: what keys with Alt are told by. */
  code: string;
  ctrlKey: boolean;
  altKey: boolean;
  shiftKey: boolean;
}

/** What the drawing part asks of the watching one. */
export interface Watching {
  form: () => Form;
  boxes: () => Record<string, BoxName>;
  /** Keys pressed since an entry was brought and not used yet: they are the answer's, or go behind the words. More are held. */
  takeHeld: () => HeldKey[];
  /** From here on keys go where they are pressed. Gives those that were held last. */
  stopHolding: () => HeldKey[];
  /**
   * Types held keys into a box as if they were pressed now, and after them those that are pressed meanwhile; then keys go where they
   * are pressed. A cue among them brings its entry, for which those behind it are held.
   */
  typeHeld: (box: Box, keys: readonly HeldKey[]) => Promise<void>;
  /** From here on keys are held, until they are taken or no longer held. */
  hold: () => void;
  /** Gives back what was typed, as Backspace right after does. */
  giveBack: (bringing: Bringing) => Promise<void>;
  /** Words were put in: the next Backspace gives back what was typed. */
  broughtIn: (bringing: Bringing) => void;
  /** What was typed stands again, and does not fire again. */
  gaveUp: (bringing: Bringing) => void;
  /** Offers something beneath the caret of a box, taken by the keys of offers: it stays until it is taken, called off, or one clicks elsewhere. */
  offer: (box: Box, rows: readonly OfferedRow[], take: (at: number) => void) => void;
  /** What was selected last on the page outside its boxes; '' for nothing. */
  selected: () => string;
}

/** What the watching part asks of the drawing one. */
export interface Drawing {
  /** Brings an entry: at once where it asks nothing, else the slip asks. */
  bring: (bringing: Bringing) => Promise<void>;
  /** Opens the look-up beside a box. */
  lookUp: (box: Box) => void;
  /** Shows what is offered beneath the caret of a box, in place of what was; none hides it. */
  offer: (box: Box | null, rows: readonly OfferedRow[], take: (at: number) => void) => void;
  /** Tells something in a few words beside a box. */
  say: (box: Box | null, words: string) => void;
  isOpen: () => boolean;
}

/** Where the two meet: a name in the world of the companion alone, which no page sees. */
interface Meeting {
  watching?: Watching;
  drawing?: Drawing;
}
const here = globalThis as unknown as { elderleafCompanion?: Meeting };

/** Both parts, as far as they are there. */
export const meeting = (): Meeting => (here.elderleafCompanion ??= {});
