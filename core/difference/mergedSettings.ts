import { digestOf } from './digest';
import { isSame } from './isSame';
import { merge3 } from './merge3';

/** Whether a list has two things of one id: then it is not what either of the two meant. */
function hasTwins(list: readonly unknown[]): boolean {
  const ids = list.flatMap((item) =>
    typeof item === 'object' && item !== null && 'id' in item ? [item.id] : [],
  );
  return new Set(ids).size < ids.length;
}

/** Two changes of a list made one, item by item; null where both changed the same items, and differently. */
function mergedList(
  mine: readonly unknown[],
  base: readonly unknown[],
  theirs: readonly unknown[],
): unknown[] | null {
  let clash = false;
  const merged = merge3([base, mine, theirs], digestOf, (was, my, their) => {
    // Both put something in at one place: both of it holds.
    if (was.length === 0)
      return [...their, ...my.filter((item) => !their.some((other) => isSame(item, other)))];
    clash = true;
    return my;
  });
  return clash || hasTwins(merged) ? null : merged;
}

/**
 * Two changes of the same settings made one: `mine` and `theirs` were both made from `base`. What only one of them changed is as that one
 * has it: each setting on its own, and of a list each item. Null where both changed one of them, and differently.
 */
export function mergedSettings<T extends object>(mine: T, base: T, theirs: T): T | null {
  const merged = { ...theirs };
  for (const key of Object.keys(mine) as (keyof T)[]) {
    const [my, was, their]: unknown[] = [mine[key], base[key], theirs[key]];
    if (isSame(my, was) || isSame(my, their)) continue;
    if (isSame(their, was)) merged[key] = mine[key];
    else {
      const areLists = Array.isArray(my) && Array.isArray(was) && Array.isArray(their);
      const list = areLists ? mergedList(my, was, their) : null;
      if (list === null) return null;
      merged[key] = list as T[keyof T];
    }
  }
  return merged;
}
