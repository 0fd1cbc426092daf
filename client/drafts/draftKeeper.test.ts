import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import type { Draft } from '#contracts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { plainPassage, plainText } from '#core/passage';
import { ApiProblem, Unreachable } from '#client/api';
import { keptHere } from '../testing/keptHere';
import { DraftKeeper, newestKnown, unsentCopy, type Keeping } from './draftKeeper';
import { readCopy, type LocalCopy } from './localCopy';

const draftOf = (words: string): DraftDocument => ({ ...plainPassage(words), attrs: { placements: {} } });
const problem = (code: string, status: number, current?: Draft) =>
  new ApiProblem({ type: '', title: '', detail: '', code, status, current });

/** A computer that keeps, a server that answers as it is told, and a page with some words on it. */
function begin({ at = 1, copyOf = 1, on }: { at?: number; copyOf?: number; on?: LocalCopy['on'] } = {}) {
  const over: boolean[] = [];
  keptHere();
  const server = {
    version: at,
    text: at === 1 ? '' : 'theirs',
    down: null as Error | null,
    isMute: false,
    saves: 0,
  };
  const told: Keeping['kind'][] = [];
  let gate: Promise<void> | null = null;
  /** The text as the server gives it at this moment. */
  const answer = () => ({ id: 'd', version: server.version, document: draftOf(server.text) }) as Draft;
  const save = async (id: string, document: DraftDocument, version: number, isOver: boolean) => {
    server.saves += 1;
    over.push(isOver);
    await gate;
    if (server.down) throw server.down;
    if (version !== server.version) throw problem('moved-on', 412, answer());
    server.version += 1;
    server.text = plainText(document);
    if (server.isMute) throw new Unreachable();
    return { id, version: server.version, document, savedAt: 'now' } as Draft;
  };
  /** Holds back what is saved, until it is let go. */
  const holdSaves = () => {
    let letGo = (): void => undefined;
    gate = new Promise((open) => (letGo = open));
    return () => {
      gate = null;
      letGo();
    };
  };
  const aside: string[] = [];
  const setAside = (_: string, document: DraftDocument) => Promise.resolve(aside.push(plainText(document)));
  const draft = { id: 'd', version: server.version, document: emptyDraft() };
  const tell = ({ kind }: Keeping) => told.push(kind);
  const elsewhere: string[] = [];
  const savedElsewhere = () => elsewhere.push(server.text);
  const host = { member: 'm', save, setAside, tell, savedElsewhere, ...(on && { on }) };
  const written = (one: DraftKeeper, words: string) => {
    one.open();
    one.readFrom(() => draftOf(words));
    const type = (text: string) => {
      words += text;
      one.changed();
    };
    return { keeper: one, type };
  };
  const { keeper, type } = written(
    copyOf === at ? new DraftKeeper(host, draft) : new DraftKeeper(host, draft, { version: copyOf }),
    '',
  );
  /** The same text, opened again in the same window with what was not sent. */
  const again = (from: LocalCopy) => {
    const { document } = from;
    const second = written(new DraftKeeper(host, { ...draft, document }, from), plainText(document));
    second.keeper.changed();
    return second;
  };
  const copy = () => {
    const found = readCopy('m', 'd');
    return found && plainText(found.document);
  };
  return { keeper, server, told, type, copy, aside, over, elsewhere, again, answer, holdSaves };
}

const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('a change is on this computer in a moment, on the server soon, and then no longer on this computer', async () => {
  const { server, told, type, copy } = begin();
  type('a');
  await pass(200);
  expect(copy()).toBe('a');
  await pass(600);
  expect([server.text, copy(), told.at(-1)]).toEqual(['a', null, 'saved']);
});

test('the last words are saved after another screen was opened, and told of only then', async () => {
  const { keeper, server, type, elsewhere } = begin();
  type('a');
  await pass(800);
  type('b');
  keeper.leave();
  await pass(0);
  expect([server.text, elsewhere]).toEqual(['ab', ['ab']]);
  keeper.open();
  type('c');
  await pass(800);
  expect([server.text, elsewhere]).toEqual(['abc', ['ab']]);
});

