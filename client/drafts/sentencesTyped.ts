/** A sentence as it is remembered: a number made from its words, from which they cannot be read, and in how many drafts it was typed. */
type Remembered = [sign: number, drafts: number];

const PREFIX = 'elderleaf.sentences.';
/** So many are remembered, those typed last. */
const MOST = 1500;
/** Shorter sentences are said again by everybody. */
const [FEWEST_WORDS, FEWEST_LETTERS] = [5, 25];

/** A number of 53 bits for some words (FNV-1a over UTF-16 units, twice): case, spaces and marks make no difference. */
function signOf(sentence: string): number {
  const plain =
    sentence
      .toLowerCase()
      .match(/[\p{L}\p{N}]+/gu)
      ?.join(' ') ?? '';
  let [low, high] = [0x811c9dc5, 0x9747b28c];
  for (let at = 0; at < plain.length; at += 1) {
    low = Math.imul(low ^ plain.charCodeAt(at), 0x01000193);
    high = Math.imul(high ^ plain.charCodeAt(at), 0x01000197);
  }
  return (high >>> 11) * 2 ** 32 + (low >>> 0);
}

const isLongEnough = (sentence: string): boolean =>
  sentence.length >= FEWEST_LETTERS && (sentence.match(/[\p{L}\p{N}]+/gu)?.length ?? 0) >= FEWEST_WORDS;

/**
 * In how many drafts a member typed each sentence, on this computer. No words are kept, and nothing leaves the computer; a browser
 * without room remembers for as long as the page is open.
 */
export class SentencesTyped {
  private readonly counts: Map<number, number>;
  private readonly inThisDraft = new Set<number>();

  constructor(private readonly member: string) {
    this.counts = new Map(this.read());
  }

  /** Hears a sentence that was typed to its end; in how many drafts it was by now, 0 for one that is too short or was heard here before. */
  heard(sentence: string): number {
    if (!isLongEnough(sentence)) return 0;
    const sign = signOf(sentence);
    if (this.inThisDraft.has(sign)) return 0;
    this.inThisDraft.add(sign);
    const count = (this.counts.get(sign) ?? 0) + 1;
    this.counts.delete(sign);
    this.counts.set(sign, count);
    this.keep();
    return count;
  }

  private keep(): void {
    try {
      localStorage.setItem(PREFIX + this.member, JSON.stringify([...this.counts].slice(-MOST)));
    } catch {
      // No room: remembered until the page is left.
    }
  }

  private read(): Remembered[] {
    try {
      const kept = JSON.parse(localStorage.getItem(PREFIX + this.member) ?? '[]') as unknown;
      return Array.isArray(kept) ? (kept as Remembered[]) : [];
    } catch {
      return [];
    }
  }
}
