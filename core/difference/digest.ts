import { writtenAlike } from './isSame';

const [PRIME, OFFSETS] = [0x01000193, [0x811c9dc5, 0x9747b28c] as const];

/** FNV-1a of 32 bits over the UTF-16 code units of a text, from a beginning (Fowler, Noll and Vo; public domain). */
function fnv1a(text: string, offset: number): number {
  let hash = offset;
  for (let at = 0; at < text.length; at += 1) hash = Math.imul(hash ^ text.charCodeAt(at), PRIME);
  return hash >>> 0;
}

/**
 * A short name of a value, 16 hexadecimal digits: one and the same for all that `isSame` says are the same. Two others have the
 * same by accident hardly ever; it keeps nobody from making two such on purpose.
 */
export function digestOf(value: unknown): string {
  const text = writtenAlike(value);
  return OFFSETS.map((offset) => fnv1a(text, offset).toString(16).padStart(8, '0')).join('');
}
