import { expect } from '@jest/globals';
import type { Caller } from './testServer';

/** What comes at the end of a long answer; all lines before it tell how far it is. */
export async function longAnswer<Result>(who: Caller, route: string, body: object = {}): Promise<Result> {
  const { text } = await who.post(`/api/order/${route}`).send(body).buffer(true).expect(200);
  const lines = text
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { progress?: number; result?: Result });
  for (const { progress } of lines.slice(0, -1)) expect(progress).toBeLessThanOrEqual(1);
  return lines.at(-1)!.result!;
}
