import type { VirtualItem } from '@tanstack/react-virtual';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { NavigationType, useLocation, useNavigationType } from 'react-router';

interface Place {
  scrolled: number;
  /** The lengths of the lines that were drawn, without which nothing stands where it stood. */
  lengths: VirtualItem[];
}

/** Places that were left on this page, by the entry of the browser's history they belong to. */
const left = new Map<string, Place>();
const MOST_LEFT = 50;

/**
 * Where a long list was left, for whoever comes back to it by the browser's history; null for one that is opened anew.
 * @param lengths what the list has measured, asked for when it is left
 */
export function useKeptPlace(lengths: () => VirtualItem[]): Place | null {
  const { key } = useLocation();
  const isBack = useNavigationType() === NavigationType.Pop;
  const [place] = useState(() => (isBack ? (left.get(key) ?? null) : null));
  const now = useRef({ key, lengths });
  useEffect(() => {
    now.current = { key, lengths };
  });
  useLayoutEffect(() => {
    if (place) window.scrollTo(0, place.scrolled);
    return () => {
      const { key: at, lengths: measured } = now.current;
      left.delete(at);
      left.set(at, { scrolled: window.scrollY, lengths: measured() });
      if (left.size > MOST_LEFT) left.delete(left.keys().next().value!);
    };
  }, [place]);
  return place;
}
