/** Others have their turn after this long. */
const TURN_MS = 12;

/** Lets whatever else waits have its turn. */
const othersTurn = () => new Promise<void>((resolve) => setImmediate(resolve));

/** Does long work in its steps; others have their turn between them. */
export async function inTurns<Result>(work: Generator<void, Result>): Promise<Result> {
  let turn = performance.now();
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
    if (performance.now() - turn <= TURN_MS) continue;
    await othersTurn();
    turn = performance.now();
  }
}

/**
 * Does long work that says how far it is (0 to 1), with others having their turn. `tell` hears how far it is after each step;
 * the work ends where it answers false, and null comes back then.
 */
export async function inTellingTurns<Result>(
  work: AsyncGenerator<number, Result>,
  tell: (progress: number) => boolean,
): Promise<{ result: Result } | null> {
  let turn = performance.now();
  for (;;) {
    const { done, value } = await work.next();
    if (done) return { result: value };
    if (!tell(value)) return null;
    if (performance.now() - turn <= TURN_MS) continue;
    await othersTurn();
    turn = performance.now();
  }
}
