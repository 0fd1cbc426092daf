import type { Response } from 'express';
import type { LiveEvent } from '#contracts';
import { reachPictures, rightsAmong } from '../bank';
import type { Database } from '../db';
import type { Announcer, Bus } from '../events';
import { LatelyTold } from './latelyTold';

interface Listener {
  member: string;
  session: string;
  response: Response;
}

/** Whom an event concerns. */
type Audience =
  | { kind: 'all' }
  | { kind: 'member'; id: string }
  | { kind: 'readers' | 'keepers'; collection: string };

/** What server processes tell each other: each then tells the pages that are open to it. */
type Told =
  | { about: 'event'; to: Audience; event: LiveEvent }
  /** Collections, sharing or groups have changed: whose bank is another by it is to be told. */
  | { about: 'reach' }
  /** Sessions of a member ended, all but one or one alone: their streams end too. */
  | { about: 'ended'; member: string; except?: string; only?: string };

/** A stream that holds more unread bytes than this is let go: its page opens another, and asks what it missed. */
const MOST_UNREAD = 256 * 1024;
/** A member has at most so many open streams; another ends the oldest. */
const MOST_STREAMS = 60;

/**
 * Keeps the open pages' event streams and tells each member what concerns them, and nothing else. What is told reaches the
 * pages of all server processes, by the bus.
 */
export class EventHub implements Announcer {
  private readonly listeners = new Set<Listener>();
  /** What each listening member saw of the collections when it was last looked at. */
  private readonly pictures = new Map<string, string>();
  private working: Promise<void> = Promise.resolve();
  private readonly lately: LatelyTold;

  constructor(
    private readonly db: Database,
    private readonly bus: Bus,
    /** Ms since any moment, never going back. */
    clock = () => performance.now(),
  ) {
    this.lately = new LatelyTold(clock);
    bus.subscribe(
      (message) => this.inOrder(() => this.hear(JSON.parse(message) as Told)),
      () => this.missed(),
    );
  }

  listen(member: string, session: string, response: Response, askedFor?: number): void {
    const listener = { member, session, response };
    this.listeners.add(listener);
    if (askedFor !== undefined && !this.lately.isQuiet(member, askedFor))
      this.write([listener], { type: 'missed' });
    response.on('close', () => this.forget(listener));
    // A connection that broke while something was written: `close` follows, and nothing else is to be done.
    response.on('error', () => undefined);
    const own = [...this.listeners].filter((one) => one.member === member);
    this.end(own.slice(0, Math.max(0, own.length - MOST_STREAMS)));
    this.inOrder(async () => {
      if (this.pictures.has(member)) return;
      for (const [id, picture] of await reachPictures(this.db, [member])) this.pictures.set(id, picture);
    });
  }

  tellReaders(collection: string, event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'readers', collection }, event });
  }

  tellKeepers(collection: string, event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'keepers', collection }, event });
  }

  tellAll(event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'all' }, event });
  }

  tell(member: string, event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'member', id: member }, event });
  }

  reachChanged(): Promise<void> {
    return this.publish({ about: 'reach' });
  }

  sessionsEnded(member: string, except?: string): Promise<void> {
    return this.publish({ about: 'ended', member, except });
  }

  sessionEnded(member: string, session: string): Promise<void> {
    return this.publish({ about: 'ended', member, only: session });
  }

  /**
   * A line that means nothing, so that connections through proxies stay open; and the end of streams whose session is
   * not among `open` any more (it ran out).
   */
  beat(open?: ReadonlySet<string>): void {
    if (open) this.end([...this.listeners].filter(({ session }) => !open.has(session)));
    this.send([...this.listeners], ': still here\n\n');
  }

  /** The sessions that streams are open for. */
  sessions(): string[] {
    return [...new Set([...this.listeners].map(({ session }) => session))];
  }

  /** Ends all streams, at shutdown. */
  close(): void {
    this.end([...this.listeners]);
  }

  private forget(listener: Listener): void {
    this.listeners.delete(listener);
    if (!this.listening().includes(listener.member)) this.pictures.delete(listener.member);
  }

  /** Ends streams: they leave the list at once, since nothing may be written to one that has ended. */
  private end(listeners: readonly Listener[]): void {
    for (const listener of listeners) {
      this.forget(listener);
      listener.response.end();
    }
  }

  private publish(told: Told): Promise<void> {
    return this.bus.publish(JSON.stringify(told));
  }

  private listening(): string[] {
    return [...new Set([...this.listeners].map(({ member }) => member))];
  }

  /** One after the other, so that a page hears of things in the order they happened. Where one cannot be worked out, all ask. */
  private inOrder(work: () => Promise<void>): void {
    this.working = this.working.then(work).catch(() => this.missed());
  }

  /** What was told cannot be said: all pages ask. */
  private missed(): void {
    this.lately.toldAll();
    this.write([...this.listeners], { type: 'missed' });
  }

  private async hear(told: Told): Promise<void> {
    if (told.about === 'reach') this.lately.toldAll();
    if (told.about === 'event') this.lately.told(told.to.kind === 'member' ? told.to.id : null, told.event);
    if (told.about === 'event') return this.deliver(told.to, told.event);
    if (told.about === 'reach') return this.lookAgain();
    const { member, except, only } = told;
    this.end(
      [...this.listeners].filter(
        (one) =>
          one.member === member && one.session !== except && (only === undefined || one.session === only),
      ),
    );
  }

  private async deliver(to: Audience, event: LiveEvent): Promise<void> {
    const concerned = await this.concerned(to);
    this.write(
      [...this.listeners].filter(({ member }) => concerned(member)),
      event,
    );
  }

  private async concerned(to: Audience): Promise<(member: string) => boolean> {
    if (to.kind === 'all') return () => true;
    if (to.kind === 'member') return (member) => member === to.id;
    const rights = await rightsAmong(this.db, this.listening(), to.collection);
    return (member) => (to.kind === 'readers' ? rights.has(member) : rights.get(member) === 'keep');
  }

  private async lookAgain(): Promise<void> {
    const now = await reachPictures(this.db, this.listening());
    const others = [...this.listeners].filter(({ member }) => this.pictures.get(member) !== now.get(member));
    for (const [member, picture] of now) this.pictures.set(member, picture);
    this.write(others, { type: 'reach-changed' });
  }

  private write(listeners: readonly Listener[], event: LiveEvent): void {
    this.send(listeners, `data: ${JSON.stringify(event)}\n\n`);
  }

  /** Sends lines to streams that are open; one that does not read what it was sent is cut off. */
  private send(listeners: readonly Listener[], lines: string): void {
    for (const listener of listeners) {
      const { response } = listener;
      if (response.writableEnded || response.destroyed) continue;
      response.write(lines);
      if (response.writableLength <= MOST_UNREAD) continue;
      this.forget(listener);
      response.destroy();
    }
  }
}
