import { ROUTES, type Route } from '#contracts';

/** A request that a page sent: method, path, the body it carried, and the version that it was made to; null for none. */
export interface Sent {
  to: string;
  body: unknown;
  version: number | null;
}

interface Init {
  method: string;
  body?: string;
  headers?: Record<string, string>;
}

type Answer = { status?: number; json: unknown };

/** What the server says when it refuses. */
export const refusal = (code: string, detail: string, more: object = {}): Answer => ({
  status: 409,
  json: { type: 'about:blank', title: 'Refused', status: 409, detail, code, ...more },
});

/** The route that a method and a path lead to. Throws where none does, as the real server would answer 404. */
function routeOf(method: string, path: string): Route {
  const found = Object.values<Route>(ROUTES).find(
    (route) =>
      route.method === method.toLowerCase() &&
      new RegExp(`^${route.path.replace(/:[a-z]+/g, '[^/]+')}$`).test(path),
  );
  if (!found) throw new Error(`No route leads to ${method} ${path}.`);
  return found;
}

/** Holds what a page sends, and what is answered to it, against the contract, as the real server does. */
function hold(route: Route, body: unknown, { status = 200, json }: Answer): void {
  route.body?.parse(body);
  if (status < 400 && route.response) route.response.parse(json);
}

/**
 * Stands in for the server until it is put back: what is sent is written down in order, and answered by the function
 * given, from "METHOD path", the body and the version. Both are held against the contract: a stand-in that answers what the server never
 * would lets a page pass that fails. Gives the list that is written to, and what puts the real thing back.
 */
export function answering(answer: (to: string, body: unknown, version: number | null) => Answer): {
  sent: Sent[];
  restore: () => void;
} {
  const real = globalThis.fetch;
  const sent: Sent[] = [];
  globalThis.fetch = ((path: string, { method, body, headers }: Init) => {
    const made = headers?.['If-Match'];
    const version = made === undefined ? null : Number(made.replaceAll('"', ''));
    const read = body === undefined ? null : (JSON.parse(body) as unknown);
    const one = { to: `${method} ${path}`, body: read, version };
    const answered = answer(one.to, one.body, version);
    hold(routeOf(method, path), one.body, answered);
    sent.push(one);
    const { status = 200, json } = answered;
    // As far as a page reads it: where there is a document there is no Response of Node's.
    const response = {
      ...{ ok: status < 400, status },
      json: () => Promise.resolve(JSON.parse(JSON.stringify(json)) as unknown),
    };
    return Promise.resolve(response as Response);
  }) as typeof fetch;
  return { sent, restore: () => void (globalThis.fetch = real) };
}
