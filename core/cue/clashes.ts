import type { CueRules, ResolvedCue } from './cue';
import type { CueMaking } from './proposeCue';
import { SHORT_WORDS } from './shortWords';

/** A cue of the bank, with what is needed to say where it stands. Of two typed alike, the one given first wins. */
export interface BankCue extends ResolvedCue {
  title: string;
  leadIn: string;
  collection: { id: string; name: string; kindsOfWork: readonly string[]; own: boolean; cuesBy: CueMaking };
  /** Being written now, and not kept yet: of two in one collection it is the one to change. */
  isWritten?: boolean;
}

/** The words that people write, as far as the glossaries know them. All in small letters. */
export interface Lexicon {
  isWord: (word: string) => boolean;
  /** A longer word that begins so; null for none known. */
  longer: (beginning: string) => string | null;
  /** A longer word that ends so; null for none known. */
  endingIn: (end: string) => string | null;
}

/** What a cue comes into conflict with. */
export type ClashCode =
  | 'taken'
  | 'two-collections'
  | 'begins'
  | 'word'
  | 'begins-word'
  | 'ends-word'
  | 'number'
  | 'mark'
  | 'usual-lead-in';

/** Something that mends a clash: another cue, without its lead-in, or another rule. */
export interface Mend {
  cue?: string;
  rules?: Partial<CueRules>;
  leadIn?: string;
}

/** Two cues that are in conflict, or one that would fire by accident. */
export interface Clash {
  code: ClashCode;
  /** The cue that is at fault, and that the mend is for. */
  cue: BankCue;
  /** The cue it is in conflict with. */
  other?: BankCue;
  /** The word it is in conflict with. */
  word?: string;
  mend: Mend;
}

/** Signs that stand right before a word in ordinary text: a lead-in of these would fire by accident. */
const USUAL = new Set(['', "'", '’', '"', '“', '‘', '(', '[', '-', '–', '—', '@', '#', '£', '$', '€']);
const LETTER = /[\p{L}\p{N}]/u;

const isUsual = (leadIn: string) => USUAL.has(leadIn) || LETTER.test(leadIn.charAt(0));

/** Whether two collections can be in reach of the same work. */
function meet(a: BankCue, b: BankCue): boolean {
  const [one, other] = [a.collection.kindsOfWork, b.collection.kindsOfWork];
  return one.length === 0 || other.length === 0 || one.some((kind) => other.includes(kind));
}

/** A cue that fires by being typed letter by letter; key cues and patterns clash in other ways. */
const isTyped = (cue: BankCue) => (cue.as ?? 'typed') === 'typed';

/** What a cue comes into conflict with in ordinary text. */
function withWords(cue: BankCue, lexicon: Lexicon, mend: () => Mend): Clash[] {
  const typed = cue.typed.toLowerCase();
  const found: Clash[] = [];
  if (isUsual(cue.leadIn) && cue.leadIn !== '')
    found.push({ code: 'usual-lead-in', cue, mend: { leadIn: ';' } });
  // Figures and marks stand in any text, whatever glossaries hold.
  if (/^\p{N}+$/u.test(typed)) return [...found, { code: 'number', cue, mend: mend() }];
  if (/^[.,;:!?'’"“”()[\]/–—-]+$/u.test(typed)) return [...found, { code: 'mark', cue, mend: mend() }];
  if (!/^\p{L}+$/u.test(typed)) return found;
  const isExact = cue.rules.letters === 'exact' && cue.typed !== typed;
  if (isExact) return found;
  if (SHORT_WORDS.has(typed) || lexicon.isWord(typed))
    found.push({ code: 'word', cue, word: typed, mend: mend() });
  else if (cue.rules.fires === 'last') {
    const word = lexicon.longer(typed);
    if (word) found.push({ code: 'begins-word', cue, word, mend: { rules: { fires: 'closing' } } });
  }
  if (cue.rules.before === 'anything') {
    const word = lexicon.endingIn(typed);
    if (word) found.push({ code: 'ends-word', cue, word, mend: { rules: { before: 'boundary' } } });
  }
  return found;
}

/** Cues in the order of their letters, with their place among those given; for finding what one begins. */
function sorted(cues: readonly BankCue[]) {
  return cues
    .map((cue, place) => ({ cue, place, key: cue.typed.toLowerCase() }))
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : a.place - b.place));
}

