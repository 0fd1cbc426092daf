/** Words to put into a box: without formatting, and with it for boxes that take it. */
export interface Words {
  plain: string;
  /** HTML of our own making; null where words go in without formatting. */
  html: string | null;
}

/** A box of a page that can be written in, whatever it is made of. */
export interface Box {
  element: HTMLElement;
  /** Whether it takes formatting; and whether it is of one line. */
  isRich: boolean;
  isOneLine: boolean;
  /** Whether it is on the page still. */
  stands: boolean;
  /** The line up to the caret, of a long one the end of that; null while something is selected, or the caret is elsewhere. */
  before(): string | null;
  /** The line from the caret on. */
  after(): string;
  /** Remembers where the caret is, before the keys go elsewhere. */
  hold(): void;
  /** Gives the keys back to where they were. */
  resume(): void;
  /** By how many letters the words are too long for the box, in place of so many that were typed; null where they fit. */
  room(typed: number, words: Words): number | null;
  /** Puts words in the place of what was typed right before the caret. False where that is not there any more, or the box did not take them. */
  put(typed: string, words: Words): Promise<boolean>;
  /** Puts words in the place of all it holds. */
  fill(words: Words): Promise<boolean>;
  /** Right after words were put in: gives back what was typed. False where anything else has happened. */
  giveBack(): Promise<boolean>;
  /** Where the caret stands in the window. */
  caret(): DOMRect;
}
