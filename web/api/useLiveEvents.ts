import { useEffect } from 'react';
import { EventSchema, type LiveEvent } from '#contracts';
import { KEYS, queryClient } from './queries';

function take(event: LiveEvent): void {
  if (event.type === 'entry-saved') {
    void queryClient.invalidateQueries({ queryKey: KEYS.bank });
    void queryClient.invalidateQueries({ queryKey: KEYS.revisions(event.entry) });
  } else if (event.type === 'reach-changed') {
    for (const queryKey of [KEYS.bank, KEYS.sharing, KEYS.team, KEYS.proposals])
      void queryClient.invalidateQueries({ queryKey });
  } else if (event.type === 'proposals-changed') {
    void queryClient.invalidateQueries({ queryKey: KEYS.proposals });
  } else if (event.type === 'glossary-changed') {
    void queryClient.invalidateQueries({ queryKey: KEYS.glossaries });
  } else {
    void queryClient.invalidateQueries({ queryKey: KEYS.cases });
  }
}

/**
 * Listens to what changes elsewhere while someone is signed in, and asks again for what it concerns. The
 * browser reconnects by itself; after a lost connection the whole bank is asked for again, as events may
 * have been missed.
 */
export function useLiveEvents(member: string | undefined): void {
  useEffect(() => {
    if (!member) return undefined;
    const source = new EventSource('/api/events');
    let lost = false;
    source.onmessage = (message: MessageEvent<string>) => {
      const event = EventSchema.safeParse(JSON.parse(message.data));
      if (event.success) take(event.data);
    };
    source.onerror = () => {
      lost = true;
    };
    source.onopen = () => {
      if (lost)
        for (const queryKey of [KEYS.bank, KEYS.glossaries, KEYS.cases, KEYS.proposals])
          void queryClient.invalidateQueries({ queryKey });
      lost = false;
    };
    return () => source.close();
  }, [member]);
}
