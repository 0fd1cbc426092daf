interface Options {
  mode?: 'exclusive' | 'shared';
  ifAvailable?: boolean;
}
type Act = (lock: { name: string } | null) => unknown;

/** Locks as a browser has them, as far as this needs them: who shares one waits for nobody here. Gives the names that are held. */
export function locksHere(): () => string[] {
  const held = new Map<object, string>();
  /** The last to ask for each lock alone. */
  const lines = new Map<string, Promise<unknown>>();
  const hold = async (name: string, run: Act) => {
    const one = {};
    held.set(one, name);
    try {
      return await run({ name });
    } finally {
      held.delete(one);
    }
  };
  const request = async (name: string, options: Act | Options, act?: Act) => {
    const [{ mode, ifAvailable }, run] =
      typeof options === 'function' ? [{} as Options, options] : [options, act!];
    if (ifAvailable && [...held.values()].includes(name)) return run(null);
    if (mode === 'shared' || ifAvailable) return hold(name, run);
    const turn = (lines.get(name) ?? Promise.resolve()).catch(() => undefined).then(() => hold(name, run));
    lines.set(name, turn);
    return turn;
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
