import type { Mark } from './passage';

/** Marks that are for whoever writes, not for whoever reads. */
const WRITERS: ReadonlySet<Mark['type']> = new Set([
  ...(['placed', 'when', 'confirm', 'confirmed', 'heard', 'disfluency'] as const),
]);

/** The marks a reader sees: none that say where words came from, when they stand or that they want confirming. */
export function readerMarks(marks: readonly Mark[] | undefined): Mark[] {
  return (marks ?? []).filter(({ type }) => !WRITERS.has(type));
}
