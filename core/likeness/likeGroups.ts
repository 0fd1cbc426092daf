import { Groups } from './groups';
import { LikePairs } from './likePairs';
import { wordSets } from './wordSets';

/** A text to compare: what it belongs to, and its words (see `comparedWords`). */
export interface Compared<Owner> {
  owner: Owner;
  words: readonly string[];
}

const AT_ONCE = 200;

/**
 * Owners whose texts say nearly the same, in groups: each is like some other of its group, by at least `threshold` (Jaccard).
 * An owner's own texts are not compared with each other. A generator, so that who runs it may tell how far it is (0 to 1),
 * let others have their turn, and stop. The largest groups first.
 */
export function* likeGroups<Owner>(
  texts: readonly Compared<Owner>[],
  threshold: number,
): Generator<number, Owner[][]> {
  const setting = wordSets(texts.map(({ words }) => words));
  let step = setting.next();
  for (; !step.done; step = setting.next()) yield 0;
  const sets = step.value;
  const groups = new Groups<Owner>();
  // Texts with the very same words are one text to the search: a hundred of them would make five thousand pairs.
  const first = new Map<string, Owner>();
  const distinct: { owner: Owner; set: Int32Array }[] = [];
  for (const [at, set] of sets.entries()) {
    if (at % AT_ONCE === 0) yield 0;
    if (set.length === 0) continue;
    const { owner } = texts[at]!;
    const key = set.join();
    const before = first.get(key);
    if (before === undefined) {
      first.set(key, owner);
      distinct.push({ owner, set });
    } else groups.join(before, owner);
  }
  const pairs = new LikePairs(
    distinct.map(({ set }) => set),
    threshold,
  );
  const ownerAt = (at: number) => distinct[at]!.owner;
  const found = (a: number, b: number) => groups.join(ownerAt(a), ownerAt(b));
  const known = (a: number, b: number) => groups.areOne(ownerAt(a), ownerAt(b));
  while (pairs.step(AT_ONCE, found, known)) yield pairs.progress;
  return groups.all();
}
