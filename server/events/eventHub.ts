import type { Response } from 'express';
import type { LiveEvent } from '#contracts';
import { reachPictures } from '../bank/reachPictures';
import { rightsAmong } from '../bank/rights';
import type { Database } from '../db/openStore';
import type { Bus } from './bus';

interface Listener {
  member: string;
  session: string;
  response: Response;
}

/** Whom an event concerns. */
type Audience =
  { kind: 'all' } | { kind: 'member'; id: string } | { kind: 'readers' | 'keepers'; collection: string };

/** What server processes tell each other: each then tells the pages that are open to it. */
type Told =
  | { about: 'event'; to: Audience; event: LiveEvent }
  /** Collections, sharing or groups have changed: whose bank is another by it is to be told. */
  | { about: 'reach' }
  /** Sessions ended: their streams end too. */
  | { about: 'ended'; member: string; except?: string };

/**
 * Keeps the open pages' event streams and tells each member what concerns them, and nothing else. What is told reaches the
 * pages of all server processes, by the bus.
 */
export class EventHub {
  private readonly listeners = new Set<Listener>();
  /** What each listening member saw of the collections when it was last looked at. */
  private readonly pictures = new Map<string, string>();
  private working: Promise<void> = Promise.resolve();

  constructor(
    private readonly db: Database,
    private readonly bus: Bus,
  ) {
    bus.subscribe(
      (message) => this.inOrder(() => this.hear(JSON.parse(message) as Told)),
      () => this.write([...this.listeners], { type: 'missed' }),
    );
  }

  /** Adds an open stream; it is dropped when its connection closes. */
  listen(member: string, session: string, response: Response): void {
    const listener = { member, session, response };
    this.listeners.add(listener);
    response.on('close', () => {
      this.listeners.delete(listener);
      if (!this.listening().includes(member)) this.pictures.delete(member);
    });
    this.inOrder(async () => {
      if (this.pictures.has(member)) return;
      for (const [id, picture] of await reachPictures(this.db, [member])) this.pictures.set(id, picture);
    });
  }

  /** Tells every listening member who may see the collection, by the rights they have when it is heard. */
  tellReaders(collection: string, event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'readers', collection }, event });
  }

  /** Tells every listening member who keeps the collection. */
  tellKeepers(collection: string, event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'keepers', collection }, event });
  }

  /** Tells all open pages of the whole team. */
  tellAll(event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'all' }, event });
  }

  /** Tells all open pages of one member. */
  tell(member: string, event: LiveEvent): Promise<void> {
    return this.publish({ about: 'event', to: { kind: 'member', id: member }, event });
  }

  /** To be called after collections, sharing or groups have changed: tells those whose bank is another by it. */
  reachChanged(): Promise<void> {
    return this.publish({ about: 'reach' });
  }

  /** Ends the streams of a member's sessions, all or all but one. */
  sessionsEnded(member: string, except?: string): Promise<void> {
    return this.publish({ about: 'ended', member, except });
  }

  /** A line that means nothing, so that connections through proxies stay open. */
  beat(): void {
    for (const { response } of this.listeners) response.write(': still here\n\n');
  }

  /** Ends all streams, at shutdown. */
  close(): void {
    for (const { response } of this.listeners) response.end();
    this.listeners.clear();
  }

  private publish(told: Told): Promise<void> {
    return this.bus.publish(JSON.stringify(told));
  }

  private listening(): string[] {
    return [...new Set([...this.listeners].map(({ member }) => member))];
  }

  /** One after the other, so that a page hears of things in the order they happened. Where one cannot be worked out, all ask. */
  private inOrder(work: () => Promise<void>): void {
    this.working = this.working.then(work).catch(() => this.write([...this.listeners], { type: 'missed' }));
  }

  private async hear(told: Told): Promise<void> {
    if (told.about === 'event') return this.deliver(told.to, told.event);
    if (told.about === 'reach') return this.lookAgain();
    for (const { member, session, response } of this.listeners)
      if (member === told.member && session !== told.except) response.end();
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
    for (const { response } of listeners) response.write(`data: ${JSON.stringify(event)}\n\n`);
  }
}
