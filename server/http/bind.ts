import type { Request, RequestHandler, Response, Router } from 'express';
import type { z } from 'zod';
import { ROUTES, type Member, type ParamsOf, type ResponseOf, type Route, type RouteName } from '#contracts';
import { memberOf } from '../auth/sessions';
import type { Context } from '../context';
import { Refusal } from './refusal';

type ParsedBody<N extends RouteName> = (typeof ROUTES)[N] extends { body: infer S extends z.ZodType }
  ? z.output<S>
  : undefined;
type Signed<N extends RouteName> = (typeof ROUTES)[N]['access'] extends 'anyone' ? null : Member;

/** What a handler is given: everything checked already. */
export interface Call<N extends RouteName> {
  context: Context;
  member: Signed<N>;
  params: ParamsOf<N>;
  body: ParsedBody<N>;
  /** The version in `If-Match`, for guarded routes; 0 for others. */
  version: number;
  request: Request;
  response: Response;
}

export type Handler<N extends RouteName> = (call: Call<N>) => Promise<ResponseOf<N>>;

function parseBody(route: Route, body: unknown): unknown {
  const parsed = route.body?.safeParse(body);
  if (!parsed || parsed.success) return parsed?.data;
  const faults = parsed.error.issues.map((issue) => ({
    place: issue.path.map(String).join('.'),
    message: issue.message,
  }));
  throw new Refusal('not-valid', faults[0]?.message ?? 'It does not have the shape asked for.', { faults });
}

function parseVersion(route: Route, request: Request): number {
  if (!route.guarded) return 0;
  const match = /^"(\d{1,9})"$/.exec(request.get('If-Match') ?? '');
  if (!match)
    throw new Refusal('bad-request', 'If-Match must carry the version this change was made to, such as "3".');
  return Number(match[1]);
}

/** Refuses what only owners do, or the member in the path and owners, to others. */
function mustBeOwner({ access }: Route, member: Member, about: unknown): void {
  if (member.role === 'owner' || (access === 'self' && about === member.id)) return;
  if (access === 'owner' || access === 'self')
    throw new Refusal('not-allowed', 'Only owners of the team do this. Nothing was changed.');
}

/** Checks an answer against its schema before it goes out: everywhere but in production, where it costs time. */
function checked(route: Route, answer: unknown): unknown {
  if (process.env.NODE_ENV === 'production' || !route.response) return answer;
  return route.response.parse(answer);
}

/**
 * Binds a handler to a route of the table: the member is found, parameters, body and version are checked,
 * the answer gets the route's status; what the handler throws goes to the error handler.
 */
export function bind<N extends RouteName>(
  router: Router,
  context: Context,
  name: N,
  handler: Handler<N>,
): void {
  const route: Route = ROUTES[name];
  const handle: RequestHandler = async (request, response, next) => {
    try {
      const member = route.access === 'anyone' ? null : await memberOf(context, request);
      if (route.access !== 'anyone' && !member) {
        throw new Refusal('not-signed-in', 'Sign in to go on. What you were writing is kept on your page.');
      }
      if (member) mustBeOwner(route, member, request.params.member);
      const call = {
        context,
        member,
        params: request.params,
        body: parseBody(route, request.body),
        version: parseVersion(route, request),
        request,
        response,
      } as unknown as Call<N>;
      const answer = await handler(call);
      if (route.stream) return;
      response.status(route.status);
      if (route.status === 204) response.end();
      else response.json(checked(route, answer));
    } catch (error) {
      next(error);
    }
  };
  router[route.method](route.path, handle);
}
