import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Bank, Collection, Entry } from '#contracts';
import { newEntry } from '#core/entry';
import { askedWith, withBank, withCollection, withEntries, withoutEntry } from './mergedBank';

const PLACES = ['a', 'b', 'c'];
/** What a page of the model is given unasked. */
const AT_HAND = ['a'];

/** A server as far as pages can tell: entries in collections that count their changes, and what left them. */
class Server {
  private readonly changes = new Map(PLACES.map((id) => [id, 0]));
  private readonly entries = new Map<string, { entry: Entry; change: number }>();
  private readonly departures = new Map<string, number>();
  private readonly unseen = new Set<string>();
  private made = 0;

  private next(collection: string): number {
    const change = this.changes.get(collection)! + 1;
    this.changes.set(collection, change);
    return change;
  }

  private standing(): Entry[] {
    return [...this.entries.values()].map(({ entry }) => entry);
  }

  private pick(at: number): Entry | undefined {
    const all = this.standing();
    return all[at % Math.max(1, all.length)];
  }

  make(collection: string): void {
    const id = `e${(this.made += 1)}`;
    const content = newEntry(id, 'en-GB');
    const entry = {
      id,
      collection,
      revision: 1,
      content,
      savedAt: '',
      savedBy: '',
      reason: '',
      varies: null,
    };
    this.entries.set(id, { entry, change: this.next(collection) });
  }

  save(at: number): void {
    const entry = this.pick(at);
    if (entry)
      this.entries.set(entry.id, {
        entry: { ...entry, revision: entry.revision + 1 },
        change: this.next(entry.collection),
      });
  }

  private depart(entry: Entry): void {
    this.departures.set(`${entry.collection} ${entry.id}`, this.next(entry.collection));
  }

  move(at: number, to: string): void {
    const entry = this.pick(at);
    if (!entry || entry.collection === to) return;
    this.depart(entry);
    this.entries.set(entry.id, { entry: { ...entry, collection: to }, change: this.next(to) });
  }

  drop(at: number): void {
    const entry = this.pick(at);
    if (!entry) return;
    this.depart(entry);
    this.entries.delete(entry.id);
  }

  hide(collection: string): void {
    if (!this.unseen.delete(collection)) this.unseen.add(collection);
  }

  private changed(collection: string, had: number | null) {
    const entries = [...this.entries.values()].flatMap(({ entry, change }) =>
      entry.collection === collection && change > (had ?? -1) ? [entry] : [],
    );
    const gone = [...this.departures].flatMap(([key, change]) => {
      const [from, entry] = key.split(' ') as [string, string];
      return had !== null && from === collection && change > had ? [{ entry, collection }] : [];
    });
    return { entries, gone };
  }

  collection(id: string, had: number | null) {
    if (this.unseen.has(id)) return null;
    return { changes: this.changes.get(id)!, ...this.changed(id, had) };
  }

  entry(id: string): Entry | null {
    const found = this.entries.get(id)?.entry;
    return found && !this.unseen.has(found.collection) ? found : null;
  }

  bank(had: Record<string, number>, loose: readonly string[]): Bank {
    const seen = PLACES.filter((id) => !this.unseen.has(id));
    const given = seen.filter((id) => AT_HAND.includes(id) || id in had);
    const parts = given.map((id) => this.changed(id, had[id] ?? null));
    const others = loose.flatMap((id) => this.entry(id) ?? []);
    return {
      collections: seen.map((id) => ({ id, changes: this.changes.get(id)! }) as Collection),
      counts: Object.fromEntries(
        seen.flatMap((id) => {
          const count = this.standing().filter(({ collection }) => collection === id).length;
          return count > 0 ? [[id, count]] : [];
        }),
      ),
      away: seen.filter((id) => !given.includes(id)),
      entries: [
        ...parts.flatMap(({ entries }) => entries),
        ...others.filter(({ collection }) => !given.includes(collection)),
      ],
      gone: parts.flatMap(({ gone }) => gone),
    };
  }
}

/** A page: what it asks is answered at once, and reaches it when it does. */
class Page {
  bank: Bank;
  private readonly coming: (() => void)[] = [];

  constructor(private readonly server: Server) {
    this.bank = server.bank({}, []);
  }

