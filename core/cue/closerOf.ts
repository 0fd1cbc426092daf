import type { Closer } from './cue';

/** Which closing key a typed character is: a space, or a mark that ends or parts what is said; null for none. */
export const closerOf = (text: string): Closer | null =>
  text === ' ' ? 'space' : /^[.,;:!?)\]]$/.test(text) ? 'punctuation' : null;
