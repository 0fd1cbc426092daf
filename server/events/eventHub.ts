import type { Response } from 'express';
import type { LiveEvent } from '#contracts';
import { rightsAmong } from '../bank/rights';
import type { Database } from '../db/openStore';

interface Listener {
  member: string;
  response: Response;
}

/** Keeps the open pages' event streams and tells each member what concerns them, and nothing else. */
export class EventHub {
  private readonly listeners = new Set<Listener>();

  constructor(private readonly db: Database) {}

  /** Adds an open stream; it is dropped when its connection closes. */
  listen(member: string, response: Response): void {
    const listener = { member, response };
    this.listeners.add(listener);
    response.on('close', () => this.listeners.delete(listener));
  }

  /** The members who have a page open. */
  listening(): string[] {
    return [...new Set([...this.listeners].map(({ member }) => member))];
  }

  /** Tells every listening member who may see the collection, by the rights they have at this moment. */
  async tellReaders(collection: string, event: LiveEvent): Promise<void> {
    const readers = await rightsAmong(this.db, this.listening(), collection);
    for (const member of readers.keys()) this.tell(member, event);
  }

  /** Tells every listening member who keeps the collection. */
  async tellKeepers(collection: string, event: LiveEvent): Promise<void> {
    const readers = await rightsAmong(this.db, this.listening(), collection);
    for (const [member, right] of readers) if (right === 'keep') this.tell(member, event);
  }

  /** Tells all open pages of the whole team. */
  tellAll(event: LiveEvent): void {
    for (const { response } of this.listeners) response.write(`data: ${JSON.stringify(event)}\n\n`);
  }

  /** Tells all open pages of one member. */
  tell(member: string, event: LiveEvent): void {
    for (const listener of this.listeners) {
      if (listener.member === member) listener.response.write(`data: ${JSON.stringify(event)}\n\n`);
    }
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
}
