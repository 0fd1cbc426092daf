import { EditorContent, type Editor } from '@tiptap/react';
import {
  useCallback,
  useEffect,
  useLayoutEffect,
  useState,
  type KeyboardEvent,
  type PointerEvent,
} from 'react';
import { inWords } from '#client/api';
import { markingUnit } from '#core/passage';
import type { PageSize, PageSource } from '../../documents';
import type { OthersMarkings } from '#contracts';
import { arrowStep } from './arrowStep';
import { isLed } from './markingHost';
import { MoveHandle } from './MoveHandle';
import { OthersOnPage } from './OthersOnPage';
import { Overlay } from './Overlay';
import { PagePicture } from './PagePicture';
import { useInSight, usePlaces } from './usePlaces';
import { usePageGestures } from './usePageGestures';
import type { PageFind } from './usePageFind';
import type { NoteOnPage } from './useNotes';
import type { Markings } from './useMarkings';

interface Props {
  source: PageSource;
  editor: Editor;
  markings: Markings;
  find: PageFind;
  notes: readonly NoteOnPage[];
  others: readonly OthersMarkings[];
}

/** How wide an element is, as that changes. */
function useWidth(element: HTMLElement | null): number {
  const [width, setWidth] = useState(0);
  useLayoutEffect(() => {
    if (!element) return;
    const measure = () => setWidth(element.clientWidth);
    measure();
    const sized = new ResizeObserver(measure);
    sized.observe(element);
    return () => sized.disconnect();
  }, [element]);
  return width;
}

/** The size of a page, and what keeps it from being shown. */
function usePageSize(source: PageSource, page: number) {
  const [known, setKnown] = useState<{ page: number; size: PageSize } | null>(null);
  const [failed, fail] = useState<string | null>(null);
  useEffect(() => {
    let isOver = false;
    source.size(page).then(
      (size) => !isOver && setKnown({ page, size }),
      (error: unknown) => !isOver && fail(inWords(error)),
    );
    return () => {
      isOver = true;
    };
  }, [source, page]);
  // Until it is known the size of the page before stands for it: nothing falls together meanwhile.
  return { size: known?.size ?? null, isKnown: known?.page === page, failed, fail };
}

/** What a key of a name does on the page; null for any other. */
function namedKey(
  key: string,
  { acts, current, cross, page, pointing }: Markings,
  count: number,
): (() => void) | null {
  switch (key) {
    case 'Enter':
      return () => (current !== null && pointing === 'marking' ? acts.write(current) : acts.pointAt(cross));
    case 'Escape':
      return () => acts.letGo();
    case 'Delete':
    case 'Backspace':
      return () => acts.drop();
    case 'PageDown':
      return () => acts.turnTo(Math.min(count - 1, page + 1));
    case 'PageUp':
      return () => acts.turnTo(Math.max(0, page - 1));
    default:
      return null;
  }
}

/** What keys do on the page; false where that is nothing. */
function onPaneKey(event: KeyboardEvent, markings: Markings, count: number): boolean {
  const { acts, cross } = markings;
  if (event.ctrlKey || event.metaKey) return event.key === 'z' && acts.undo();
  if (event.altKey) return false;
  const arrow = arrowStep(event, markingUnit(markings.size.current));
  const named = namedKey(event.key, markings, count);
  if (arrow) acts.move(...arrow);
  else if (named) named();
  else if ([...event.key].length === 1 && event.key !== ' ') acts.begin(cross, event.key);
  else return false;
  return true;
}

/** Where the next marking goes, or where the one at hand is led. */
function Cross({
  markings: { isReading, current, pointing, cross },
  scale,
}: {
  markings: Markings;
  scale: number;
}) {
  if (!isReading || (current !== null && !isLed(pointing))) return null;
  return <span aria-hidden className="page-cross" style={{ left: cross.x * scale, top: cross.y * scale }} />;
}

/** What a press on a marking is while another is to be lined up with it: it says with which. */
const linesUp = ({ acts, pointing }: Markings, event: PointerEvent): void => {
  const own = pointing === 'line-up' && (event.target as Element).closest<HTMLElement>('[data-marking]');
  if (!own) return;
  event.preventDefault();
  event.stopPropagation();
  acts.pick(own.dataset.marking!);
};

/** A page with what is marked on it: the words stand at their places, and are written there. */
export function PagePane({ source, editor, markings, find, notes, others }: Props) {
  const { page, current, acts, paneRef, pointing, zoom } = markings;
  const [element, setElement] = useState<HTMLDivElement | null>(null);
  const width = useWidth(element);
  const { size, isKnown, failed, fail } = usePageSize(source, page);
  const scale = size && width > 0 ? (width / size.width) * zoom.zoom : 1;
  usePlaces(editor, markings, scale, size);
  const { settle } = zoom;
  useLayoutEffect(settle, [settle, scale]);
  useInSight(element, markings, scale, isKnown && width > 0);
  const gestures = usePageGestures(element, scale, zoom, (to) => acts.pointAt(to));
  const pane = useCallback(
    (own: HTMLDivElement | null) => {
      paneRef.current = own;
      setElement(own);
    },
    [paneRef],
  );
  if (failed) return <p className="px-9 py-6 text-rust">{failed}</p>;
  return (
    <div
      ref={pane}
      tabIndex={0}
      role="region"
      aria-label={`Page ${page + 1} of ${source.count}`}
      className="page-pane"
      onKeyDown={(event) => {
        if (event.target !== event.currentTarget || event.nativeEvent.isComposing) return;
        if (onPaneKey(event, markings, source.count)) event.preventDefault();
      }}
    >
      <div
        className={`page-sheet ${pointing === 'marking' ? '' : 'is-leading'}`}
        data-points={size?.width}
        style={{ width: (size?.width ?? 1) * scale, height: (size?.height ?? 1) * scale }}
        onPointerDownCapture={(event) => linesUp(markings, event)}
        onMouseDownCapture={(event) => pointing === 'line-up' && event.preventDefault()}
        {...gestures}
      >
        {size && <PagePicture {...{ source, page, scale, size, fail }} pane={element} />}
        {size && <Overlay {...{ markings, size, find, notes }} />}
        {size && <OthersOnPage {...{ others, page, scale, size }} />}
        <EditorContent editor={editor} className="page-markings" />
        <Cross {...{ markings, scale }} />
        {markings.open && current !== null && <MoveHandle {...{ markings, scale }} />}
      </div>
    </div>
  );
}
