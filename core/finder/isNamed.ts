import { plainWord } from './words';

/**
 * Whether a name, or what else is told of someone, has each piece of what was typed somewhere in it, in any order: whatever its
 * capitals and accents. Nothing typed names everything.
 */
export function isNamed(text: string, typed: string): boolean {
  const plain = plainWord(text);
  return plainWord(typed)
    .split(/\s+/)
    .every((piece) => plain.includes(piece));
}
