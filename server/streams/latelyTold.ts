import type { LiveEvent } from '#contracts';

/** What was told of these is asked for by the one screen that shows it, or is over by then. */
const OF_A_MOMENT: ReadonlySet<LiveEvent['type']> = new Set([
  'sessions-changed',
  'draft-saved',
  'presence-changed',
  'pedal-pressed',
]);
/** So long what a page asks for may have been on its way here, in ms at the most. */
const ON_ITS_WAY_MS = 5000;

/** When members were last told anything that a page of theirs may show: what a page that opens its stream now may have missed. */
export class LatelyTold {
  private all: number;
  private readonly members = new Map<string, number>();

  /** `clock` gives ms since any moment, and never goes back. */
  constructor(private readonly clock: () => number) {
    // Before this process began others may have been told.
    this.all = clock();
  }

  /** Notes what was told to a member; null for what may concern any of them. */
  told(member: string | null, { type }: Pick<LiveEvent, 'type'>): void {
    if (OF_A_MOMENT.has(type)) return;
    if (member === null) this.toldAll();
    else this.members.set(member, this.clock());
  }

  /** Notes that anybody may have been told anything. */
  toldAll(): void {
    this.all = this.clock();
  }

  /** Whether a member was told nothing within the last ms, nor while what was asked for at their beginning was on its way. */
  isQuiet(member: string, ms: number): boolean {
    const last = Math.max(this.all, this.members.get(member) ?? -Infinity);
    return this.clock() - last > ms + ON_ITS_WAY_MS;
  }
}