/**
 * Everything in which the cues of a bank are in conflict with each other, with ordinary words, or with text itself,
 * each with a proposed mend. `propose` gives a free cue for an entry. Only a typed cue that fires at its last character
 * can keep a longer one from ever being typed; one on a closing key cannot.
 */
export function clashesOf(
  cues: readonly BankCue[],
  lexicon: Lexicon,
  propose: (cue: BankCue) => string,
): Clash[] {
  const clashes: Clash[] = [];
  const typed = cues.filter(isTyped);
  const mend = (cue: BankCue) => (): Mend => ({ cue: propose(cue) });
  const order = sorted(typed);
  order.forEach((one, at) => {
    for (let next = at + 1; next < order.length; next += 1) {
      const other = order[next]!;
      if (!other.key.startsWith(one.key)) break;
      if (other.cue.entry === one.cue.entry && other.key === one.key) continue;
      if (!meet(one.cue, other.cue)) continue;
      if (other.key === one.key) {
        const isOne = one.cue.collection.id === other.cue.collection.id;
        // The one given first wins; the other is what must change.
        const code = isOne ? 'taken' : 'two-collections';
        const [wins, loses] = isOne && one.cue.isWritten ? [other.cue, one.cue] : [one.cue, other.cue];
        clashes.push({ code, cue: loses, other: wins, mend: mend(loses)() });
      } else if (one.cue.rules.fires === 'last') {
        clashes.push({
          code: 'begins',
          cue: one.cue,
          other: other.cue,
          mend: { rules: { fires: 'closing' } },
        });
      }
    }
    clashes.push(...withWords(one.cue, lexicon, mend(one.cue)));
  });
  return clashes;
}

/** A clash in one sentence. */
export function clashInWords({ code, cue, other, word }: Clash): string {
  switch (code) {
    case 'taken':
      return `${cue.typed} already brings “${other!.title}” in ${cue.collection.name}; “${cue.title}” never comes.`;
    case 'two-collections':
      return `${cue.typed} is in two collections that are in reach together: “${other!.title}” in ${other!.collection.name} wins over “${cue.title}” in ${cue.collection.name}.`;
    case 'begins':
      return `${cue.typed} fires at once, so that ${other!.typed} (“${other!.title}”) can never be typed.`;
    case 'word':
      return `${cue.typed} is an ordinary word: it would bring “${cue.title}” wherever it is written.`;
    case 'number':
      return `${cue.typed} is a number: it would bring “${cue.title}” wherever that number is written.`;
    case 'mark':
      return `${cue.typed} is an ordinary mark: it would bring “${cue.title}” in the middle of any sentence.`;
    case 'begins-word':
      return `${cue.typed} fires at once where a word begins so, as “${word}”.`;
    case 'ends-word':
      return `${cue.typed} fires at the end of a word, as “${word}”, since anything may come before it.`;
    case 'usual-lead-in':
      return `The lead-in ${cue.leadIn} comes before words in ordinary text, so that ${cue.typed} may fire by accident.`;
  }
}

/** What is proposed against a clash, in words. */
export function mendInWords({ mend, cue }: Clash): string {
  if (mend.cue) return `Type ${cue.leadIn}${mend.cue} instead`;
  if (mend.leadIn) return `Use ${mend.leadIn} as the lead-in of ${cue.collection.name}`;
  if (mend.rules?.fires) return 'Wait for a space or Enter';
  return mend.rules?.before ? 'Only at the start of a word' : 'Take another';
}
