import type { Entry } from '#contracts';

/** In which order the entries of a collection can stand. */
export const ORDERS = {
  title: {
    label: 'by title',
    compare: (a: Entry, b: Entry) => a.content.title.localeCompare(b.content.title),
  },
  cue: {
    label: 'by cue',
    compare: (a: Entry, b: Entry) =>
      (a.content.cues[0]?.text ?? '\uffff').localeCompare(b.content.cues[0]?.text ?? '\uffff'),
  },
  saved: { label: 'newest first', compare: (a: Entry, b: Entry) => b.savedAt.localeCompare(a.savedAt) },
} as const;
export type Order = keyof typeof ORDERS;
