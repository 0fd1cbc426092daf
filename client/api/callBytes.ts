import { pathFor, ROUTES, type ParamsOf, type RouteName } from '#contracts';
import { openCall } from './call';

/** What a route that answers with a file gives, whole. Throws ApiProblem when it refuses, Unreachable when nobody answers. */
export async function callBytes<N extends RouteName>(name: N, params: ParamsOf<N>): Promise<Uint8Array> {
  const response = await openCall(ROUTES[name], pathFor(name, params), {});
  return new Uint8Array(await response.arrayBuffer());
}
