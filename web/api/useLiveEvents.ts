import { useEffect } from 'react';
import { EventSchema, type LiveEvent } from '#contracts';
import { KEYS, queryClient } from './queries';

const AGAIN_MS = 3000;

/** What others can change, and a page shows. */
const LIVE = [
  KEYS.bank,
  KEYS.glossaries,
  KEYS.cases,
  KEYS.proposals,
  KEYS.team,
  KEYS.people,
  KEYS.sharing,
  KEYS.notes,
];

const askAgain = (keys: readonly (readonly string[])[]) => {
  for (const queryKey of keys) void queryClient.invalidateQueries({ queryKey });
};

function take(event: LiveEvent): void {
  if (event.type === 'entry-saved') {
    askAgain([KEYS.bank, KEYS.revisions(event.entry)]);
  } else if (event.type === 'reach-changed') {
    askAgain([KEYS.bank, KEYS.sharing, KEYS.team, KEYS.proposals]);
  } else if (event.type === 'proposals-changed') {
    askAgain([KEYS.proposals]);
  } else if (event.type === 'glossary-changed') {
    askAgain([KEYS.glossaries]);
  } else if (event.type === 'notes-changed') {
    askAgain([KEYS.notes]);
  } else if (event.type === 'presence-changed') {
    askAgain([KEYS.present(event.entry)]);
  } else if (event.type === 'entries-changed') {
    askAgain([KEYS.bank, KEYS.wastebasket]);
  } else if (event.type === 'people-changed') {
    askAgain([KEYS.team, KEYS.people, KEYS.session]);
  } else if (event.type === 'missed') {
    askAgain(LIVE);
  } else {
    askAgain([KEYS.cases]);
  }
}

function hear(message: MessageEvent<string>): void {
  const event = EventSchema.safeParse(JSON.parse(message.data));
  if (event.success) take(event.data);
}

/** Asks again for everything that was asked before the stream was open; what is being fetched is waited for first. */
async function catchUp(): Promise<void> {
  const asked = LIVE.flatMap((queryKey) => queryClient.getQueryCache().find({ queryKey })?.promise ?? []);
  await Promise.allSettled(asked);
  askAgain(LIVE);
}

/**
 * Listens to what changes elsewhere while someone is signed in, and asks again for what it concerns. The browser reconnects
 * by itself. Whenever the stream opens, what was asked for before is asked for again: of the bank only what changed since
 * comes, so nothing is missed, however long the connection was lost.
 */
export function useLiveEvents(member: string | undefined): void {
  useEffect(() => {
    if (!member) return undefined;
    let source: EventSource;
    let waiting = 0;
    const listen = () => {
      source = new EventSource('/api/events');
      source.onmessage = hear;
      source.onopen = () => void catchUp();
      source.onerror = () => {
        // Refused, as by a session that has ended or a server on its way up: the browser gives up, and we do not.
        if (source.readyState === EventSource.CLOSED) waiting = window.setTimeout(listen, AGAIN_MS);
      };
    };
    listen();
    return () => {
      clearTimeout(waiting);
      source.close();
    };
  }, [member]);
}
