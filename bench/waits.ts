import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { RunningServer } from '../e2e/runningServer';
import type { Measured } from './measure';
import { withPostgres } from './postgres';
import { SignedIn, signedIn } from './signedIn';

/** Others ask again this long after each answer, as people at work do. */
const PAUSE_MS = 10;

interface Content {
  title: string;
  cues: { text: string }[];
}
interface Kept {
  id: string;
  revision: number;
  content: Content;
}

/** Somebody whose large act others may have to wait for. */
class Actor extends SignedIn {
  /** Does it and reads the answer; throws where it is refused. */
  async do<Answer>(method: string, route: string, body: unknown, version?: number): Promise<Answer> {
    const response = await this.call(method, route, body, version);
    const text = await response.text();
    if (!response.ok) throw new Error(`${method} ${route} was refused: ${text.slice(0, 300)}`);
    return (text === '' ? null : JSON.parse(text)) as Answer;
  }

  steps = async <Answer>(...steps: object[]): Promise<Answer> =>
    this.do('POST', '/api/entries/steps', { steps });
}

/** How long others wait, in milliseconds each, while a large act is done. */
async function waitsDuring(other: SignedIn, act: () => Promise<unknown>): Promise<number[]> {
  const waits: number[] = [];
  let isDone = false;
  const asking = (async () => {
    while (!isDone) {
      const start = performance.now();
      await (await other.call('POST', '/api/collections/ward/changes', { had: null })).text();
      waits.push(performance.now() - start);
      await new Promise((rest) => setTimeout(rest, PAUSE_MS));
    }
  })();
  await act();
  isDone = true;
  await asking;
  return waits;
}

/** Makes entries like another, a hundred in one act. */
async function make(imke: Actor, like: Content, collection: string, count: number): Promise<Kept[]> {
  const made: Kept[] = [];
  for (let from = 0; from < count; from += 100) {
    const steps = Array.from({ length: Math.min(100, count - from) }, (_, at) => {
      const content = { ...like, title: `${like.title} ${from + at}`, cues: [] };
      return { do: 'make', name: `n${at}`, collection, content, reason: '' };
    });
    made.push(...(await imke.steps<{ entries: Kept[] }>(...steps)).entries);
  }
  return made;
}

/** A file of five hundred collections within each other, and a thousand entries. */
const fileOf = (like: Content, settings: object) => ({
  name: 'Of a file',
  places: {},
  collections: Array.from({ length: 500 }, (_, at) => ({
    ...settings,
    id: `c${at}`,
    parent: at === 0 ? null : `c${Math.floor((at - 1) / 8)}`,
    name: `Of a file ${at}`,
  })),
  entries: Array.from({ length: 1000 }, (_, at) => ({
    id: `e${at}`,
    collection: `c${at % 500}`,
    content: { ...like, title: `Of a file ${at}`, cues: [] },
    replaces: null,
  })),
  known: {},
});

/** An entry that is one long text. */
function entryOf(like: Content, text: string): Content {
  const passage = { type: 'doc', content: [{ type: 'paragraph', content: [{ type: 'text', text }] }] };
  const parts = [{ id: 'text', name: 'Text', passage }];
  const wordings = [{ id: 'w', name: 'W', language: 'en-GB', parts }];
  return { ...like, title: 'Long', cues: [], ...{ fields: [], conditions: [], wordings } };
}

