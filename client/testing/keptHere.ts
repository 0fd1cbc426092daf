/** A storage whose names can be listed, as those of a browser can. */
const namesOf = (storage: object, names: () => string[]): Storage =>
  new Proxy(storage, {
    ownKeys: names,
    getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
  }) as unknown as Storage;

/** What a computer keeps for a page: stands in for the browser's own storage. `isFull` lets it refuse, as one without room does. */
export function keptHere(): { kept: Map<string, string>; isFull: boolean } {
  const computer = { kept: new Map<string, string>(), isFull: false };
  const storage = {
    getItem: (key: string) => computer.kept.get(key) ?? null,
    setItem: (key: string, value: string) => {
      if (computer.isFull) throw new Error('full');
      computer.kept.set(key, value);
    },
    removeItem: (key: string) => void computer.kept.delete(key),
  };
  globalThis.localStorage = namesOf(storage, () => [...computer.kept.keys()]);
  return computer;
}

/** What a tab keeps, in the place of the browser's own storage. */
export function keptInTab(): Map<string, string> {
  const held = new Map<string, string>();
  const storage = {
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => void held.set(key, value),
    removeItem: (key: string) => void held.delete(key),
  };
  globalThis.sessionStorage = namesOf(storage, () => [...held.keys()]);
  return held;
}
