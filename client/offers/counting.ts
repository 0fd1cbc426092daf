import type { OwnUses, Use } from '#contracts';
import { call } from '#client/api';
import { calendarToday } from '#client/clock';

/** Uses are told together, so many milliseconds after the first of them. */
const PAUSE = 5000;
/** So many the server takes in one telling. */
const MOST_AT_ONCE = 500;

const waiting = new Map<string, Use[]>();
let timer: ReturnType<typeof setTimeout> | null = null;

async function tellAll(keepalive = false): Promise<void> {
  timer = null;
  const told = [...waiting];
  waiting.clear();
  for (const [kind, uses] of told) {
    for (let at = 0; at < uses.length; at += MOST_AT_ONCE) {
      try {
        const some = uses.slice(at, at + MOST_AT_ONCE);
        await call('countUses', { body: { day: calendarToday(), kind, uses: some }, keepalive });
      } catch {
        // Told with those that follow: a count late is better than one lost.
        waiting.set(kind, [...uses.slice(at), ...(waiting.get(kind) ?? [])]);
        break;
      }
    }
  }
}

/** Tells the server, within a few seconds, of a use of something from the bank or a glossary; numbers only leave the page. */
export function tellUse(kind: string, counted: Use): void {
  waiting.set(kind, [...(waiting.get(kind) ?? []), counted]);
  timer ??= setTimeout(() => void tellAll(), PAUSE);
}

/** One's own uses with another one, so that what was just used is offered sooner at once. */
export function withUse(own: OwnUses, kind: string, { source, list, term, times }: Use): OwnUses {
  const isIt = (one: OwnUses['used'][number]) =>
    one.source === source && one.list === list && one.term === term && one.kind === kind;
  const before = own.used.find(isIt)?.times ?? 0;
  const used = [...own.used.filter((one) => !isIt(one)), { source, list, term, kind, times: before + times }];
  return { ...own, used };
}

if (typeof window !== 'undefined') window.addEventListener('pagehide', () => void tellAll(true));
