import { afterEach, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ApiProblem, Unreachable } from './call';
import { longCall } from './longCall';

const real = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = real;
});

/** Answers the next calls with some bytes, in the pieces in which they come. */
function answering(pieces: readonly Uint8Array[], status = 200): void {
  globalThis.fetch = () =>
    Promise.resolve(
      new Response(
        new ReadableStream({
          start: (controller) => {
            for (const piece of pieces) controller.enqueue(piece);
            controller.close();
          },
        }),
        { status },
      ),
    );
}

const bytes = (text: string) => new TextEncoder().encode(text);
const ask = (tell: (progress: number) => void = () => undefined) =>
  longCall('usage' as never, { body: undefined, signal: new AbortController().signal }, tell);

test('lines are read whole, wherever the network cuts them: in the midst of a letter too', async () => {
  const text = [
    ...[0.1, 0.5, 0.9].map((progress) => JSON.stringify({ progress })),
    JSON.stringify({ result: { said: 'Ŵyn a hwyaid – “düne”' } }),
    '',
  ].join('\n');
  const all = bytes(text);
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(all.length), { maxLength: 8 }), async (cuts) => {
      const at = [0, ...cuts.sort((a, b) => a - b), all.length];
      answering(at.slice(1).map((to, place) => all.slice(at[place], to)));
      const told: number[] = [];
      expect(await ask((progress) => told.push(progress))).toEqual({ said: 'Ŵyn a hwyaid – “düne”' });
      expect(told).toEqual([0.1, 0.5, 0.9]);
    }),
    { numRuns: 200 },
  );
});

test('lines that end too soon are as if nobody answered', async () => {
  answering([bytes('{"progress":0.4}\n{"resu')]);
  await expect(ask()).rejects.toBeInstanceOf(Unreachable);
});

test('what is refused before the first line is told as ever', async () => {
  const problem = {
    type: 'about:blank',
    title: 'No',
    status: 404,
    code: 'not-found',
    detail: 'There is nothing here.',
  };
  answering([bytes(JSON.stringify(problem))], 404);
  const error: unknown = await ask().catch((reason: unknown) => reason);
  expect([ApiProblem, Unreachable].some((kind) => error instanceof kind)).toBe(true);
  answering([bytes('<html>')], 502);
  await expect(ask()).rejects.toBeInstanceOf(Unreachable);
});
