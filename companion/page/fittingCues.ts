import { closerOf, CueIndex, typedCase, type CueMatch, type ResolvedCue } from '#core/cue';
import { isInWord } from '#core/passage';
import type { PackedCues } from '../messages';
import type { Bringing } from './contract';

/** What of a line fits a cue, and brings an entry. */
export type Fitting = Omit<Bringing, 'box' | 'way'>;

/** Keys that close a cue and type nothing in a line, by what they are called on a keyboard. */
export const CLOSING_KEYS: Readonly<Record<string, 'enter' | 'tab' | undefined>> = {
  Enter: 'enter',
  Tab: 'tab',
};

/** The cues of a page, ready to be found. */
export class FittingCues {
  readonly print: string;
  readonly hasPatterns: boolean;
  private readonly index: CueIndex;
  private readonly byKeys: ReadonlyMap<string, string>;

  constructor({ print, rules, typed, keys, hasPatterns }: PackedCues) {
    this.print = print;
    this.hasPatterns = hasPatterns;
    this.index = new CueIndex(
      typed.map(([letters, entry, number]): ResolvedCue => ({
        typed: letters,
        entry,
        rules: rules[number]!,
      })),
    );
    // Of two alike the first wins.
    this.byKeys = new Map([...keys].reverse());
  }

  /** The entry that a combination of keys brings; null for none. */
  ofKeys(keys: string): string | null {
    return this.byKeys.get(keys) ?? null;
  }

  /** The cue that a line ends with: fired by the letter typed last, or closed by it; null for none. */
  endOf(line: string): Fitting | null {
    const atOnce = this.index.find(line);
    if (atOnce) return fittingOf(line, atOnce, '', '');
    const last = line.slice(-1);
    const closer = closerOf(last);
    const whole = line.slice(0, -1);
    const match = closer && this.index.find(whole, closer);
    return match && fittingOf(whole, match, last, match.cue.rules.keepCloser ? last : '');
  }

  /** The cue that a line ends with and a key closes that types nothing in a line: Enter or Tab; null for none. */
  closedBy(line: string, closer: 'enter' | 'tab'): Fitting | null {
    const match = this.index.find(line, closer);
    return match && { ...fittingOf(line, match, '', ''), keys: match.typed.length + 1 };
  }
}

function fittingOf(line: string, match: CueMatch, closer: string, kept: string): Fitting {
  const before = line.slice(0, match.from);
  const { entry, rules } = match.cue;
  return {
    entry,
    before,
    kept,
    typed: match.typed + closer,
    cue: match.typed,
    typedCase: typedCase(match),
    inWord: rules.before === 'anything' && isInWord(before),
    keys: match.typed.length + closer.length,
    groups: [],
  };
}
