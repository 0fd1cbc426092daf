import { z } from 'zod';
import type { Step } from '#contracts';
import { dropKept, keep, kept } from '#client/kept';

/** What was done to entries, in words, and the steps that take it back. */
export interface DoneToMany {
  said: string;
  undo: Step[];
}

/** What was done last, and by what it is told: a part of the page, or, once that is gone, the page around it. */
export interface LastDone {
  done: DoneToMany | null;
  toldBy: object | null;
}

// The server holds each step against its contract: here it is enough that they are steps, and the first page stays small.
const isStep = (value: unknown) => typeof value === 'object' && value !== null && 'do' in value;
const DoneSchema = z.object({ said: z.string(), undo: z.array(z.custom<Step>(isStep)) });
const NAME = 'done';

// Read once: the same object is told until something changes.
let last: LastDone | undefined;
const listening = new Set<() => void>();

/** What was done last in this tab, as long as it was not taken back or put away. */
export const lastDone = (): LastDone => (last ??= { done: kept(NAME, DoneSchema, 'tab'), toldBy: null });

function put(next: LastDone): void {
  last = next;
  for (const tell of listening) tell();
}

/** Remembers what was done last, until the tab is closed, and by what it is told; null when it is no longer to be told. */
export function setDone(done: DoneToMany | null, toldBy: object | null = null): void {
  if (done) keep(NAME, done, 'tab');
  else dropKept(NAME, 'tab');
  put({ done, toldBy });
}

/** Something is about to be done: until it is, what was done before it is told nowhere. Gives what tells it again, if it fails. */
export function quietly(): () => void {
  const before = lastDone();
  put({ done: before.done, toldBy: {} });
  return () => put({ done: before.done, toldBy: null });
}

/** The part of the page that told of it is gone: the page around it tells on. */
export function releaseDone(toldBy: object): void {
  const { done, toldBy: now } = lastDone();
  if (now === toldBy) put({ done, toldBy: null });
}

/** Calls back whenever what was done last changes; gives what ends that. */
export function followDone(tell: () => void): () => void {
  listening.add(tell);
  return () => void listening.delete(tell);
}
