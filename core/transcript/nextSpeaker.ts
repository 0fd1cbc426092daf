/**
 * Who speaks next, the likeliest first, from who followed whom so far: how often each came after the last two speakers, then
 * after the last one, then how lately they spoke; those who have not spoken yet follow in the order of the cast. Whoever spoke last comes last.
 *
 * @param spoken - The speakers of the turns before, by their ids, in order.
 * @param cast - The ids of all who may speak.
 */
export function nextSpeakers(spoken: readonly string[], cast: readonly string[]): string[] {
  const last = spoken.at(-1);
  const before = spoken.at(-2);
  const score = new Map(cast.map((id) => [id, 0]));
  const add = (id: string, by: number) => {
    if (score.has(id)) score.set(id, score.get(id)! + by);
  };
  for (let at = 1; at < spoken.length; at += 1) {
    if (spoken[at - 1] !== last) continue;
    // A pattern of three (the moderator between any two) says more than a pair.
    add(spoken[at]!, at > 1 && spoken[at - 2] === before ? 1_000_000 : 1_000);
  }
  spoken.slice(-50).forEach((id, at) => add(id, at / 100));
  const order = new Map(cast.map((id, at) => [id, at]));
  const rank = (id: string) => (id === last ? -1 : score.get(id)!);
  return [...cast].sort((a, b) => rank(b) - rank(a) || order.get(a)! - order.get(b)!);
}