  askAll(): void {
    const had = this.bank;
    const { had: counts, loose } = askedWith(had);
    const next = this.server.bank(counts, loose);
    this.coming.push(() => (this.bank = withBank(this.bank, had, next)));
  }

  askCollection(id: string): void {
    const known = this.bank.collections.find((one) => one.id === id);
    if (!known) return;
    const had = this.bank.away.includes(id) ? null : known.changes;
    const next = this.server.collection(id, had);
    if (next) this.coming.push(() => (this.bank = withCollection(this.bank, id, next, had === null)));
  }

  askEntry(id: string): void {
    const entry = this.server.entry(id);
    this.coming.push(
      () => (this.bank = entry ? withEntries(this.bank, [entry]) : withoutEntry(this.bank, id)),
    );
  }

  /** One of the answers under way arrives: not always the first that was asked for. */
  arrive(at: number): void {
    if (this.coming.length > 0) this.coming.splice(at % this.coming.length, 1)[0]!();
  }

  /** All answers arrive, and what changed is asked for once more, as when its stream opens. */
  catchUp(): void {
    while (this.coming.length > 0) this.arrive(0);
    this.askAll();
    this.arrive(0);
  }
}

const number = fc.nat({ max: 8 });
const place = fc.constantFrom(...PLACES);
const steps = fc.array(
  fc.oneof(
    fc.tuple(fc.constant('make' as const), place),
    fc.tuple(fc.constantFrom('save' as const, 'drop' as const), number),
    fc.tuple(fc.constant('move' as const), number, place),
    fc.tuple(fc.constant('hide' as const), place),
    fc.tuple(fc.constant('askAll' as const)),
    fc.tuple(fc.constant('askCollection' as const), place),
    fc.tuple(fc.constant('askEntry' as const), number),
    fc.tuple(fc.constant('arrive' as const), number),
  ),
  { maxLength: 40 },
);
type Step = typeof steps extends fc.Arbitrary<(infer T)[]> ? T : never;

function take(step: Step, server: Server, page: Page): void {
  switch (step[0]) {
    case 'make':
      return server.make(step[1]);
    case 'save':
    case 'drop':
      return server[step[0]](step[1]);
    case 'move':
      return server.move(step[1], step[2]);
    case 'hide':
      return server.hide(step[1]);
    case 'askAll':
      return page.askAll();
    case 'askCollection':
      return page.askCollection(step[1]);
    case 'askEntry':
      return page.askEntry(`e${step[1]}`);
    case 'arrive':
      return page.arrive(step[1]);
  }
}

const told = (entries: readonly Entry[]) =>
  entries.map(({ id, collection, revision }) => `${id} ${collection} ${revision}`).sort();

describe('a page’s bank', () => {
  test('whatever changes, is asked and arrives in whatever order: caught up, it is what the server has', () => {
    fc.assert(
      fc.property(steps, (all) => {
        const server = new Server();
        const page = new Page(server);
        for (const step of all) take(step, server, page);
        page.catchUp();
        const { away, entries, collections } = page.bank;
        const hand = collections.map(({ id }) => id).filter((id) => !away.includes(id));
        // Everything of what is at hand...
        const whole = server.bank(Object.fromEntries(hand.map((id) => [id, -1])), []);
        expect(told(entries.filter(({ collection }) => hand.includes(collection)))).toEqual(
          told(whole.entries),
        );
        // ...and of the rest nothing that is not there, as it stands.
        const loose = entries.filter(({ collection }) => !hand.includes(collection));
        expect(told(loose)).toEqual(told(loose.flatMap(({ id }) => server.entry(id) ?? [])));
      }),
      { numRuns: 2000 },
    );
  });

  test('nothing new, it is the very same; what comes to hand while an answer is on its way stays', () => {
    const server = new Server();
    server.make('a');
    server.make('b');
    const page = new Page(server);
    const before = page.bank;
    page.catchUp();
    expect(page.bank).toBe(before);
    expect(page.bank.away).toEqual(['b', 'c']);
    page.askAll();
    page.askCollection('b');
    server.save(0);
    page.arrive(1);
    page.arrive(0);
    expect(page.bank.away).toEqual(['c']);
    expect(told(page.bank.entries)).toEqual(['e1 a 1', 'e2 b 1']);
    page.catchUp();
    expect(told(page.bank.entries)).toEqual(['e1 a 2', 'e2 b 1']);
  });
});
