import { z } from 'zod';
import type { Collection } from '#contracts';
import { within } from '#core/rights';
import { ALL, type Narrowing } from '#core/bank';
import { ORDERS, type Order } from './orders';

/** What is asked of the sheet: words looked for, one collection or all (''), in an order, narrowed. */
export interface SheetAsked {
  query: string;
  collection: string;
  order: Order;
  narrowing: Narrowing;
}

const orders = Object.keys(ORDERS) as [Order, ...Order[]];
const words = z.string().max(200).catch('');
const NarrowingSchema: z.ZodType<Narrowing> = z.object({
  kind: words,
  language: words,
  tag: words,
  state: z.enum(['any', 'in-use', 'retired', 'no-cue', 'due', 'variation']).catch('any'),
  used: z.enum(['any', 'by-me', 'not-by-me', 'never']).catch('any'),
  whose: z.enum(['any', 'own', 'saved-by-me']).catch('any'),
});

/** Reads an address: what it does not say, or says wrongly, is as it is at first. */
export function askedOf(address: URLSearchParams): SheetAsked {
  const said = Object.fromEntries(address);
  return {
    query: words.parse(said.find),
    collection: words.parse(said.in),
    order: z.enum(orders).catch('title').parse(said.order),
    narrowing: NarrowingSchema.parse(said),
  };
}

/** The address of what is asked, so that it is there again when one comes back, and can be sent to a colleague. */
export function addressOf({ query, collection, order, narrowing }: SheetAsked): URLSearchParams {
  const narrowed = (Object.keys(ALL) as (keyof Narrowing)[]).filter((key) => narrowing[key] !== ALL[key]);
  const said: [string, string][] = [
    ['find', query.slice(0, 200)],
    ['in', collection],
    ['order', order === 'title' ? '' : order],
    ...narrowed.map((key): [string, string] => [key, narrowing[key]]),
  ];
  return new URLSearchParams(said.filter(([, value]) => value !== ''));
}

/** The collections that are asked for: all, or one with those within it. */
export function collectionsAsked(collections: readonly Collection[], asked: string): readonly Collection[] {
  if (asked === '') return collections;
  const inner = within(asked, collections);
  return collections.filter(({ id }) => id === asked || inner.has(id));
}
