import { useCallback, useState } from 'react';

/**
 * Something that is on or off for the person at this computer, and is so the next time too.
 * @param name under what it is kept: unique in the house
 * @param atFirst how it is until it is switched
 * @returns whether it is on, and what switches it
 */
export function useRemembered(name: string, atFirst: boolean): [boolean, () => void] {
  const stored = `elderleaf.${name}`;
  const [isOn, set] = useState(() => {
    const kept = localStorage.getItem(stored);
    return kept === null ? atFirst : kept === 'on';
  });
  const toggle = useCallback(() => {
    set(!isOn);
    try {
      localStorage.setItem(stored, isOn ? 'off' : 'on');
    } catch {
      // No room on this computer: it is so until the page is left.
    }
  }, [stored, isOn]);
  return [isOn, toggle];
}
