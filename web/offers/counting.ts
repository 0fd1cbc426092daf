import type { OwnUses, Use } from '#contracts';
import { call } from '../api/client';
import { KEYS, queryClient } from '../api/queries';
import { calendarToday } from '../clock/calendarToday';

/** Uses are told together, so many milliseconds after the first of them. */
const PAUSE = 5000;

const waiting = new Map<string, Use[]>();
let timer: ReturnType<typeof setTimeout> | null = null;

async function tellAll(keepalive = false): Promise<void> {
  timer = null;
  const told = [...waiting];
  waiting.clear();
  for (const [kind, uses] of told) {
    try {
      await call('countUses', { body: { day: calendarToday(), kind, uses: uses.slice(0, 500) }, keepalive });
    } catch {
      // Told with those that follow: a count late is better than one lost.
      waiting.set(kind, [...uses, ...(waiting.get(kind) ?? [])]);
    }
  }
}

/** Counts a use of something from the bank or a glossary; numbers only leave the page. It is offered sooner at once. */
export function countUse(kind: string, counted: Use): void {
  waiting.set(kind, [...(waiting.get(kind) ?? []), counted]);
  timer ??= setTimeout(() => void tellAll(), PAUSE);
  const { source, list, term, times } = counted;
  queryClient.setQueryData<OwnUses>(KEYS.ownUses, (own) => {
    if (!own) return own;
    const isIt = (one: OwnUses['used'][number]) =>
      one.source === source && one.list === list && one.term === term && one.kind === kind;
    const before = own.used.find(isIt)?.times ?? 0;
    const used = [
      ...own.used.filter((one) => !isIt(one)),
      { source, list, term, kind, times: before + times },
    ];
    return { ...own, used };
  });
}

if (typeof window !== 'undefined') window.addEventListener('pagehide', () => void tellAll(true));
