import { pathFor, ROUTES, type BodyOf, type ParamsOf, type ResponseOf, type RouteName } from '#contracts';
import { openCall, Unreachable } from './call';

/** A route that answers in lines. */
export type LongRoute = {
  [N in RouteName]: ResponseOf<N> extends { progress: number } | { result: unknown } ? N : never;
}[RouteName];
/** What comes of a long route in the end. */
export type ResultOf<N extends LongRoute> = Extract<ResponseOf<N>, { result: unknown }>['result'];

/**
 * Calls a route that answers in lines: tells how far the work is (0 to 1), and resolves to what comes of it. Aborting `signal`
 * stops the work on the server too. Throws as `call` does; Unreachable also where the lines end too soon.
 */
export async function longCall<N extends LongRoute>(
  name: N,
  options: { body: BodyOf<N>; signal: AbortSignal },
  tell: (progress: number) => void,
): Promise<ResultOf<N>> {
  const response = await openCall(ROUTES[name], pathFor(name, {} as ParamsOf<N>), options);
  const reader = response.body!.pipeThrough(new TextDecoderStream()).getReader();
  let rest = '';
  for (;;) {
    const { done, value } = await reader.read();
    if (done) throw new Unreachable();
    const lines = (rest + value).split('\n');
    rest = lines.pop()!;
    for (const line of lines) {
      const told = JSON.parse(line) as { progress: number } | { result: ResultOf<N> };
      if ('result' in told) return told.result;
      tell(told.progress);
    }
  }
}
