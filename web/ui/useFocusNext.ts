import { useLayoutEffect, useRef } from 'react';

/**
 * Gives the keys to something that the next drawing brings: in the same step as it is drawn, never a frame later. A busy
 * computer is late with its frames, and what is typed until then would go where the keys were before.
 * @returns Asks for it: `find` is tried after each drawing until it finds an element, and then forgotten.
 */
export function useFocusNext(): (find: () => HTMLElement | null | undefined) => void {
  const wanted = useRef<(() => HTMLElement | null | undefined) | null>(null);
  useLayoutEffect(() => {
    const found = wanted.current?.();
    if (!found) return;
    wanted.current = null;
    found.focus();
  });
  return (find) => {
    wanted.current = find;
  };
}
