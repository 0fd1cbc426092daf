import type { PGlite } from '@electric-sql/pglite';

/** Sends messages of PostgreSQL's protocol to the embedded database; answers what it says. */
type Send = PGlite['execProtocolStream'];
type Said = Awaited<ReturnType<Send>>;

/** A statement the database has read and keeps by a name, with its parameters and columns once it was asked for them. */
interface Kept {
  name: string;
  described?: Said;
}

/** Statements that are kept, and statements that are remembered to have been asked once. */
const MOST_KEPT = 400;
const MOST_SEEN = 2000;
/** A longer statement has a list in it that is hardly asked for twice. In bytes. */
const LONGEST = 8192;

const PARSE = 0x50; // P
const DESCRIBE = 0x44; // D
const BIND = 0x42; // B
const EXECUTE = 0x45; // E
const SYNC = 0x53; // S
const CLOSE = 0x43; // C
const STATEMENT = 0x53; // S, what is described or closed
/** Where a message's own content begins: after its kind and its length. */
const CONTENT = 5;

const syncMessage = message(SYNC, Buffer.alloc(0));

function message(kind: number, content: Uint8Array): Buffer {
  const all = Buffer.alloc(CONTENT + content.length);
  all[0] = kind;
  all.writeInt32BE(content.length + 4, 1);
  all.set(content, CONTENT);
  return all;
}

const named = (name: string) => Buffer.from(`${name}\0`, 'latin1');
const ofStatement = (kind: number, name: string) =>
  message(kind, Buffer.concat([Buffer.of(STATEMENT), named(name)]));
const contentOf = (sent: Uint8Array) => sent.subarray(CONTENT);

/** The words of a statement that is to be read without a name or types of its own; null for others, and for long ones. */
function wordsOf(sent: Uint8Array): string | null {
  const content = contentOf(sent);
  if (content[0] !== 0 || content.length > LONGEST) return null;
  const end = content.indexOf(0, 1);
  const declared = content[end + 1]! * 256 + content[end + 2]!;
  return declared === 0 ? Buffer.from(content.subarray(1, end)).toString('latin1') : null;
}

/** Has the oldest of a map go while there are more than the most. */
function* beyond<Value>(map: Map<string, Value>, most: number): Generator<Value> {
  for (const [key, value] of map) {
    if (map.size <= most) return;
    map.delete(key);
    yield value;
  }
}

/**
 * Has the embedded database read a statement once, not each time it is asked: PGlite sends six messages for every
 * question and forgets what it read. From the second time on a statement is kept by a name (a prepared statement of
 * PostgreSQL's extended query protocol), its description is remembered, and a question is one message of three parts.
 * Takes what PGlite sends with, and how many statements
 * are kept; answers what is to stand in its place. Statements must not be kept before the
 * schema is up to date. The database sees the questions one after another: PGlite holds the next until one has ended.
 */
export function keptStatements(send: Send, most = MOST_KEPT): Send {
  const kept = new Map<string, Kept>();
  const seen = new Map<string, true>();
  let names = 0;
  let current: Kept | null = null;
  let bound: Uint8Array | null = null;
  let isEnded = false;

  /** Reads a statement by a name of its own; the one not asked for longest goes. */
  async function keep(words: string, sent: Uint8Array, options: Parameters<Send>[1]): Promise<Said> {
    const one = { name: `kept_${(names += 1)}` };
    const said = await send(
      message(PARSE, Buffer.concat([named(one.name), contentOf(sent).subarray(1)])),
      options,
    );
    kept.set(words, one);
    current = one;
    for (const { name } of beyond(kept, most)) await send(ofStatement(CLOSE, name), options);
    return said;
  }

  async function parse(sent: Uint8Array, options: Parameters<Send>[1]): Promise<Said> {
    const words = wordsOf(sent);
    if (words === null) return send(sent, options);
    const one = kept.get(words);
    if (one) {
      // Asked for last, it goes last.
      kept.delete(words);
      kept.set(words, one);
      current = one;
      return [];
    }
    if (seen.delete(words)) return keep(words, sent, options);
    seen.set(words, true);
    Array.from(beyond(seen, MOST_SEEN));
    return send(sent, options);
  }

  async function describe(sent: Uint8Array, options: Parameters<Send>[1], one: Kept): Promise<Said> {
    one.described ??= await send(ofStatement(DESCRIBE, one.name), options);
    if (sent[CONTENT] === STATEMENT) return one.described;
    return one.described.filter(({ name }) => name === 'rowDescription');
  }

  /** All in one message; it ends the question, too, and the database goes on to that end though a part before it fails. */
  function execute(sent: Uint8Array, options: Parameters<Send>[1], values: Uint8Array): Promise<Said> {
    isEnded = true;
    return send(Buffer.concat([values, sent, syncMessage]), options);
  }

  return async (sent, options) => {
    const kind = sent[0];
    if (kind === SYNC) {
      const wasEnded = isEnded;
      current = bound = null;
      isEnded = false;
      return wasEnded ? [] : send(sent, options);
    }
    if (kind === PARSE) return parse(sent, options);
    if (!current) return send(sent, options);
    if (kind === DESCRIBE) return describe(sent, options, current);
    if (kind === BIND) {
      // Without a name for its portal, as it came; the statement's stands after that.
      const content = Buffer.concat([Buffer.of(0), named(current.name), contentOf(sent).subarray(2)]);
      bound = message(BIND, content);
      return [];
    }
    if (kind === EXECUTE && bound) return execute(sent, options, bound);
    return send(sent, options);
  };
}
