/** Wrong tries that cost nothing; each one more doubles the wait, up to the longest. */
const FREE = 5;
const FIRST_MS = 250;
const LONGEST_MS = 8000;
/** Wrong tries are forgotten after this long. */
const FORGOTTEN_MS = 15 * 60_000;
const MOST_KNOWN = 10_000;

/**
 * Wrong passwords by account. Somebody who guesses from many addresses is slowed, and the account's own member too, but never
 * locked out: with the right password they come in after some seconds.
 */
export class AccountTries {
  private readonly wrong = new Map<string, { times: number; last: number }>();

  /** @param now milliseconds of the clock. */
  constructor(private readonly now: () => number) {}

  private timesOf(account: string): number {
    const known = this.wrong.get(account);
    return known && this.now() - known.last < FORGOTTEN_MS ? known.times : 0;
  }

  /** How long the next try for an account waits, in milliseconds. */
  slowedBy(account: string): number {
    const over = this.timesOf(account) - FREE;
    return over < 0 ? 0 : Math.min(LONGEST_MS, FIRST_MS * 2 ** over);
  }

  /** A wrong password was given for an account. */
  failed(account: string): void {
    const times = this.timesOf(account) + 1;
    this.wrong.delete(account);
    this.wrong.set(account, { times, last: this.now() });
    // The one not tried for longest is forgotten: a guesser of names must not fill the memory.
    if (this.wrong.size > MOST_KNOWN) this.wrong.delete(this.wrong.keys().next().value!);
  }

  /** The right password was given: the count begins anew. */
  succeeded(account: string): void {
    this.wrong.delete(account);
  }
}
