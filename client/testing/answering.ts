/** A request that a page sent: method, path and the body it carried. */
export interface Sent {
  to: string;
  body: unknown;
}

type Answer = { status?: number; json: unknown };

/** What the server says when it refuses. */
export const refusal = (code: string, detail: string): Answer => ({
  status: 409,
  json: { type: 'about:blank', title: 'Refused', status: 409, detail, code },
});

/**
 * Stands in for the server until it is put back: what is sent is written down in order, and answered by the function
 * given, from "METHOD path" and the body. Gives the list that is written to, and what puts the real thing back.
 */
export function answering(answer: (to: string, body: unknown) => Answer): {
  sent: Sent[];
  restore: () => void;
} {
  const real = globalThis.fetch;
  const sent: Sent[] = [];
  globalThis.fetch = ((path: string, { method, body }: { method: string; body?: string }) => {
    const one = { to: `${method} ${path}`, body: body === undefined ? null : (JSON.parse(body) as unknown) };
    sent.push(one);
    const { status = 200, json } = answer(one.to, one.body);
    return Promise.resolve(new Response(json === null ? null : JSON.stringify(json), { status }));
  }) as typeof fetch;
  return { sent, restore: () => void (globalThis.fetch = real) };
}
