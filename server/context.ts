import type { Logger } from 'pino';
import type { AccountTries } from './auth/accountTries';
import type { Database } from './db/openStore';
import type { EventHub } from './events/eventHub';
import type { PostOffice } from './post/postOffice';
import type { Settings } from './settings';

/** What every part of the server is given: nothing reaches for a clock, a database or a log by itself. */
export interface Context {
  db: Database;
  events: EventHub;
  post: PostOffice;
  /** Where the pages are, for links in letters: no slash at its end. */
  address: () => string;
  now: () => Date;
  /** Waits so many milliseconds. */
  pause: (ms: number) => Promise<void>;
  /** Wrong passwords by account. */
  tries: AccountTries;
  newId: () => string;
  log: Logger;
  version: string;
  settings: Pick<Settings, 'demo' | 'secureCookies' | 'webFolder' | 'atHand' | 'proxies' | 'address'>;
}
