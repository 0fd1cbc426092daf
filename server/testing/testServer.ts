import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import path from 'node:path';
import type { Express } from 'express';
import pg from 'pg';
import pino from 'pino';
import supertest from 'supertest';
import { loadDemo } from '../../demo/loadDemo';
import { makeApp } from '../app';
import type { Context } from '../context';
import { openStore, type Store } from '../db/openStore';
import { EventHub } from '../events/eventHub';

/** A signed-in caller. */
export type Caller = ReturnType<typeof supertest.agent>;

export interface TestServer {
  app: Express;
  context: Context;
  as: (member: string) => Promise<Caller>;
  close: () => Promise<void>;
}

/** A fresh database on the PostgreSQL server of the run, dropped when it is closed. */
async function openOnServer(url: string): Promise<Store> {
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
    await store.close();
    await asServer(`drop database ${name}`);
  };
  return { db: store.db, close };
}

function openTestStore(): Promise<Store> {
  const url = process.env.TEST_DATABASE_URL;
  const file = process.env.TEST_DATABASE_IMAGE;
  if (url) return openOnServer(url);
  return openStore({ image: file ? new Blob([fs.readFileSync(file)]) : null });
}

/** The application on a database of its own, with the demo's team, or with nobody. A clock that stands still. */
export async function startTestServer({
  demo = true,
  log = pino({ level: 'silent' }),
} = {}): Promise<TestServer> {
  const store = await openTestStore();
  const context: Context = {
    db: store.db,
    events: new EventHub(store.db),
    now: () => new Date('2026-11-24T10:00:00Z'),
    newId: randomUUID,
    log,
    version: '0.0.0',
    settings: { demo, secureCookies: false, webFolder: null },
  };
  if (demo) await loadDemo(context, path.join(import.meta.dirname, '../../demo'));
  const app = makeApp(context);
  const as = async (member: string) => {
    const caller = supertest.agent(app);
    await caller.post('/api/session/demo').send({ member }).expect(201);
    return caller;
  };
  return { app, context, as, close: () => store.close() };
}
