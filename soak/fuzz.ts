import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { z } from 'zod';
import { ROUTES } from '#contracts';
import { RunningServer } from '../e2e/runningServer';
import { Values, type Shape } from './shapes';

/** At once; as many as a small team that is busy. */
const CALLERS = 8;
/** The demo's members: two owners among them. */
const MEMBERS = ['imke', 'odile', 'desta', 'anouk', 'ruan', 'wilma'];
/** What ends a caller's session or never ends: asked seldom, so that the others are asked with a session. */
const SELDOM = new Set([
  'signOut',
  'events',
  'signInDemo',
  'makeOwner',
  'leave',
  'endSession',
  'endOtherSessions',
]);

interface Target {
  name: string;
  method: string;
  path: string;
  guarded: boolean;
  shape: Shape | null;
}

const TARGETS: Target[] = Object.entries<{
  method: string;
  path: string;
  guarded?: boolean;
  body?: z.ZodType;
}>(ROUTES).map(([name, { method, path: at, guarded = false, body }]) => ({
  name,
  method: method.toUpperCase(),
  path: at,
  guarded,
  shape: body ? (z.toJSONSchema(body, { io: 'input', unrepresentable: 'any' }) as Shape) : null,
}));

/** What stands at the end of a path, where its parameter has another name. */
const KINDS: Record<string, string> = Object.fromEntries(
  TARGETS.flatMap(({ path: at }) => {
    const [, segment, key] = /\/([a-z-]+)\/:([a-z]+)$/i.exec(at) ?? [];
    return segment && key ? [[segment, key]] : [];
  }),
);

/** A request as it was sent, so that it can be sent again. */
interface Sent {
  name: string;
  /** The path as the contract has it, parameters unfilled. */
  path: string;
  method: string;
  url: string;
  headers: Record<string, string>;
  body: string | null;
  member: string;
}

export interface Fault {
  status: number | string;
  sent: Sent;
  answer: string;
}

/** One who asks: a member's session, and values of their own. */
class Asker {
  private cookie = '';
  private member = '';
  readonly statuses = new Map<number | string, number>();
  readonly reached = new Map<string, number>();

  constructor(
    private readonly url: string,
    private readonly values: Values,
    private readonly faults: Fault[],
  ) {}

