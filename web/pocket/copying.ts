import { textsOf } from '#core/draft';
import { isEmptyPassage, type Passage } from '#core/passage';

/** One part of a text as it is copied by itself. */
export interface CopiedPart {
  /** What it is called, within a sentence. */
  name: string;
  passage: Passage;
}

/** The parts of a finished text, one after the other as boxes of other programs want them: a subject, then the message. Those without words are left out. */
export function partsToCopy(finished: Passage): CopiedPart[] {
  return textsOf(finished)
    .filter(({ passage }) => !isEmptyPassage(passage))
    .map(({ name, passage }) => ({ name: name ?? 'the text', passage }));
}

/** What was copied, and what the next press copies. */
export function copiedInWords(parts: readonly CopiedPart[], at: number): string {
  const next = parts[at + 1];
  return next ? `Copied ${parts[at]!.name}. The same key copies ${next.name}.` : `Copied ${parts[at]!.name}.`;
}
