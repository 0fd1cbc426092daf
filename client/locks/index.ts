/** The browser's locks, which all its windows share; undefined where it has none, as without TLS. */
export const locks = (): LockManager | undefined =>
  typeof navigator === 'undefined' ? undefined : navigator.locks;

/** Does something in one window of this browser at a time, each in its turn; at once where the browser has no locks. */
export async function inTurn<T>(name: string, act: () => Promise<T>): Promise<T> {
  const all = locks();
  return all ? all.request(`elderleaf-${name}`, () => act()) : act();
}