test('someone who never stops typing is saved all the while', async () => {
  const { server, type } = begin();
  for (let key = 0; key < 100; key += 1) {
    type('x');
    await pass(100);
  }
  expect(server.text.length).toBeGreaterThan(90);
});

test('while the server is down everything is kept, and sent when it is back', async () => {
  const { server, told, type, copy } = begin();
  server.down = new Unreachable();
  type('a');
  await pass(3000);
  type('b');
  await pass(3000);
  expect([told.at(-1), copy()]).toEqual(['unreachable', 'ab']);
  server.down = null;
  await pass(5000);
  expect([server.text, told.at(-1), copy()]).toEqual(['ab', 'saved', null]);
});

test('what the server will not take is sent again only when it has changed', async () => {
  const { server, told, type, copy } = begin();
  server.down = problem('not-valid', 422);
  type('a');
  await pass(10_000);
  expect([server.saves, told.at(-1), copy()]).toEqual([1, 'refused', 'a']);
  server.down = null;
  type('b');
  await pass(1000);
  expect(server.text).toBe('ab');
});

test.each([
  ['a session that ran out', problem('not-signed-in', 401), 'signed-out'],
  ['another window', problem('moved-on', 412, { document: draftOf('theirs') } as Draft), 'moved-on'],
] as const)(
  'after %s nothing is sent until it is settled, and then all of it',
  async (_what, error, kind) => {
    const { keeper, server, told, type, copy } = begin();
    server.down = error;
    type('a');
    await pass(5000);
    type('b');
    await pass(5000);
    expect([server.saves, told.at(-1), copy()]).toEqual([1, kind, 'ab']);
    server.down = null;
    keeper.goOnFrom(server.version);
    await pass(100);
    expect([server.text, told.at(-1)]).toEqual(['ab', 'saved']);
  },
);

test('finishing waits for what is being sent and for what was typed meanwhile', async () => {
  const { keeper, server, type } = begin();
  type('a');
  const first = keeper.flush();
  type('b');
  await first;
  await keeper.flush();
  expect([server.text, keeper.isSaved]).toEqual(['ab', true]);
});

test('a copy that this computer kept of an older version never overwrites what another saved meanwhile', async () => {
  const { keeper, server, told, type, over } = begin({ at: 7, copyOf: 3 });
  type('mine, of version 3');
  await pass(1000);
  expect([server.text, told.at(-1)]).toEqual(['theirs', 'moved-on']);
  // Seen and wanted all the same: what is saved over is kept among the earlier states.
  keeper.saveOver(7);
  await pass(1000);
  expect([server.text, told.at(-1), over]).toEqual(['mine, of version 3', 'saved', [false, true]]);
  type(', and on');
  await pass(1000);
  expect(over.at(-1)).toBe(false);
});

test("where the other's is taken, mine is set aside, and only then no longer kept here", async () => {
  const { keeper, type, copy, aside } = begin({ at: 7, copyOf: 3 });
  type('mine');
  await pass(1000);
  expect(copy()).toBe('mine');
  keeper.takenOver({ version: 7, savedAt: 'now' }, draftOf('mine'));
  await pass(0);
  expect([aside, copy()]).toEqual([['mine'], null]);
});

test('opened again before what was written is sent, a text goes on from there, and is in nobody’s way', async () => {
  const { keeper, server, told, type, copy, again } = begin();
  server.down = new Unreachable();
  type('left behind');
  await pass(1000);
  keeper.leave();
  await pass(1000);
  const unsent = unsentCopy('m', 'd');
  expect(unsent && plainText(unsent.document)).toBe('left behind');
  const second = again(unsent!);
  second.type(', and on');
  await pass(1000);
  server.down = null;
  await pass(10_000);
  expect([server.text, told.includes('moved-on'), copy()]).toEqual(['left behind, and on', false, null]);
  expect(unsentCopy('m', 'd')).toBeNull();
});

test('what is on its way when a text is opened again arrives first', async () => {
  const { keeper, server, told, type, again, holdSaves } = begin();
  const letGo = holdSaves();
  type('a');
  await pass(800);
  type('b');
  keeper.leave();
  const second = again(unsentCopy('m', 'd')!);
  second.type('c');
  await pass(1000);
  expect(server.text).toBe('');
  letGo();
  await pass(2000);
  expect([server.text, server.version, told.includes('moved-on')]).toEqual(['abc', 3, false]);
});

