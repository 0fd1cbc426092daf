import { useCallback, useRef } from 'react';

const HELD = ['Shift', 'Control', 'Alt', 'Meta'];

/** Counts the keys that are pressed in a slip, for what is saved: those that are only held with others do not count. */
export function usePresses(from = 0): { count: (event: { key: string }) => void; soFar: () => number } {
  const pressed = useRef(from);
  const count = useCallback(({ key }: { key: string }) => {
    if (!HELD.includes(key)) pressed.current += 1;
  }, []);
  const soFar = useCallback(() => pressed.current, []);
  return { count, soFar };
}
