import { listLabels } from './numbering';
import { stylesIn, type ParagraphStyle } from './styles';

/** What the reading of several parts shares: styles, lists as they are counted on, notes by their ids in the order they are met. */
export interface WordsContext {
  styles: (id: string | undefined) => ParagraphStyle;
  label: (num: string, level: number) => string;
  /** What stands for a note: its number; each is given one where it is first met. */
  noteLabel: (of: 'footnote' | 'endnote', id: string) => string;
}

/** What the parts of one docx share while they are read, from its styles and its lists. */
export function wordsContext(styles: string | undefined, numbering: string | undefined): WordsContext {
  const notes = { footnote: new Map<string, string>(), endnote: new Map<string, string>() };
  return {
    styles: stylesIn(styles),
    label: listLabels(numbering),
    noteLabel: (of, id) => {
      const known = notes[of];
      if (!known.has(id)) known.set(id, of === 'footnote' ? String(known.size + 1) : `e${known.size + 1}`);
      return known.get(id)!;
    },
  };
}
