import express, { type Request, type RequestHandler, type Response } from 'express';
import { MOST_SENT_BYTES, type Route } from '#contracts';
import { notFound, Refusal } from './refusal';

const JSON_TYPES = ['application/json', 'application/fhir+json'];
/** What nobody signed in may send: passwords and links are short, and reading costs the server time. */
const OF_ANYONE = 16 * 1024;

const readers = new Map<number, RequestHandler>();

/** What reads bodies up to a number of bytes. */
function readerFor(limit: number): RequestHandler {
  let reader = readers.get(limit);
  if (!reader) readers.set(limit, (reader = express.json({ limit, type: JSON_TYPES })));
  return reader;
}

/**
 * Reads the JSON body of a request into `request.body`: 16 kB where anyone may ask, 4 MB where the member is known, or as much as the
 * route takes. Throws the body reader's own error where it is too large or no JSON.
 */
export function readBody(
  { access, mostBytes = MOST_SENT_BYTES }: Pick<Route, 'access' | 'mostBytes'>,
  request: Request,
  response: Response,
): Promise<void> {
  const reader = readerFor(access === 'anyone' ? OF_ANYONE : mostBytes);
  return new Promise((resolve, reject) => {
    void reader(request, response, (error?: unknown) =>
      error ? reject(error instanceof Error ? error : new Error('The body could not be read.')) : resolve(),
    );
  });
}

/** U+0000, and half of a sign (a surrogate without its other). */
const UNSTORABLE = /\u0000|\p{Surrogate}/u;
/** Whether a store takes a text. */
const isStorable = (text: string) => !UNSTORABLE.test(text);

/** Deeper than a passage in an entry in a file may be. */
const DEEPEST = 100;

/** What of a JSON value no store takes, and where, as keys from the outside in; null for nothing. */
function unstorableIn(value: unknown, depth = 0): { place: string[]; what: string } | null {
  if (typeof value === 'string') return isStorable(value) ? null : { place: [], what: CHARACTER };
  if (typeof value !== 'object' || value === null) return null;
  if (depth > DEEPEST) return { place: [], what: `goes more than ${DEEPEST} levels deep` };
  for (const [key, inner] of Object.entries(value)) {
    if (!isStorable(key)) return { place: [], what: CHARACTER };
    const found = unstorableIn(inner, depth + 1);
    if (found) return { place: [key, ...found.place], what: found.what };
  }
  return null;
}

const CHARACTER = 'holds a character that cannot be saved (U+0000, or half of a character)';

/** Refuses a body with a text that no store takes (U+0000, half a sign), or one that is nested without end. */
export function mustBeStorable(body: unknown): void {
  const found = unstorableIn(body);
  if (!found) return;
  throw new Refusal(
    'not-valid',
    `What was sent ${found.what}. Nothing was changed; correct it and send it again.`,
    {
      faults: [{ place: found.place.join('.'), message: found.what }],
    },
  );
}

/** What a path names with a text that no store takes is not there. */
export function mustNameSomething(params: Record<string, string | string[]>): void {
  if (!Object.values(params).flat().every(isStorable)) throw notFound();
}
