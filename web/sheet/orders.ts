import type { Entry } from '#contracts';
import { inOrder } from '#core/language';

/** In which order the entries of a collection can stand. */
export const ORDERS = {
  title: {
    label: 'by title',
    compare: (a: Entry, b: Entry) => inOrder(a.content.title, b.content.title),
  },
  cue: {
    label: 'by cue',
    compare: (a: Entry, b: Entry) =>
      inOrder(a.content.cues[0]?.text ?? '\uffff', b.content.cues[0]?.text ?? '\uffff'),
  },
  saved: { label: 'newest first', compare: (a: Entry, b: Entry) => b.savedAt.localeCompare(a.savedAt) },
} as const;
export type Order = keyof typeof ORDERS;
