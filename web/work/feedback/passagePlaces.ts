import type { EditorView } from '@tiptap/pm/view';
import type { TextRange } from '#core/passage';
import { positionsOf, type ReadingDocument } from './readingDocument';

/** Where a passage stands: its first line, and where it ends, in px from the upper left corner of what is read. */
export interface PassagePlace {
  top: number;
  /** The foot of its first line. */
  line: number;
  /** Where its words end on that line; null where they go on beneath it. */
  end: number | null;
}

/** Lines of words are lower than this; a page that stands as itself is joined at its head. */
const TALLEST_LINE_PX = 60;

/** Where passages stand in what is read: measured once, and anew when it is laid out anew. Typing in a comment moves none of them. */
export class PassagePlaces {
  private laidOut = '';
  private readonly found = new Map<string, PassagePlace>();

  /** `box`: where what is read is in the window. */
  of(view: EditorView, reading: ReadingDocument, on: TextRange, box: DOMRect): PassagePlace {
    const laidOut = `${box.width} ${box.height}`;
    if (laidOut !== this.laidOut) this.found.clear();
    this.laidOut = laidOut;
    const { from, to } = positionsOf(reading, on);
    const key = `${from} ${to}`;
    const known = this.found.get(key);
    if (known) return known;
    const [first, last] = [view.coordsAtPos(from, 1), view.coordsAtPos(to, -1)];
    const place = {
      top: first.top - box.top,
      line: Math.min(first.bottom, first.top + TALLEST_LINE_PX) - box.top,
      end: Math.abs(last.bottom - first.bottom) < 4 ? last.right - box.left : null,
    };
    this.found.set(key, place);
    return place;
  }
}