/** The large acts, each with what it is called and how it is done. */
async function actsOf(imke: Actor): Promise<[string, () => Promise<unknown>][]> {
  const bank = await imke.do<{ entries: Kept[]; collections: { id: string; cueRules: object }[] }>(
    'GET',
    '/api/bank',
    undefined,
  );
  const like = bank.entries.find(({ id }) => id === 'handling')!.content;
  const settings = {
    leadIn: ';',
    cueRules: bank.collections[0]!.cueRules,
    kindsOfWork: [],
    language: 'en-GB',
  };
  const home = { ...settings, name: 'Large acts', parent: null };
  const { id: collection } = await imke.do<{ id: string }>('POST', '/api/collections', home);
  const entries = await make(imke, like, collection, 4500);
  const ids = entries.map(({ id }) => id);
  const glossary = { name: 'Long', language: 'en-GB', kindsOfWork: [], priority: 2, careful: false };
  const list = await imke.do<{ id: string; version: number }>('POST', '/api/glossaries', glossary);
  const terms = Array.from({ length: 300_000 }, (_, at) => `t${at.toString(36)} x`).join('\n');
  const text = 'The hedgehog of 4 March 2026 weighed 512 g and ate well at night. '
    .repeat(3000)
    .slice(0, 199_000);
  const file = fileOf(like, settings);
  const changes = entries.slice(0, 2000).map(({ id, revision, content }) => {
    return { entry: id, revision, content: { ...content, title: `${content.title}, changed` } };
  });
  let deletion = '';
  return [
    ['2,000 entries are changed', () => imke.steps({ do: 'change', changes, reason: '' })],
    [
      '4,500 entries are deleted',
      async () => {
        const done = await imke.steps<{ deletions: string[] }>({ do: 'delete', entries: ids });
        deletion = done.deletions[0]!;
      },
    ],
    ['4,500 entries are restored', () => imke.steps({ do: 'restore', deletion })],
    [
      '300,000 terms are imported',
      () => imke.do('POST', `/api/glossaries/${list.id}/import`, { terms, replace: true }, list.version),
    ],
    [
      'a file of 500 collections is brought in',
      async () => {
        const { entries, known, ...begun } = file;
        const { id: came } = await imke.do<{ id: string }>('POST', '/api/imports', begun);
        for (const piece of [entries.slice(0, 500), entries.slice(500)])
          await imke.do('POST', `/api/imports/${came}/pieces`, { entries: piece, known, coming: [] });
        await imke.do('POST', `/api/imports/${came}/finish`, undefined);
      },
    ],
    [
      'personal details are sought in an entry of 199,000 characters',
      async () => {
        const long = entryOf(like, text);
        await imke.do('POST', '/api/entries', { collection, content: long, reason: '' });
        await (await imke.call('POST', '/api/order/personal')).text();
      },
    ],
  ];
}

async function run(where: string, url: string): Promise<Measured[]> {
  const imke = await signedIn(url, 'imke', Actor);
  const other = await signedIn(url, 'odile', SignedIn);
  const results: Measured[] = [];
  for (const [what, act] of await actsOf(imke)) {
    const start = performance.now();
    const waits = (await waitsDuring(other, act)).sort((a, b) => a - b);
    const seconds = (performance.now() - start) / 1000;
    const at = (share: number) => waits[Math.min(waits.length - 1, Math.floor(waits.length * share))]! * 1e6;
    process.stdout.write(
      `  ${where}: ${what} in ${seconds.toFixed(1)} s; of ${waits.length} questions meanwhile none waited longer than ${Math.ceil(waits.at(-1)!)} ms\n`,
    );
    results.push({
      section: 'waits',
      work: `how long another member waits for what changed in a collection while ${what}`,
      contender: where,
      perSecond: waits.length / seconds,
      p50: at(0.5),
      p95: at(0.95),
      p99: at(0.99),
      longest: waits.at(-1)! * 1e6,
    });
  }
  return results;
}

/** How long others wait while one does something large, on the embedded store and on PostgreSQL. */
export async function benchWaits(): Promise<Measured[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-waits-'));
  try {
    const embedded = await RunningServer.start(folder);
    const results = await run('Embedded', embedded.url);
    await embedded.stop();
    const served = await withPostgres(async (databaseUrl) => {
      const server = await RunningServer.start(folder, { databaseUrl });
      const all = await run('PostgreSQL', server.url);
      await server.stop();
      return all;
    });
    return [...results, ...(served ?? [])];
  } finally {
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
