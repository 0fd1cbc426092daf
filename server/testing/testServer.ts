import { randomUUID } from 'node:crypto';
import path from 'node:path';
import type { Express } from 'express';
import pg from 'pg';
import pino, { type Logger } from 'pino';
import supertest from 'supertest';
import { loadDemo } from '../../demo/loadDemo';
import { makeApp } from '../app';
import { AccountTries, type Context, type Settings } from '../context';
import { openStore, type Store } from '../db';
import type { Bus } from '../events';
import { EventHub } from '../streams';
import { databaseStore } from '../fileStore';
import { outboxCourier, PostRoom, type Courier } from '../post';
import { embeddedStore } from './embeddedStore';

/** A signed-in caller. */
export type Caller = ReturnType<typeof supertest.agent>;

export interface TestServer {
  app: Express;
  context: Context;
  /** How long answers were held back, in milliseconds, one after the other. */
  paused: number[];
  as: (member: string) => Promise<Caller>;
  /** Another server process on the same store: on PGlite, which one process alone may open, a second hub on its bus. */
  another: () => Promise<{ events: EventHub }>;
  /** The hub of the server that runs, as its maker has it. */
  hub: EventHub;
  close: () => Promise<void>;
}

type TestStore = Store & Pick<TestServer, 'another'>;

/** A bus that more than one listens to. */
function sharedBus(bus: Bus): Bus {
  const hearing: ((message: string) => void)[] = [];
  bus.subscribe(
    (message) => hearing.forEach((hear) => hear(message)),
    () => undefined,
  );
  return { ...bus, subscribe: (hear) => void hearing.push(hear) };
}

/** A fresh database on the PostgreSQL server of the run, dropped when it is closed. */
async function openOnServer(url: string): Promise<TestStore> {
  const name = `test_${randomUUID().replaceAll('-', '')}`;
  const asServer = async (statement: string) => {
    const client = new pg.Client({ connectionString: url });
    await client.connect();
    await client.query(statement);
    await client.end();
  };
  await asServer(`create database ${name}`);
  const own = new URL(url);
  own.pathname = `/${name}`;
  const store = await openStore({ url: own.href });
  const close = async () => {
    for (const other of others) await other.close();
    await store.close();
    await asServer(`drop database ${name}`);
  };
  const others: Store[] = [];
  const another = async () => {
    const second = await openStore({ url: own.href });
    others.push(second);
    return { events: new EventHub(second.db, second.bus) };
  };
  return { ...store, another, close };
}

async function openTestStore(demo: Settings['demo']): Promise<TestStore> {
  const url = process.env.TEST_DATABASE_URL;
  if (url) return openOnServer(url);
  const store = await embeddedStore(demo === 'first-day' ? 'first-day' : 'empty');
  const bus = sharedBus(store.bus);
  const another = () => Promise.resolve({ events: new EventHub(store.db, bus) });
  return { ...store, bus, another };
}

/** How a server of a test is; what is left out is as on the demo's first day. */
interface Start {
  demo?: Settings['demo'];
  log?: Logger;
  atHand?: number;
  fileBytes?: number;
  dictionaryFolder?: string;
  courier?: Courier;
  backupFolder?: string;
}

/** The application on a database of its own, with the demo's team, or with nobody. A clock that stands still. */
export async function startTestServer({
  demo = 'first-day',
  log = pino({ level: 'silent' }),
  atHand = 5000,
  fileBytes = 1_000_000,
  dictionaryFolder = path.join(import.meta.dirname, 'dictionaries'),
  courier = outboxCourier,
  backupFolder,
}: Start = {}): Promise<TestServer> {
  const store = await openTestStore(demo);
  const paused: number[] = [];
  const hub = new EventHub(store.db, store.bus);
  const context: Context = {
    db: store.db,
    events: hub,
    files: databaseStore(store.db),
    post: new PostRoom(),
    courier,
    address: () => 'https://bank.hollin.example',
    now: () => new Date('2026-11-24T10:00:00Z'),
    pause: async (ms) => Promise.resolve(void paused.push(ms)),
    tries: new AccountTries(() => 0),
    newId: randomUUID,
    log,
    version: '0.0.0',
    settings: {
      demo,
      secureCookies: false,
      webFolder: null,
      atHand,
      fileBytes,
      dictionaryFolder,
      backupFolder: backupFolder ?? null,
      backupPassphrase: null,
      databaseUrl: process.env.TEST_DATABASE_URL ?? null,
      dataFolder: '',
      proxies: 0,
      address: null,
    },
  };
  if (demo) await loadDemo(context, path.join(import.meta.dirname, '../../demo'), demo === 'lived');
  const app = makeApp(context);
  const as = async (member: string) => {
    const caller = supertest.agent(app);
    await caller.post('/api/session/demo').send({ member }).expect(201);
    return caller;
  };
  return { app, context, hub, paused, as, another: store.another, close: () => store.close() };
}
