import { useEffect, useRef, useState } from 'react';
import { inWords } from '#client/api';
import type { PagePart, PageSize, PageSource } from '../../documents';

/** While one enlarges or moves the page it is drawn anew once that stands still for so long, in ms. */
const STILL_MS = 120;
/** So much more than is seen is drawn on each side, as a part of it: a small move needs nothing new. */
const AROUND = 0.25;

interface Props {
  source: PageSource;
  page: number;
  /** Px to a point. */
  scale: number;
  size: PageSize;
  /** What the page is seen in. */
  pane: HTMLElement | null;
  fail: (words: string) => void;
}

const sharpness = () => Math.min(devicePixelRatio, 2);

/** Puts on a canvas what was drawn apart: until that is whole, what was there stays. */
function show(canvas: HTMLCanvasElement, drawn: HTMLCanvasElement): void {
  [canvas.width, canvas.height] = [drawn.width, drawn.height];
  canvas.getContext('2d')?.drawImage(drawn, 0, 0);
}

/** What is seen of a page, and a little around it, in points. */
function seenOf(
  { scrollLeft, scrollTop, clientWidth, clientHeight }: HTMLElement,
  scale: number,
  size: PageSize,
): PagePart {
  const [left, top] = [scrollLeft - AROUND * clientWidth, scrollTop - AROUND * clientHeight];
  const x = Math.max(0, left / scale);
  const y = Math.max(0, top / scale);
  return {
    ...{ x, y },
    width: Math.min(size.width, (scrollLeft + (1 + AROUND) * clientWidth) / scale) - x,
    height: Math.min(size.height, (scrollTop + (1 + AROUND) * clientHeight) / scale) - y,
  };
}

/** The part of a large page that is seen, as sharp as the screen: no canvas would hold the whole so. */
function SharpPart({ source, page, scale, size, pane, fail }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [part, setPart] = useState<PagePart | null>(null);
  useEffect(() => {
    if (!pane) return;
    let waiting: ReturnType<typeof setTimeout>;
    let asked = 0;
    const draw = async () => {
      asked += 1;
      const mine = asked;
      const seen = seenOf(pane, scale, size);
      const drawn = document.createElement('canvas');
      await source.draw(page, drawn, scale * sharpness(), seen);
      if (mine !== asked || !canvas.current) return;
      show(canvas.current, drawn);
      setPart(seen);
    };
    const begin = () => draw().catch((error: unknown) => fail(inWords(error)));
    const later = () => {
      clearTimeout(waiting);
      waiting = setTimeout(() => void begin(), STILL_MS);
    };
    later();
    pane.addEventListener('scroll', later);
    return () => {
      asked += 1;
      clearTimeout(waiting);
      pane.removeEventListener('scroll', later);
    };
  }, [source, page, scale, size, pane, fail]);
  const at = part && {
    ...{ left: part.x * scale, top: part.y * scale },
    ...{ width: part.width * scale, height: part.height * scale },
  };
  return <canvas ref={canvas} aria-hidden className="absolute" style={at ?? { width: 0, height: 0 }} />;
}

/** The picture of a page, drawn anew as it is enlarged; of one that is too large for that the part that is seen. */
export function PagePicture(props: Props) {
  const { source, page, scale, fail } = props;
  const canvas = useRef<HTMLCanvasElement>(null);
  const shows = useRef<number | null>(null);
  const [isCoarse, setCoarse] = useState(false);
  useEffect(() => {
    let isOver = false;
    const draw = async () => {
      const drawn = document.createElement('canvas');
      const wanted = scale * sharpness();
      const at = await source.draw(page, drawn, wanted);
      if (isOver || !canvas.current) return;
      show(canvas.current, drawn);
      shows.current = page;
      setCoarse(at < 0.95 * wanted);
    };
    const begin = () => draw().catch((error: unknown) => !isOver && fail(inWords(error)));
    const waiting = setTimeout(() => void begin(), shows.current === page ? STILL_MS : 0);
    return () => {
      isOver = true;
      clearTimeout(waiting);
    };
  }, [source, page, scale, fail]);
  return (
    <>
      <canvas
        ref={canvas}
        role="img"
        aria-label={`Page ${page + 1}`}
        className="absolute inset-0 size-full"
      />
      {isCoarse && <SharpPart key={page} {...props} />}
    </>
  );
}
