import type { HeldKey, Watching } from '../page/contract';

/** Lets the slip draw what a key did before the next one. */
const drawn = () => new Promise<void>((resolve) => setTimeout(resolve, 0));

/**
 * Presses in the slip the keys that were pressed before it stood there, one after the other; those pressed meanwhile come behind them.
 * Then keys go to the slip by themselves. Gives the keys that are left where one of them closed it: they are meant for the box.
 */
export async function replay(
  slip: HTMLElement,
  watching: Pick<Watching, 'takeHeld' | 'stopHolding'>,
): Promise<HeldKey[]> {
  for (let keys = watching.takeHeld(); keys.length > 0; keys = watching.takeHeld()) {
    for (const [at, held] of keys.entries()) {
      if (!slip.isConnected) return [...keys.slice(at), ...watching.stopHolding()];
      const { key, altKey } = held;
      const active = (slip.getRootNode() as ShadowRoot).activeElement ?? slip;
      const isLine = active instanceof HTMLInputElement || active instanceof HTMLTextAreaElement;
      if (isLine && key.length === 1 && !altKey) document.execCommand('insertText', false, key);
      else if (isLine && key === 'Backspace') document.execCommand('delete');
      else active.dispatchEvent(new KeyboardEvent('keydown', { ...held, bubbles: true, cancelable: true }));
      await drawn();
    }
  }
  return watching.stopHolding();
}
