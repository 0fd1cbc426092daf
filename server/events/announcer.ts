import type { Response } from 'express';
import type { LiveEvent } from '#contracts';

/** Tells open pages what concerns their members, whichever process serves them. */
export interface Announcer {
  /**
   * Adds an open stream; it is dropped when its connection closes. `askedFor`: for so many ms its page has asked for what it shows; told
   * anything since then that may concern its member, it is told that it missed something. Without it nothing is said of before.
   */
  listen(member: string, session: string, response: Response, askedFor?: number): void;
  /** Tells every listening member who may see the collection, by the rights they have when it is heard. */
  tellReaders(collection: string, event: LiveEvent): Promise<void>;
  /** Tells every listening member who keeps the collection. */
  tellKeepers(collection: string, event: LiveEvent): Promise<void>;
  /** Tells all open pages of the whole team. */
  tellAll(event: LiveEvent): Promise<void>;
  /** Tells all open pages of one member. */
  tell(member: string, event: LiveEvent): Promise<void>;
  /** To be called after collections, sharing or groups have changed: tells those whose bank is another by it. */
  reachChanged(): Promise<void>;
  /** Ends the streams of a member's sessions, all or all but one. */
  sessionsEnded(member: string, except?: string): Promise<void>;
  /** Ends the streams of one session of a member. */
  sessionEnded(member: string, session: string): Promise<void>;
}
