/** A slip that was asked for by a key or in the finder: a number to refer to, what is in reach, earlier texts, the texts of the leaf, a symbol, words to find, where a link leads, a term to keep, words nobody knows. */
export type LeafSlip =
  | { kind: 'reference' }
  | { kind: 'reach' }
  | { kind: 'earlier' }
  | { kind: 'texts' }
  | { kind: 'symbol' }
  | { kind: 'find' }
  | { kind: 'link' }
  | { kind: 'spelling' }
  | { kind: 'term'; text: string };
