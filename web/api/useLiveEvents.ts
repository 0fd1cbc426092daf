import { useEffect } from 'react';
import { tellSaved } from '#client/drafts';
import { tellStandIn } from '#client/pedal';
import { EventSchema } from '#contracts';
import { queryClient } from './queries';
import { askAgain, LIVE, refreshBy } from './refreshes';

const AGAIN_MS = 3000;

/** Asks again for everything that was asked before the stream was open; what is being fetched is waited for first. */
async function catchUp(): Promise<void> {
  const asked = LIVE.flatMap((queryKey) => queryClient.getQueryCache().find({ queryKey })?.promise ?? []);
  await Promise.allSettled(asked);
  askAgain(LIVE);
}

/** What one window tells the others of a member: that the stream has opened, or what it was told. */
type Passed = { opened: true } | { event: unknown };

function hear(passed: Passed): void {
  if ('opened' in passed) {
    tellStandIn('lost');
    tellSaved('all');
    return void catchUp();
  }
  const event = EventSchema.safeParse(passed.event);
  if (!event.success) return;
  if (event.data.type === 'pedal-pressed') tellStandIn(event.data);
  if (event.data.type === 'draft-saved') tellSaved(event.data);
  refreshBy(event.data);
}

/** How long ago this page asked for anything first, in ms; by both clocks, since one stands still while a computer sleeps. */
const askedFor = (): number => Math.ceil(Math.max(performance.now(), Date.now() - performance.timeOrigin));

/**
 * Holds the stream open until `signal` says otherwise, and gives what comes to `tell`. `isFirst`: no window of this member has had one,
 * and the server tells whether anything was missed since this page asked first.
 */
function holdOpen(tell: (passed: Passed) => void, signal: AbortSignal, isFirst: boolean): Promise<void> {
  return new Promise((resolve) => {
    let source: EventSource;
    let waiting = 0;
    let isVouchedFor = isFirst;
    const listen = () => {
      source = new EventSource(isVouchedFor ? `/api/events?askedFor=${askedFor()}` : '/api/events');
      source.onmessage = ({ data }: MessageEvent<string>) => tell({ event: JSON.parse(data) as unknown });
      source.onopen = () => {
        if (!isVouchedFor) tell({ opened: true });
        // Opened again by the browser it is at the same address: what was missed meanwhile is asked for from here.
        isVouchedFor = false;
      };
      source.onerror = () => {
        // Refused, as by a session that has ended or a server on its way up: the browser gives up, and we do not.
        if (source.readyState === EventSource.CLOSED) waiting = window.setTimeout(listen, AGAIN_MS);
      };
    };
    listen();
    signal.addEventListener('abort', () => {
      clearTimeout(waiting);
      source.close();
      resolve();
    });
  });
}

/**
 * Listens to what changes elsewhere while someone is signed in, and asks again for what it concerns. One window of a member
 * holds the stream and passes on what it hears: browsers open six connections to a server at the most, and a seventh window
 * could not even save. When that window closes another takes over. Where anything may have been told before the stream was open, what
 * was asked for before is asked for again: of the bank only what changed since comes, so nothing is missed, however long the connection
 * was lost. As a page opens, the server says whether anything was.
 */
export function useLiveEvents(member: string | undefined): void {
  useEffect(() => {
    if (!member) return undefined;
    const over = new AbortController();
    const { signal } = over;
    const name = `elderleaf-events-${member}`;
    const others = new BroadcastChannel(name);
    others.onmessage = ({ data }: MessageEvent<Passed>) => hear(data);
    const tell = (passed: Passed) => {
      if (signal.aborted) return;
      hear(passed);
      others.postMessage(passed);
    };
    const hold = (isFirst: boolean) => (signal.aborted ? undefined : holdOpen(tell, signal, isFirst));
    // Without TLS browsers have no locks: each window holds a stream of its own, and tells itself alone.
    const locks = navigator.locks as LockManager | undefined;
    const begun = locks
      ? locks.request(name, { ifAvailable: true }, async (lock) => {
          if (lock) return hold(true);
          // Another window listens: what was asked for before this one heard it is asked for again.
          void catchUp();
          return locks.request(name, { signal }, () => hold(false));
        })
      : holdOpen(hear, signal, true);
    Promise.resolve(begun).catch(() => undefined);
    return () => {
      over.abort();
      others.close();
    };
  }, [member]);
}
