import { locks } from '#client/locks';

/** While a leaf is open somewhere in this browser, its own page sends what is written on it. */
const nameOf = (draft: string) => `elderleaf-leaf-${draft}`;
/** Held by whoever sends what waits; who opens a leaf waits for that, so that no text is sent twice. */
const SENDING = 'elderleaf-sending';

const held = new Map<string, () => void>();

/** Notes that a leaf is open in this window, until `closeLeaf`. */
export function openLeaf(draft: string): Promise<void> {
  const all = locks();
  if (!all || held.has(draft)) return Promise.resolve();
  return new Promise((opened) => {
    // Held for as long as what it is given here is not kept.
    const holding = new Promise<void>((letGo) => held.set(draft, letGo));
    void all.request(nameOf(draft), { mode: 'shared' }, () => {
      opened();
      return holding;
    });
  });
}

/** The leaf is open in this window no more. */
export function closeLeaf(draft: string): void {
  held.get(draft)?.();
  held.delete(draft);
}

/** The drafts whose leaves are open in some window of this browser. */
export async function openLeaves(): Promise<ReadonlySet<string>> {
  const { held: all = [] } = (await locks()?.query()) ?? {};
  return new Set(
    all.flatMap(({ name }) => (name?.startsWith(nameOf('')) ? [name.slice(nameOf('').length)] : [])),
  );
}

/** Does something while nothing is being sent by any window. */
export const whileNoneIsSent = <T>(act: () => Promise<T>): Promise<T> =>
  locks()?.request(SENDING, { mode: 'shared' }, act) ?? act();

/** Does something in one window at a time; not at all, giving undefined, where the browser has no locks. */
export const sendAlone = (act: () => Promise<void>): Promise<void> | undefined =>
  locks()?.request(SENDING, { mode: 'exclusive' }, act);
