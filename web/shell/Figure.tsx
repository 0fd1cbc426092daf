import { useLayoutEffect, useRef, type ReactNode, type Ref } from 'react';
import { useLocation } from 'react-router';
import { useShell } from './ShellContext';

interface Props {
  children: ReactNode;
  margin: ReactNode;
  /** How the leaf looks besides, as a class. */
  leafClass?: string;
  marginLabel: string;
  marginRef?: Ref<HTMLElement>;
  /** Beside the margin, where the window has room for it. */
  third?: ReactNode;
  /** Takes words of the page that are dropped on the margin; without it they are not taken there. */
  dropWords?: (() => void) | null;
}

/** What of the look-up must be in sight: its box and some of what it finds. */
const IN_SIGHT_PX = 420;

/** Level with the line one writes on, as far as it stays in sight; at the head of the margin where nothing is written. */
function AtLine({ children }: { children: ReactNode }) {
  const { screen } = useShell();
  const box = useRef<HTMLDivElement>(null);
  const lineTop = useRef(screen.lineTop);
  useLayoutEffect(() => {
    const line = lineTop.current?.();
    const own = box.current;
    // On a narrow window the margin is beneath the text: nothing is beside the line.
    const isBeside = !window.matchMedia('(max-width: 899px)').matches;
    if (!own || line === undefined || line === null || !isBeside) return;
    const head = own.getBoundingClientRect().top;
    const level = Math.min(line, window.innerHeight - IN_SIGHT_PX) - head;
    own.style.paddingTop = `${Math.max(0, level)}px`;
  }, []);
  return (
    <div ref={box} className="h-full">
      {children}
    </div>
  );
}

/** The figure every main screen is built on: a leaf, and the margin beside it, where the finder opens too. */
export function Figure({
  children,
  margin,
  marginLabel,
  marginRef,
  leafClass = '',
  third,
  dropWords = null,
}: Props) {
  const { finderOpen, finder, doneElsewhere } = useShell();
  const { pathname } = useLocation();
  return (
    <div className="figure-grid">
      <main className={`leaf-page ${leafClass}`} id="leaf" tabIndex={-1}>
        {/* On a leaf nothing stands above what one writes. */}
        {!pathname.startsWith('/cases') && doneElsewhere}
        {children}
      </main>
      <aside
        ref={marginRef}
        aria-label={marginLabel}
        className="relative min-w-0"
        data-print="no"
        onDragOver={(event) => {
          if (dropWords && event.dataTransfer.types.includes('text/html')) event.preventDefault();
        }}
        onDrop={(event) => {
          if (!dropWords || event.defaultPrevented) return;
          event.preventDefault();
          dropWords();
        }}
      >
        {finderOpen && <AtLine>{finder}</AtLine>}
        {/* As tall as the leaf, so that what is made to stay in sight can. */}
        <div hidden={finderOpen} className="h-full">
          {margin}
        </div>
      </aside>
      {third && <div className="figure-third min-w-0">{third}</div>}
    </div>
  );
}