  async signIn(): Promise<void> {
    this.member = this.values.one(MEMBERS.slice(0, this.values.one([2, 4, MEMBERS.length])));
    const response = await fetch(`${this.url}/api/session/demo`, {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ member: this.member }),
    });
    this.cookie = response.headers.getSetCookie()[0]?.split(';')[0] ?? '';
    await response.text();
  }

  /** What is asked next: a route, its path filled, its body of its shape or spoilt. */
  private compose(): Sent {
    const { values } = this;
    let target = values.one(TARGETS);
    if (SELDOM.has(target.name) && values.chance(0.97)) target = values.one(TARGETS);
    let named = '';
    const url = target.path.replace(/:([a-z]+)/gi, (_, key: string) => {
      named = wellFormed(key === 'revision' && values.chance(0.8) ? '1' : values.id(key));
      return encodeURIComponent(named);
    });
    const query = values.chance(0.05) ? `?${encodeURIComponent(wellFormed(values.id()))}=%E0%A4` : '';
    const headers: Record<string, string> = { Cookie: this.cookie };
    const version = values.known.versions.get(named);
    if (target.guarded && version !== undefined && values.chance(0.8)) headers['If-Match'] = `"${version}"`;
    else if (target.guarded && values.chance(0.95))
      headers['If-Match'] = values.one([
        '"1"',
        '"2"',
        '"3"',
        '"0"',
        '"-1"',
        '"2147483648"',
        'W/"1"',
        '1',
        '*',
        '""',
      ]);
    let body: string | null = null;
    if (target.method !== 'GET' && (target.shape || values.chance(0.05))) {
      headers['Content-Type'] = values.chance(0.98)
        ? 'application/json'
        : values.one(['text/plain', 'application/json; charset=utf-7', 'multipart/form-data']);
      body = this.body(target.shape);
    }
    return {
      name: target.name,
      path: target.path,
      method: target.method,
      url: url + query,
      headers,
      body,
      member: this.member,
    };
  }

  private body(shape: Shape | null): string {
    const { values } = this;
    let value = shape ? values.of(shape) : values.anything();
    for (let at = values.one([0, 0, 0, 1, 1, 2]); at > 0; at -= 1) value = values.spoilt(value);
    const text = JSON.stringify(value) ?? '';
    return values.chance(0.02) ? text.slice(0, values.below(text.length + 1)) : text;
  }

  async ask(): Promise<void> {
    const sent = this.compose();
    let status: number | string;
    let answer = '';
    try {
      const stop = new AbortController();
      const response = await fetch(this.url + sent.url, {
        method: sent.method,
        headers: sent.headers,
        body: sent.body,
        signal: stop.signal,
        redirect: 'manual',
      });
      ({ status } = response);
      if (response.headers.get('content-type')?.startsWith('text/event-stream')) stop.abort();
      else answer = await response.text();
    } catch (error) {
      status = error instanceof Error && error.cause instanceof Error ? error.cause.message : String(error);
    }
    this.statuses.set(status, (this.statuses.get(status) ?? 0) + 1);
    if (typeof status === 'string' || status >= 500)
      this.faults.push({ status, sent, answer: answer.slice(0, 300) });
    else if (status < 300) {
      this.reached.set(sent.name, (this.reached.get(sent.name) ?? 0) + 1);
      this.learn(answer, sent.path);
    }
    if (status === 401) await this.signIn();
  }

  /** Learns what an answer holds; a bare id in it is of what the path names last. */
  private learn(answer: string, target: string): void {
    if (answer.length > 400_000) return;
    const segment =
      target
        .split('/')
        .filter((part) => !part.startsWith(':') && part !== 'api')
        .at(-1) ?? '';
    try {
      this.values.known.learn(JSON.parse(answer), KINDS[segment] ?? segment);
    } catch {
      // Long answers come in lines: nothing to learn from them.
    }
  }

  /** Asks for what there is, as a page does when it opens. */
  async lookAround(): Promise<void> {
    for (const { path: at, method } of TARGETS.filter(
      ({ path: one, method: by }) => by === 'GET' && !one.includes(':'),
    )) {
      if (at === '/api/events') continue;
      const response = await fetch(this.url + at, { method, headers: { Cookie: this.cookie } });
      if (response.ok) this.learn(await response.text(), at);
    }
  }
}

/** A path can hold no half of a sign. */
const wellFormed = (text: string) => Buffer.from(text.slice(0, 400), 'utf8').toString('utf8');

/**
 * Sends so many requests to the built server on a store: every route, with bodies of their schema, most of them spoilt
 * in a place or two. Gives back those answered with 500 or more, or not at all.
 */
export async function fuzz(
  requests: number,
  seed: number,
  databaseUrl: string,
  say: (line: string) => void,
): Promise<Fault[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-fuzz-'));
  const server = await RunningServer.start(folder, { databaseUrl });
  const faults: Fault[] = [];
  const askers = Array.from(
    { length: CALLERS },
    (_, at) => new Asker(server.url, new Values(seed * 100 + at), faults),
  );
  let left = requests;
  const began = performance.now();
  try {
    await Promise.all(
      askers.map(async (asker) => {
        await asker.signIn();
        await asker.lookAround();
        while (left > 0 && faults.length < 200) {
          left -= 1;
          if (left % 10_000 === 0)
            say(
              `  ${requests - left} sent, ${Math.round((performance.now() - began) / 1000)} s, ${faults.length} faults`,
            );
          await asker.ask();
        }
      }),
    );
  } finally {
    await server.stop();
    fs.rmSync(folder, { recursive: true, force: true });
  }
  const sum = <Key>(pick: (asker: Asker) => Map<Key, number>) => {
    const all = new Map<Key, number>();
    for (const asker of askers)
      for (const [key, count] of pick(asker)) all.set(key, (all.get(key) ?? 0) + count);
    return all;
  };
  const statuses = [...sum(({ statuses: one }) => one)].sort(([a], [b]) =>
    String(a).localeCompare(String(b)),
  );
  say(`  answered: ${statuses.map(([status, count]) => `${status} ${count}`).join(', ')}`);
  const reached = sum(({ reached: one }) => one);
  say(
    `  ${reached.size} of ${TARGETS.length} routes did what was asked at least once; never: ${
      TARGETS.filter(({ name }) => !reached.has(name))
        .map(({ name }) => name)
        .join(', ') || 'none'
    }`,
  );
  return faults;
}
