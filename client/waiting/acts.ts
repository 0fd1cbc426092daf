import { openStore, type WaitingAct } from '#client/atHand';
import { ForPeople } from '#client/api';

/** There is nowhere to keep what was begun: it was not begun. */
export class NoRoomHere extends ForPeople {
  constructor() {
    super(
      'The server cannot be reached, and this browser has no room to keep it until then. Nothing was begun; try again once you are online.',
    );
  }
}

const told = new Set<() => void>();
/** The other windows of this browser. */
let windows: BroadcastChannel | null = null;

/** Tells everybody who wants to know that what waits has changed, in all windows. */
export function tellWaiting(): void {
  for (const one of told) one();
  windows?.postMessage('changed');
}

/** Has `changed` called whenever something comes to wait, here or in another window, or waits no more. Gives what ends that. */
export function onWaiting(changed: () => void): () => void {
  if (!windows) {
    windows = new BroadcastChannel('elderleaf-waiting');
    windows.onmessage = () => {
      for (const one of told) one();
    };
  }
  told.add(changed);
  return () => void told.delete(changed);
}

/** What a member made and the server has not yet, in the order it was made. */
export async function waitingActs(member: string): Promise<WaitingAct[]> {
  const store = await openStore();
  return (await store?.getAll('waiting'))?.filter((act) => act.member === member) ?? [];
}

/** Has something wait until the server can be reached. Throws `NoRoomHere` where this browser cannot keep it. */
export async function addWaiting(act: WaitingAct): Promise<void> {
  const store = await openStore();
  try {
    if (!store) throw new NoRoomHere();
    await store.add('waiting', act);
  } catch {
    throw new NoRoomHere();
  }
  tellWaiting();
}

/** Something waits no more: it was sent, or let go of. */
export async function dropWaiting({ order }: Pick<WaitingAct, 'order'>): Promise<void> {
  const store = await openStore();
  if (order !== undefined) await store?.delete('waiting', order);
  tellWaiting();
}

/** The server refused something, and why; null to have it sent once more. */
export async function noteRefused(act: WaitingAct, why: string | null): Promise<void> {
  const store = await openStore();
  await store?.put('waiting', { ...act, refused: why });
  tellWaiting();
}

/** Lets go of everything of a member that waits. */
export async function dropAllWaiting(member: string): Promise<void> {
  for (const act of await waitingActs(member)) await dropWaiting(act);
}
