import { useEffect } from 'react';

/** Whether nothing of the screen has the keys: what had them went with the screen before, or led here from the head line. */
const areLost = (): boolean => {
  const has = document.activeElement;
  // A menu or a question lies over the page, within neither its head nor its screen.
  return !has || has === document.body || has.closest('#root :is(header, nav):not(main *)') !== null;
};

/**
 * Gives the keys to the heading of a screen that one has gone to, where nothing of it has them: it is read out, and Tab goes on from
 * there: once it is there itself, not while it is awaited. A screen that takes them itself, as a leaf does, keeps them.
 */
export function useKeysOnScreen(pathname: string): void {
  useEffect(() => {
    const root = document.getElementById('root')!;
    const settle = () => {
      const heading = document.querySelector<HTMLElement>('main h1:not([data-awaited])');
      if (!heading) return;
      observer.disconnect();
      if (!areLost()) return;
      heading.tabIndex = -1;
      heading.focus({ preventScroll: true });
    };
    const observer = new MutationObserver(settle);
    // After the screen has had its turn to take the keys.
    const turn = requestAnimationFrame(() => {
      observer.observe(root, { childList: true, subtree: true });
      settle();
    });
    return () => {
      cancelAnimationFrame(turn);
      observer.disconnect();
    };
  }, [pathname]);
}
