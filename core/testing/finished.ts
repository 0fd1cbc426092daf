/** What a generator that tells how far it is comes to in the end. */
export function finished<Result>(running: Generator<unknown, Result>): Result {
  for (;;) {
    const { done, value } = running.next();
    if (done) return value;
  }
}
