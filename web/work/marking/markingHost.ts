import type { Editor } from '@tiptap/react';
import type { Dispatch, RefObject, SetStateAction } from 'react';
import type { MarkingOn, PagePoint } from '#core/passage';
import type { PageSize } from '../../documents';

/** What the pointer or the next key does on the page: a marking is put there, or the one at hand is led there, or lined up with another. */
export type Pointing = 'marking' | 'arrow' | 'bracket' | 'line-up';
/** Whether what is pointed at is where the marking at hand leads. */
export const isLed = (pointing: Pointing): boolean => pointing === 'arrow' || pointing === 'bracket';
/** How the markings are seen: at their places, or one after another as a text. */
export type View = 'page' | 'list';
/** How a marking looks. */
export type MarkingLook = Pick<MarkingOn, 'size' | 'colour' | 'framed'>;

/** What the acts with markings need of the page: how it is now, and what changes it. */
export interface MarkingHost {
  editor: Editor;
  open: boolean;
  say: (words: string | null) => void;
  pane: RefObject<HTMLDivElement | null>;
  /** How large the page is that is shown. */
  size: RefObject<PageSize>;
  /** What the next marking looks like: as the last one that was changed. */
  look: RefObject<MarkingLook>;
  page: number;
  cross: PagePoint;
  current: string | null;
  pointing: Pointing;
  /** Whether a change is made to all that say the same as the one at hand. */
  isForAll: boolean;
  setPage: (page: number) => void;
  setCross: Dispatch<SetStateAction<PagePoint>>;
  setReading: (isReading: boolean) => void;
  pick: (id: string | null) => void;
  point: (pointing: Pointing) => void;
  setView: (view: View) => void;
}
