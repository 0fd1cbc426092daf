import type { Inline, TextInline } from './inlines';
import type { Passage } from './passage';
import { linesOf } from './lines';

/** A passage with one empty paragraph. */
export function emptyPassage(): Passage {
  return { type: 'doc', content: [{ type: 'paragraph' }] };
}

/** A run of plain text, or an empty list for the empty string, which the model does not allow as a node. */
export function textRun(text: string, marks?: TextInline['marks']): Inline[] {
  return text === '' ? [] : [{ type: 'text', text, ...(marks?.length ? { marks } : {}) }];
}

/** Plain text as a passage: a blank line parts paragraphs, a single line end is a line break. */
export function plainPassage(text: string): Passage {
  const paragraphs = text.replace(/\r\n?/g, '\n').split(/\n{2,}/);
  return {
    type: 'doc',
    content: paragraphs.map((paragraph) => {
      const content = paragraph
        .split('\n')
        .flatMap((line, index): Inline[] => [
          ...(index > 0 ? [{ type: 'hardBreak' as const }] : []),
          ...textRun(line),
        ]);
      return content.length ? { type: 'paragraph' as const, content } : { type: 'paragraph' as const };
    }),
  };
}

/** True when a passage holds no blank and no character but white space. */
export function isEmptyPassage(passage: Passage): boolean {
  return linesOf(passage).every((line) =>
    line.every((inline) => inline.type !== 'blank' && (inline.type !== 'text' || inline.text.trim() === '')),
  );
}
