import { z } from 'zod';
import type { OwnUses, Use } from '#contracts';
import { call, isReached } from '#client/api';
import { calendarToday } from '#client/clock';
import { dropKept, keep, kept } from '#client/kept';

/** Uses are told together, so many milliseconds after the first of them. */
const PAUSE = 5000;
/** So many the server takes in one telling. */
const MOST_AT_ONCE = 500;

/** Uses of a day in a kind of work. */
const CountedSchema = z.object({
  day: z.string(),
  kind: z.string(),
  uses: z.array(z.custom<Use>((use) => typeof use === 'object' && use !== null)),
});
type Counted = z.infer<typeof CountedSchema>;

/** What is not told yet, and whose uses those are. */
let waiting: Counted[] = [];
let owner = '';
let timer: ReturnType<typeof setTimeout> | null = null;

const nameOf = (member: string) => `uses.${member}`;

function add({ day, kind, uses }: Counted): void {
  const same = waiting.find((one) => one.day === day && one.kind === kind);
  if (same) same.uses = [...same.uses, ...uses];
  else waiting.push({ day, kind, uses });
}

/** Keeps on this computer what could not be told, for the next page. */
const keepWaiting = () => void (waiting.length > 0 ? keep(nameOf(owner), waiting) : dropKept(nameOf(owner)));

async function tellAll(keepalive = false): Promise<void> {
  timer = null;
  const told = waiting;
  waiting = [];
  for (const { day, kind, uses } of told) {
    for (let at = 0; at < uses.length; at += MOST_AT_ONCE) {
      try {
        const some = uses.slice(at, at + MOST_AT_ONCE);
        await call('countUses', { body: { day, kind, uses: some }, keepalive });
      } catch {
        // Told with those that follow: a count late is better than one lost.
        const later = waiting;
        waiting = [];
        add({ day, kind, uses: uses.slice(at) });
        later.forEach(add);
        break;
      }
    }
  }
  keepWaiting();
}

/**
 * Tells the server, within a few seconds, of a member's use of something from the bank or a glossary; numbers only leave the page. What
 * cannot be told stays on this computer until it can.
 */
export function tellUse(member: string, kind: string, counted: Use): void {
  owner = member;
  add({ day: calendarToday(), kind, uses: [counted] });
  timer ??= setTimeout(() => void tellAll(), PAUSE);
}

/** Tells of a member's uses that an earlier page could not tell, with those of this one. */
export async function tellKeptUses(member: string): Promise<void> {
  owner = member;
  // Taken away first: another window tells of them no second time.
  const before = kept(nameOf(member), z.array(CountedSchema)) ?? [];
  dropKept(nameOf(member));
  before.forEach(add);
  if (waiting.length > 0) await tellAll();
}

/** Lets go of a member's uses that were not told. */
export function dropUses(member: string): void {
  waiting = [];
  dropKept(nameOf(member));
}

/** One's own uses with another one, so that what was just used is offered sooner at once. */
export function withUse(own: OwnUses, kind: string, { source, list, term, times }: Use): OwnUses {
  const isIt = (one: OwnUses['used'][number]) =>
    one.source === source && one.list === list && one.term === term && one.kind === kind;
  const before = own.used.find(isIt)?.times ?? 0;
  const used = [...own.used.filter((one) => !isIt(one)), { source, list, term, kind, times: before + times }];
  return { ...own, used };
}

if (typeof window !== 'undefined')
  window.addEventListener('pagehide', () => (isReached() ? void tellAll(true) : keepWaiting()));
