import type { Logger } from 'pino';
import type { AccountTries } from './accountTries';
import type { Database } from '../db';
import type { Announcer } from '../events';
import type { FileStore } from '../fileStore';
import type { Courier, PostOffice } from '../post';
import type { Settings } from './settings';

/** What every part of the server is given: nothing reaches for a clock, a database or a log by itself. */
export interface Context {
  db: Database;
  events: Announcer;
  /** What files hold. */
  files: FileStore;
  post: PostOffice;
  /** Hands over what members send. */
  courier: Courier;
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
  settings: Pick<
    Settings,
    | 'demo'
    | 'secureCookies'
    | 'webFolder'
    | 'atHand'
    | 'fileBytes'
    | 'proxies'
    | 'address'
    | 'dictionaryFolder'
    | 'backupFolder'
    | 'backupPassphrase'
    | 'databaseUrl'
    | 'dataFolder'
  >;
}
