/** A slip that was asked for by a key or in the finder: a number to refer to, what is in reach, earlier texts, a term to keep. */
export type LeafSlip =
  { kind: 'reference' } | { kind: 'reach' } | { kind: 'earlier' } | { kind: 'term'; text: string };
