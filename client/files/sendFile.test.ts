import { File } from 'node:buffer';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { ApiProblem, Unreachable } from '#client/api';
import { sendFile, SendingStopped } from './sendFile';

/** A request that goes no further than it is told to. */
class Request {
  static last: Request | null = null;
  status = 0;
  response: unknown = null;
  sent: unknown = null;
  readonly headers = new Map<string, string>();
  readonly upload: { onprogress: (event: { loaded: number; total: number }) => void } = {
    onprogress: () => undefined,
  };
  onload: () => void = () => undefined;
  onerror: () => void = () => undefined;
  onabort: () => void = () => undefined;
  to = '';
  open(method: string, path: string) {
    this.to = `${method} ${path}`;
  }
  setRequestHeader(name: string, value: string) {
    this.headers.set(name, value);
  }
  send(file: unknown) {
    this.sent = file;
    Request.last = this;
  }
  abort() {
    this.onabort();
  }
  answer(status: number, response: unknown) {
    [this.status, this.response] = [status, response];
    this.onload();
  }
}

beforeEach(() => {
  Request.last = null;
  Object.assign(globalThis, { XMLHttpRequest: Request });
});
afterEach(() => void Reflect.deleteProperty(globalThis, 'XMLHttpRequest'));

/** A file on its way to a case: what was told of it, and what stops it. */
function sending(name = 'Plan of the wing.pdf') {
  const stop = new AbortController();
  const shares: number[] = [];
  const file = new File(['words'], name) as never;
  const kept = sendFile('c1', 'f1', file, { progress: (share) => shares.push(share), signal: stop.signal });
  return { kept, shares, stop };
}

test('a file goes to its case under its id, with its name, and how far it is is told', async () => {
  const { kept, shares } = sending('Plän – 鳥.pdf');
  const request = Request.last!;
  expect(request.to).toBe('PUT /api/cases/c1/files/f1');
  expect(decodeURIComponent(request.headers.get('Elderleaf-Name')!)).toBe('Plän – 鳥.pdf');
  request.upload.onprogress({ loaded: 1, total: 4 });
  // An empty file has no size to be a share of.
  request.upload.onprogress({ loaded: 0, total: 0 });
  expect(shares).toEqual([0.25, 1]);
  request.answer(201, { id: 'f1' });
  expect(await kept).toEqual({ id: 'f1' });
});

test('what is refused is told in its words; what nobody answers, or not as we do, cannot be reached', async () => {
  const problem = {
    type: 'about:blank',
    title: 'Refused',
    status: 413,
    detail: 'Too large.',
    code: 'too-large',
  };
  const refused = sending();
  Request.last!.answer(413, problem);
  await expect(refused.kept).rejects.toEqual(expect.any(ApiProblem));
  const proxied = sending();
  Request.last!.answer(502, null);
  await expect(proxied.kept).rejects.toEqual(expect.any(Unreachable));
  const away = sending();
  Request.last!.onerror();
  await expect(away.kept).rejects.toEqual(expect.any(Unreachable));
});

test('stopped on its way it ends, and says that nothing of it was saved', async () => {
  const { kept, stop } = sending();
  stop.abort();
  await expect(kept).rejects.toThrow('Plan of the wing.pdf was stopped. Nothing of it was saved.');
});

test('stopped while it waits for its turn it is not sent at all', async () => {
  const stop = new AbortController();
  stop.abort();
  const file = new File(['words'], 'plan.pdf') as never;
  const kept = sendFile('c1', 'f1', file, { progress: () => undefined, signal: stop.signal });
  await expect(kept).rejects.toBeInstanceOf(SendingStopped);
  expect(Request.last).toBeNull();
});
