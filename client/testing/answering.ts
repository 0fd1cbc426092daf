import { ROUTES, type Route } from '#contracts';

/** A request that a page sent: method, path and the body it carried. */
export interface Sent {
  to: string;
  body: unknown;
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
 * given, from "METHOD path" and the body. Both are held against the contract: a stand-in that answers what the server never
 * would lets a page pass that fails. Gives the list that is written to, and what puts the real thing back.
 */
export function answering(answer: (to: string, body: unknown) => Answer): {
  sent: Sent[];
  restore: () => void;
} {
  const real = globalThis.fetch;
  const sent: Sent[] = [];
  globalThis.fetch = ((path: string, { method, body }: { method: string; body?: string }) => {
    const one = { to: `${method} ${path}`, body: body === undefined ? null : (JSON.parse(body) as unknown) };
    const answered = answer(one.to, one.body);
    hold(routeOf(method, path), one.body, answered);
    sent.push(one);
    const { status = 200, json } = answered;
    return Promise.resolve(new Response(json === null ? null : JSON.stringify(json), { status }));
  }) as typeof fetch;
  return { sent, restore: () => void (globalThis.fetch = real) };
}
