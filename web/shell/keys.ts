import { useEffect, useLayoutEffect, useRef } from 'react';

/** A key that is live on this screen: its name as `KeyboardEvent.key`, or "Alt + C"; and what it does in words. */
export interface LiveKey {
  key: string;
  does: string;
  run: () => void;
}

/** A second way for each function key, which some laptops give only together with another: Alt and a letter by its place. */
export const SECOND_WAYS: Readonly<Record<string, string>> = {
  F2: 'Alt + A',
  F4: 'Alt + W',
  F8: 'Alt + Q',
  F9: 'Alt + X',
};

const live = new Map<symbol, LiveKey[]>();

/** The keys live here and now, the innermost screen's first; a key named twice counts once. */
export function liveKeys(): LiveKey[] {
  const all = [...live.values()].reverse().flat();
  return all.filter(({ key }, index) => all.findIndex((other) => other.key === key) === index);
}

/**
 * Makes keys live while a component is shown. Only keys that neither the browser nor the system owns are
 * used, so they work in text fields and on the leaf too.
 */
export function useLiveKeys(keys: LiveKey[]): void {
  const id = useRef(Symbol('keys'));
  // As soon as the screen is seen: a key may be pressed before effects that wait have run.
  useLayoutEffect(() => {
    const own = id.current;
    live.set(own, keys);
    return () => void live.delete(own);
  });
}

/** Keys without a letter that go by their place on the keyboard too: letters are few beside those that browsers and offers use. */
const MARKS: Readonly<Record<string, string>> = {
  ...{ Comma: ',', Period: '.', Slash: '/', Quote: "'", BracketLeft: '[', BracketRight: ']' },
  ...{ Enter: 'Enter', Minus: '-' },
};

/** What a live key is called: with Alt a letter or mark goes by its place on the keyboard. Null for what is none. */
function nameOf(event: KeyboardEvent): string | null {
  if (event.ctrlKey || event.metaKey || event.isComposing) return null;
  if (event.altKey) {
    const letter = /^Key([A-Z])$/.exec(event.code)?.[1] ?? MARKS[event.code];
    return letter && !event.shiftKey && !event.getModifierState('AltGraph') ? `Alt + ${letter}` : null;
  }
  // With Shift a key is another, which somebody may have chosen for wording; of a character it is a part.
  return event.shiftKey && event.key.length > 1 ? null : event.key;
}

/** Hears the live keys; mounted once, by the shell. */
export function useKeyListener(): void {
  useEffect(() => {
    const hear = (event: KeyboardEvent) => {
      const pressed = nameOf(event);
      const target = event.target as HTMLElement | null;
      const writing = target?.isContentEditable || /^(INPUT|TEXTAREA|SELECT)$/.test(target?.tagName ?? '');
      // A key that writes a character is live only where nothing is being written.
      if (writing && pressed?.length === 1) return;
      const found = liveKeys().find(({ key }) => key === pressed || SECOND_WAYS[key] === pressed);
      if (!found) return;
      event.preventDefault();
      found.run();
    };
    window.addEventListener('keydown', hear);
    return () => window.removeEventListener('keydown', hear);
  }, []);
}
