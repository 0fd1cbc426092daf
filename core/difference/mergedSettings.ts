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

/** Whether values are objects of the same parts. */
const areOfOneShape = (...values: unknown[]): boolean => {
  const shapes = values.map((value) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.keys(value).sort().join(' ')
      : null,
  );
  return shapes[0] !== null && shapes.every((shape) => shape === shapes[0]);
};

/** Two changes of one setting that has several parts made one; null where both changed the same part, and for one that has no parts. */
function mergedValue(my: unknown, was: unknown, their: unknown): unknown {
  if (Array.isArray(my) && Array.isArray(was) && Array.isArray(their)) return mergedList(my, was, their);
  return areOfOneShape(my, was, their) ? mergedSettings(my as object, was as object, their as object) : null;
}

/**
 * Two changes of the same settings made one: `mine` and `theirs` were both made from `base`. What only one of them changed is as that one
 * has it: each setting on its own, of a list each item, and of one with parts each part. Null where both changed one of them, and differently.
 */
export function mergedSettings<T extends object>(mine: T, base: T, theirs: T): T | null {
  const merged = { ...theirs };
  for (const key of Object.keys(mine) as (keyof T)[]) {
    const [my, was, their]: unknown[] = [mine[key], base[key], theirs[key]];
    if (isSame(my, was) || isSame(my, their)) continue;
    if (isSame(their, was)) merged[key] = mine[key];
    else {
      const both = mergedValue(my, was, their);
      if (both === null) return null;
      merged[key] = both as T[keyof T];
    }
  }
  return merged;
}
