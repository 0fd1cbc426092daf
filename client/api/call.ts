import {
  pathFor,
  ProblemSchema,
  ROUTES,
  type BodyOf,
  type ParamsOf,
  type Problem,
  type ResponseOf,
  type Route,
  type RouteName,
} from '#contracts';
import { keptAnswers } from './keptAnswers';
import { noteReach } from './reach';

/** The server refused: its problem document says why. */
export class ApiProblem extends Error {
  constructor(readonly problem: Problem) {
    super(problem.detail);
  }
}

/** The server could not be reached at all: it is down, or the connection is. */
export class Unreachable extends Error {
  constructor() {
    super('The server cannot be reached just now.');
    noteReach(false);
  }
}

interface CallOptions<N extends RouteName> {
  params?: ParamsOf<N>;
  body?: BodyOf<N>;
  /** For guarded routes: the version the change was made to. */
  version?: number;
  signal?: AbortSignal;
  /** Goes on although the page is being left. */
  keepalive?: boolean;
}

async function readProblem(response: Response): Promise<Error> {
  const parsed = ProblemSchema.safeParse(await response.json().catch(() => null));
  // A proxy, or a server that is just going down, answers without a problem document.
  return parsed.success ? new ApiProblem(parsed.data) : new Unreachable();
}

/** Where calls go: the page's own server, unless it is said otherwise. */
let server: { address: string; token: string | null } = { address: '', token: null };

/**
 * Says where calls go from here on. `address`: the origin of an Elderleaf, as `https://elderleaf.example`; '' for the page's own.
 * `token`: of a joined browser, sent in place of cookies.
 */
export function callsGoTo(to: { address: string; token: string | null }): void {
  server = to;
}

/** Sends a request to a route and gives its answer once that has begun. Throws ApiProblem when it is refused, Unreachable when nobody answers. */
export async function openCall(
  route: Route,
  path: string,
  {
    body,
    version,
    signal,
    keepalive,
  }: Pick<CallOptions<RouteName>, 'version' | 'signal' | 'keepalive'> & {
    body?: unknown;
  },
): Promise<Response> {
  const headers: Record<string, string> = {};
  if (body !== undefined) headers['Content-Type'] = 'application/json';
  if (server.token !== null) headers.Authorization = `Bearer ${server.token}`;
  if (version !== undefined) headers['If-Match'] = `"${version}"`;
  let response: Response;
  try {
    response = await fetch(server.address + path, {
      ...(server.address !== '' && { credentials: 'omit' }),
      method: route.method.toUpperCase(),
      headers,
      body: body === undefined ? undefined : JSON.stringify(body),
      signal,
      keepalive,
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new Unreachable();
  }
  if (!response.ok) {
    const problem = await readProblem(response);
    if (problem instanceof ApiProblem) noteReach(true);
    throw problem;
  }
  noteReach(true);
  return response;
}

/** What this computer kept of a route's answer, where nobody answers now. Throws what was thrown where there is nothing. */
async function answerAtHand(name: RouteName, path: string, error: unknown): Promise<unknown> {
  const kept = error instanceof Unreachable ? await keptAnswers().at(name, path) : undefined;
  if (kept === undefined) throw error;
  return kept;
}

/**
 * Calls a route of the API. Throws ApiProblem when it refuses, Unreachable when nobody answers, and this computer kept no answer
 * of an earlier time.
 */
export async function call<N extends RouteName>(
  name: N,
  options: CallOptions<N> = {},
): Promise<ResponseOf<N>> {
  const route: Route = ROUTES[name];
  const path = pathFor(name, (options.params ?? {}) as ParamsOf<N>);
  try {
    const response = await openCall(route, path, options);
    const answer: unknown = response.status === 204 ? undefined : await response.json();
    if (route.atHand) keptAnswers().keep(name, path, answer);
    return answer as ResponseOf<N>;
  } catch (error) {
    return (await answerAtHand(name, path, error)) as ResponseOf<N>;
  }
}

/** An error whose message is for people: what happened, what was kept, what to do. */
export class ForPeople extends Error {}

/** A file that never reached the server: its message says why, and what was kept. */
export class UnreadableFile extends ForPeople {}

/** What to tell a person about an error, in one sentence or two. */
export function inWords(error: unknown): string {
  if (error instanceof ApiProblem || error instanceof Unreachable || error instanceof ForPeople)
    return error.message;
  return 'Something went wrong on this page. Reload it; what was saved is safe.';
}

/** True when an error is a problem of the given code. */
export function isProblem(error: unknown, code: Problem['code']): error is ApiProblem {
  return error instanceof ApiProblem && error.problem.code === code;
}