test('a text that is asked for while its last words are on their way is opened with them, whichever comes first', async () => {
  const { keeper, type, answer, holdSaves } = begin();
  const letGo = holdSaves();
  type('a');
  keeper.leave();
  // Answered by the server before the last words came, read here after they did.
  const before = answer();
  letGo();
  await pass(0);
  expect(unsentCopy('m', 'd')).toBeNull();
  expect(newestKnown('m', before)).toMatchObject(answer());
});

test('what arrived though its answer was lost is nobody else’s, in this window and in the next', async () => {
  const { keeper, server, told, type, again } = begin();
  server.isMute = true;
  type('a');
  await pass(800);
  type('b');
  server.isMute = false;
  await pass(2000);
  expect([server.text, server.version, told.includes('moved-on')]).toEqual(['ab', 3, false]);

  server.isMute = true;
  type('c');
  await pass(800);
  type('d');
  // The page goes; what it had is opened by another.
  keeper.copyNow();
  await keeper.giveWay();
  server.isMute = false;
  again(readCopy('m', 'd')!);
  await pass(2000);
  expect([server.text, told.includes('moved-on')]).toEqual(['abcd', false]);
});

test('where the server has what was saved last, or what the text was opened with, nobody is in the way, whatever its version', async () => {
  const { server, told, type } = begin();
  server.version = 5;
  type('a');
  await pass(1000);
  server.version = 9;
  type('b');
  await pass(1000);
  expect([server.text, server.version, told.includes('moved-on')]).toEqual(['ab', 10, false]);
});

test('what somebody else saved after an answer was lost is told', async () => {
  const { server, told, type } = begin();
  server.isMute = true;
  type('a');
  await pass(800);
  Object.assign(server, { isMute: false, text: 'theirs', version: 3 });
  await pass(2000);
  expect([server.text, told.at(-1)]).toEqual(['theirs', 'moved-on']);
});

/** A text that is written in by a page after another, by what may happen to it. */
function pages() {
  const { server, told, type, keeper, again, answer, holdSaves } = begin();
  let letGo: (() => void) | null = null;
  let now = { type, keeper };
  let typed = '';
  let isLate = false;
  const happens = {
    type: () => {
      const letter = String.fromCharCode(97 + (typed.length % 26));
      typed += letter;
      now.type(letter);
    },
    reopen: async () => {
      now.keeper.leave();
      const asked = answer();
      await pass(isLate ? 5000 : 0);
      now = again(unsentCopy('m', 'd') ?? newestKnown('m', asked));
    },
    // The page is gone; what it sent may still arrive. Another has what this computer kept.
    'another page': () => {
      now.keeper.copyNow();
      void now.keeper.giveWay();
      now = again(readCopy('m', 'd') ?? answer());
    },
    down: () => (server.down = new Unreachable()),
    up: () => (server.down = null),
    wait: () => pass(900),
    slow: () => (letGo ??= holdSaves()),
    quick: () => (letGo = (letGo?.(), null)),
    late: () => (isLate = !isLate),
    mute: () => (server.isMute = true),
    heard: () => (server.isMute = false),
  };
  const settle = async () => {
    for (const one of ['up', 'heard', 'quick'] as const) happens[one]();
    await pass(20_000);
  };
  return { happens, settle, server, told, typed: () => typed };
}

test('however often a text is left and opened again, with the server there or not, it has all that was typed and nobody is in the way', async () => {
  const act = fc.constantFrom(
    ...(Object.keys(pages().happens) as (keyof ReturnType<typeof pages>['happens'])[]),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 20 }), async (acts) => {
      const { happens, settle, server, told, typed } = pages();
      for (const one of acts) await happens[one]();
      await settle();
      expect([server.text, told.includes('moved-on'), unsentCopy('m', 'd')]).toEqual([typed(), false, null]);
    }),
    { numRuns: 300 },
  );
});

test('what is kept of a text that is no draft says what it is, and where it is written', async () => {
  const { type } = begin({ on: { to: '/cases/c?line=d', called: 'name' } });
  type('a');
  await pass(200);
  expect(readCopy('m', 'd')?.on).toEqual({ to: '/cases/c?line=d', called: 'name' });
});
