/** So many words are asked about at once: what is written meanwhile waits for no longer than these take. */
const AT_ONCE = 500;

/**
 * Knows of words whether they are right, and asks for those that it does not know yet. Words that are right here alone (of the case,
 * of the member) are told by `setRight`.
 */
export class SpellChecker {
  /** Null while it is asked about. */
  private readonly verdicts = new Map<string, boolean | null>();
  private right: ReadonlySet<string> = new Set();
  private readonly listeners = new Set<() => void>();
  private asking: Promise<void> = Promise.resolve();
  private problem: Error | null = null;
  private told = 0;

  /** @param ask tells of each word whether it is right; a rejection is told by `failed` and asked again by `again` */
  constructor(private readonly ask: (words: readonly string[]) => Promise<boolean[]>) {}

  /** Has the dictionary read before anything is asked, so that it is there should the connection go. */
  begin(): void {
    this.askFor([]);
  }

  /** Words that are right besides, whatever their capitals. */
  setRight(words: Iterable<string>): void {
    this.right = new Set([...words].map((word) => word.toLowerCase()));
    this.tell();
  }

  /** Whether a word is known to be wrong; one that is not known yet is not. */
  isWrong(word: string): boolean {
    return this.verdicts.get(word) === false && !this.right.has(word.toLowerCase());
  }

  /** Asks about those of the words that are not known, unless asking has failed; settles once all that were asked about are. */
  look(words: Iterable<string>): Promise<void> {
    if (this.problem) return this.asking;
    const fresh = [...new Set(words)].filter((word) => !this.verdicts.has(word));
    for (const word of fresh) this.verdicts.set(word, null);
    this.askInParts(fresh);
    return this.asking;
  }

  /** Why nothing is known of words; null where all is well. */
  get failed(): Error | null {
    return this.problem;
  }

  /**
   * Asks once more about all that was asked about: the glossaries have changed, or asking has failed. Until that is known, what was
   * known holds.
   */
  again(): void {
    this.problem = null;
    this.askInParts([...this.verdicts.keys()]);
    this.tell();
  }

  /** Calls back whenever more is known; what comes back ends that. */
  readonly onKnown = (tell: () => void): (() => void) => {
    this.listeners.add(tell);
    return () => void this.listeners.delete(tell);
  };

  /** How often that was told. */
  get timesTold(): number {
    return this.told;
  }

  private tell(): void {
    this.told += 1;
    for (const listener of this.listeners) listener();
  }

  private askInParts(words: readonly string[]): void {
    for (let at = 0; at < words.length; at += AT_ONCE) this.askFor(words.slice(at, at + AT_ONCE));
  }

  private askFor(words: readonly string[]): void {
    this.asking = this.asking.then(async () => {
      try {
        const right = await this.ask(words);
        words.forEach((word, at) => this.verdicts.set(word, right[at]!));
      } catch (error) {
        this.problem = error as Error;
        for (const word of words) this.verdicts.delete(word);
      }
      this.tell();
    });
  }
}
