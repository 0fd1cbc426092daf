import { useEffect, useState } from 'react';
import type { PageNote, PageSource } from '../../documents';

/** A remark that others have left in the file, and the page that it is on. */
export interface NoteOnPage extends PageNote {
  page: number;
}

/** What is known so far is shown each time that so many pages more have been read. */
const SHOWN_EACH = 50;

/** The remarks in a file, in the order of its pages; those of many pages come bit by bit. One that cannot be read has none. */
export function useNotes(source: PageSource | undefined): readonly NoteOnPage[] {
  const [known, setKnown] = useState<{ source: PageSource; notes: readonly NoteOnPage[] } | null>(null);
  useEffect(() => {
    if (!source) return;
    let isOver = false;
    const read = async () => {
      const notes: NoteOnPage[] = [];
      for (let page = 0; page < source.count && !isOver; page += 1) {
        const found = await source.notes(page).catch(() => []);
        notes.push(...found.map((note) => ({ ...note, page })));
        const isTime = (page + 1) % SHOWN_EACH === 0 || page + 1 === source.count;
        if (isTime && !isOver) setKnown({ source, notes: [...notes] });
      }
    };
    void read();
    return () => {
      isOver = true;
    };
  }, [source]);
  return source && known?.source === source ? known.notes : NONE;
}

const NONE: readonly NoteOnPage[] = [];

/** Whether two name one object of a file. */
export const isSameObject = (a: PageNote['object'], b: PageNote['object'] | undefined): boolean =>
  !!a && !!b && a[0] === b[0] && a[1] === b[1];
