import { useEffect } from 'react';
import { Places } from './placesLeft';

/** So many that had the keys are remembered: a menu, the button that opened it, and what had them before. */
const MOST_REMEMBERED = 6;

/** Whether nothing has the keys. */
const areLost = (): boolean => !document.activeElement || document.activeElement === document.body;

/** On what keys were pressed, the last one first, since one last pointed at something. */
class Holders {
  private all: { element: Element; pathname: string }[] = [];

  hold(element: Element): void {
    const others = this.all.filter((one) => one.element !== element);
    this.all = [{ element, pathname: location.pathname }, ...others].slice(0, MOST_REMEMBERED);
  }

  /** Whoever points at things has their hand there: a space bar is then to move the page, not to press what came after. */
  forget = (): void => void (this.all = []);

  /** Those of the page that is shown: another page gives the keys to its heading. */
  here(): Element[] {
    return this.all.filter(({ pathname }) => pathname === location.pathname).map(({ element }) => element);
  }
}

/**
 * Gives the keys on where what had them vanished, as a button does that removes its row or a question that was answered: to what stands in its
 * place, or comes after it. What was only moved, or could not be pressed for a moment, has them again. A part of the page that gives them
 * somewhere itself is not disturbed: it has its turn first.
 */
export function useKeysKept(): void {
  useEffect(() => {
    const holders = new Holders();
    const places = new Places();
    let turn: ReturnType<typeof setTimeout> | null = null;
    const give = (): void => {
      turn = null;
      if (!areLost()) return;
      const [last, ...before] = holders.here();
      if (!last) return;
      // It may be a moment only: it is looked at again when it can be pressed.
      if (last.isConnected && last.matches(':disabled')) return;
      for (const holder of [last, ...before]) {
        const next = places.standsFor(holder);
        if (!next) continue;
        next.focus({ preventScroll: true });
        return;
      }
    };
    const observer = new MutationObserver((records) => {
      for (const { type, target, removedNodes, previousSibling } of records)
        if (type === 'childList')
          for (const node of removedNodes) places.left(node, { parent: target, previousSibling });
      if (turn === null && areLost() && holders.here().length > 0) turn = setTimeout(give);
    });
    const hold = ({ target }: KeyboardEvent) =>
      target instanceof Element && target !== document.body && holders.hold(target);
    observer.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] });
    document.addEventListener('keydown', hold, true);
    document.addEventListener('pointerdown', holders.forget, true);
    return () => {
      observer.disconnect();
      if (turn !== null) clearTimeout(turn);
      document.removeEventListener('keydown', hold, true);
      document.removeEventListener('pointerdown', holders.forget, true);
    };
  }, []);
}
