import { diffArrays } from 'diff';
import { useState } from 'react';
import { digestOf } from '#core/difference';

/** Rows with a key for each. */
interface Keyed {
  rows: readonly unknown[];
  keys: readonly number[];
  /** The next key that nothing has had. */
  next: number;
}

/** The keys of rows that were others before: what is the same keeps its key, and so does what was changed where it is. */
function keyedAnew(before: Keyed, rows: readonly unknown[]): Keyed {
  const keys: number[] = [];
  let { next } = before;
  let at = 0;
  // Of rows that went, their keys: what stands in their place now takes them.
  let free: number[] = [];
  for (const { added, removed, value } of diffArrays(before.rows.map(digestOf), rows.map(digestOf))) {
    const here = before.keys.slice(at, at + value.length);
    if (removed) free = [...here];
    else if (added) for (const _row of value) keys.push(free.shift() ?? next++);
    else {
      keys.push(...here);
      free = [];
    }
    if (!added) at += value.length;
  }
  return { rows, keys, next };
}

/**
 * A key for each row of a list that is changed here and followed from elsewhere: whoever types in a row stays in it, whatever is put in or taken
 * out above it meanwhile.
 */
export function useRowKeys(rows: readonly unknown[]): readonly number[] {
  const [keyed, setKeyed] = useState<Keyed>(() => ({
    rows,
    keys: rows.map((_, at) => at),
    next: rows.length,
  }));
  if (keyed.rows === rows) return keyed.keys;
  const now = keyedAnew(keyed, rows);
  setKeyed(now);
  return now.keys;
}
