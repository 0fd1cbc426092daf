import type { ReactNode, Ref } from 'react';
import { useLocation } from 'react-router';
import { useShell } from './ShellContext';

interface Props {
  children: ReactNode;
  margin: ReactNode;
  marginLabel: string;
  marginRef?: Ref<HTMLElement>;
}

/** The figure every main screen is built on: a leaf, and the margin beside it, where the finder opens too. */
export function Figure({ children, margin, marginLabel, marginRef }: Props) {
  const { finderOpen, finder, doneElsewhere } = useShell();
  const { pathname } = useLocation();
  return (
    <div className="figure-grid">
      <main className="leaf-page" id="leaf" tabIndex={-1}>
        {/* On a leaf nothing stands above what one writes. */}
        {!pathname.startsWith('/cases') && doneElsewhere}
        {children}
      </main>
      <aside ref={marginRef} aria-label={marginLabel} className="relative min-w-0" data-print="no">
        {finderOpen && finder}
        {/* As tall as the leaf, so that what is made to stay in sight can. */}
        <div hidden={finderOpen} className="h-full">
          {margin}
        </div>
      </aside>
    </div>
  );
}
