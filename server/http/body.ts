import express, { type Request, type RequestHandler, type Response } from 'express';
import { MOST_SENT_BYTES, type Access } from '#contracts';
import { notFound, Refusal } from './refusal';

const JSON_TYPES = ['application/json', 'application/fhir+json'];
/** What nobody signed in may send: passwords and links are short, and reading costs the server time. */
const OF_ANYONE = 16 * 1024;

const readers: Record<'anyone' | 'member', RequestHandler> = {
  anyone: express.json({ limit: OF_ANYONE, type: JSON_TYPES }),
  member: express.json({ limit: MOST_SENT_BYTES, type: JSON_TYPES }),
};

/**
 * Reads the JSON body of a request into `request.body`: 16 kB where anyone may ask, 4 MB where the member is known. Throws
 * the body reader's own error where it is too large or no JSON.
 */
export function readBody(access: Access, request: Request, response: Response): Promise<void> {
  const reader = readers[access === 'anyone' ? 'anyone' : 'member'];
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

/** Where in a JSON value a text stands that no store takes, as keys from the outside in; null for none. */
function unstorableIn(value: unknown): string[] | null {
  if (typeof value === 'string') return isStorable(value) ? null : [];
  if (typeof value !== 'object' || value === null) return null;
  for (const [key, inner] of Object.entries(value)) {
    if (!isStorable(key)) return [];
    const found = unstorableIn(inner);
    if (found) return [key, ...found];
  }
  return null;
}

/** Refuses a body with a text that no store takes: U+0000, or half a sign. */
export function mustBeStorable(body: unknown): void {
  const place = unstorableIn(body);
  if (!place) return;
  throw new Refusal(
    'not-valid',
    'It holds a character that cannot be kept (U+0000, or half of a sign). Take it out and send it again; nothing was changed.',
    { faults: [{ place: place.join('.'), message: 'holds a character that cannot be kept' }] },
  );
}

/** What a path names with a text that no store takes is not there. */
export function mustNameSomething(params: Record<string, string | string[]>): void {
  if (!Object.values(params).flat().every(isStorable)) throw notFound();
}
