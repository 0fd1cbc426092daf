/** Locks as a browser has them, as far as who holds which: nobody waits for another here. Gives the names that are held. */
export function locksHere(): () => string[] {
  const held = new Map<object, string>();
  type Act = (lock: { name: string } | null) => unknown;
  const request = async (name: string, options: Act | { ifAvailable?: boolean }, act?: Act) => {
    const [one, run] = [{}, act ?? (options as Act)];
    const isWithout = 'ifAvailable' in options && [...held.values()].includes(name);
    if (isWithout) return run(null);
    held.set(one, name);
    try {
      return await run({ name });
    } finally {
      held.delete(one);
    }
  };
  const names = () => [...held.values()];
  const query = () => Promise.resolve({ held: names().map((name) => ({ name })) });
  const locks = { request, query };
  // Without a page there is none, or one that is not a browser's.
  if (typeof window === 'undefined')
    Object.defineProperty(globalThis, 'navigator', { configurable: true, value: { locks } });
  else Object.defineProperty(navigator, 'locks', { configurable: true, value: locks });
  return names;
}
