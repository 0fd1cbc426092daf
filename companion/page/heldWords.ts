import type { HeldKey } from './contract';
import { CLOSING_KEYS, type FittingCues, type Fitting } from './fittingCues';

/** Where keys that were held are typed. */
interface Typing {
  /** The line up to the caret; null where that is not known: then no cue is looked for. */
  line: string | null;
  isOneLine: boolean;
  cues: Pick<FittingCues, 'endOf' | 'closedBy'> | null;
  /** Whether a cue was given back, and does not fire again. */
  isRefused: (fitting: Fitting) => boolean;
}

/** What keys type, up to the first cue among them. */
interface Typed {
  words: string;
  /** The cue that the words end with; null for none. */
  fitting: Fitting | null;
  /** Keys behind that cue. */
  left: HeldKey[];
}

/** What a key that is held types; '' for a key that types nothing. Enter in a line sends nothing by itself: it was meant for what was not there yet. */
const typedBy = ({ key, altKey }: HeldKey, isOneLine: boolean): string =>
  key === 'Enter' && !isOneLine ? '\n' : key.length === 1 && !altKey ? key : '';

/** Types keys that were held as if they were pressed one after another: the first cue among them ends it. */
export function typedUpToCue(keys: readonly HeldKey[], { line, isOneLine, cues, isRefused }: Typing): Typed {
  let words = '';
  const lineNow = () => (words.includes('\n') ? words.slice(words.lastIndexOf('\n') + 1) : line + words);
  for (const [at, held] of keys.entries()) {
    const left = keys.slice(at + 1);
    const closer = CLOSING_KEYS[held.key];
    const closed = closer && line !== null ? cues?.closedBy(lineNow(), closer) : null;
    if (closed && !isRefused(closed)) return { words, fitting: closed, left };
    if (held.key === 'Backspace') {
      words = words.slice(0, -1);
      continue;
    }
    const letter = typedBy(held, isOneLine);
    if (letter === '') continue;
    words += letter;
    const fitting = line === null ? null : cues?.endOf(lineNow());
    if (fitting && !isRefused(fitting)) return { words, fitting, left };
  }
  return { words, fitting: null, left: [] };
}
