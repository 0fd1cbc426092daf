import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, fireEvent, render, screen } from '@testing-library/react';
import { LongWork } from './LongWork';
import { useLongWork } from './useLongWork';

const RESULT = { entries: [], count: 3, dated: 0, read: 3 };

/** What the server is asked, in order, and what it answers to what a page comes back to. */
let asked: string[];
let left: unknown;
/** Says more of the work under way: a line of its answer. */
let say: (line: object) => void;
const realFetch = globalThis.fetch;

/** An answer, as far as it is looked at: this page has no streams of its own. */
const answer = (status: number, body: object) => Promise.resolve({ ok: true, status, ...body } as Response);

beforeEach(() => {
  asked = [];
  const lines: string[] = [];
  let hear: (() => void) | null = null;
  say = (line) => {
    lines.push(`${JSON.stringify(line)}\n`);
    hear?.();
  };
  const read = async () => {
    if (lines.length === 0) await new Promise<void>((resolve) => (hear = resolve));
    return { done: false, value: lines.shift() };
  };
  globalThis.TextDecoderStream ??= class {} as unknown as typeof TextDecoderStream;
  globalThis.fetch = (input, init) => {
    const path = input as string;
    asked.push(`${init?.method ?? 'GET'} ${path}`.toLowerCase());
    if (path.endsWith('/stopped')) return answer(204, {});
    if (path.startsWith('/api/jobs/')) return answer(200, { json: () => Promise.resolve(left) });
    return answer(200, { body: { pipeThrough: () => ({ getReader: () => ({ read }) }) } });
  };
});
afterEach(() => {
  cleanup();
  globalThis.fetch = realFetch;
});

function Page() {
  const { working, start, stop } = useLongWork('ageing');
  return (
    <>
      <button onClick={() => start(undefined)}>Look</button>
      <LongWork what="Reading" working={working} stop={stop}>
        {({ read }) => <p>{read} read</p>}
      </LongWork>
    </>
  );
}

test('what was finished while one was away is there, with when; nothing is begun for it', async () => {
  left = { state: 'done', asked: null, endedAt: '2026-11-27T17:05:00Z', result: RESULT };
  render(<Page />);
  expect(await screen.findByText('3 read')).toBeDefined();
  expect(screen.getByText(/^As of .+: it was finished after you left this page\.$/)).toBeDefined();
  expect(asked).toEqual(['get /api/jobs/ageing']);
});

test('what is still under way is followed from where it is', async () => {
  left = { state: 'working', asked: null, progress: 0.5 };
  render(<Page />);
  const bar = await screen.findByRole<HTMLProgressElement>('progressbar', { name: 'Reading' });
  expect(bar.value).toBe(0.5);
  say({ result: RESULT });
  expect(await screen.findByText('3 read')).toBeDefined();
  expect(screen.queryByText(/^As of/)).toBeNull();
});

test('with nothing to come back to it waits to be begun; leaving stops nothing, Stop does', async () => {
  left = null;
  const page = render(<Page />);
  fireEvent.click(screen.getByRole('button', { name: 'Look' }));
  await screen.findByRole('progressbar');
  page.unmount();
  expect(asked).toEqual(['get /api/jobs/ageing', 'post /api/order/ageing']);
  render(<Page />);
  fireEvent.click(screen.getByRole('button', { name: 'Look' }));
  fireEvent.click(await screen.findByRole('button', { name: 'Stop' }));
  expect(screen.queryByRole('progressbar')).toBeNull();
  expect(asked.at(-1)).toBe('post /api/jobs/ageing/stopped');
});
