import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, cleanup, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { QueryClientProvider } from '@tanstack/react-query';
import { MemoryRouter, Route, Routes } from 'react-router';
import type { Case } from '#contracts';
import { emptyRecord } from '#core/record';
import { KIND_IDS } from '#core/work';
import { KEYS, queryClient } from '../api';
import { ShellContext, type Shell } from '../shell';

const drawn = (kind: string) => ({
  load: () => Promise.resolve(({ id }: { id: string }) => <p>{`${id}, drawn as ${kind}`}</p>),
  arrivals: [],
});
jest.unstable_mockModule('./shown', () => ({
  SHOWN: Object.fromEntries(KIND_IDS.map((kind) => [kind, drawn(kind)])),
}));
const { CasePage } = await import('./CasePage');

const BRAMBLE: Case = {
  ...{ id: 'bramble', kind: 'admission', title: 'Bramble', number: null, summary: '' },
  ...{ openedAt: '2026-11-24T10:00:00.000Z', closed: false, draft: null, unfinished: 0, finished: 0 },
  ...{ record: emptyRecord(), drafts: [], given: ['imke'], files: [] },
};

const shell = { finderOpen: false, finder: null, doneElsewhere: null } as unknown as Shell;
const page = () =>
  render(
    <QueryClientProvider client={queryClient}>
      <ShellContext.Provider value={shell}>
        <MemoryRouter initialEntries={['/cases/bramble']}>
          <Routes>
            <Route path="/cases/:case" element={<CasePage />} />
          </Routes>
        </MemoryRouter>
      </ShellContext.Provider>
    </QueryClientProvider>,
  );

/** Answers the case that was asked for; nothing comes before that. */
let answer: (status: number, json: unknown) => void;
const realFetch = globalThis.fetch;
beforeEach(() => {
  queryClient.clear();
  globalThis.fetch = () =>
    new Promise((resolve) => {
      answer = (status, json) =>
        resolve({ ok: status < 400, status, json: () => Promise.resolve(json) } as Response);
    });
});
afterEach(() => {
  cleanup();
  globalThis.fetch = realFetch;
});

test('a case that the desk has listed is drawn as its kind is, before the case itself has come', async () => {
  queryClient.setQueryData(KEYS.cases, [{ ...BRAMBLE, kind: 'reply' }]);
  page();
  expect(await screen.findByText('bramble, drawn as reply')).toBeTruthy();
});

test('opened by its address alone, its kind is waited for', async () => {
  page();
  expect(screen.queryByText(/drawn as/)).toBeNull();
  await act(() => Promise.resolve(answer(200, BRAMBLE)));
  expect(await screen.findByText('bramble, drawn as admission')).toBeTruthy();
});

test('what cannot be had says so, and is asked for again', async () => {
  page();
  const problem = {
    type: 'about:blank',
    title: 'Not here',
    status: 404,
    detail: 'Not there.',
    code: 'not-found',
  };
  await act(() => Promise.resolve(answer(404, problem)));
  await userEvent.click(await screen.findByRole('button', { name: 'Try again' }));
  await act(() => Promise.resolve(answer(200, BRAMBLE)));
  expect(await screen.findByText('bramble, drawn as admission')).toBeTruthy();
});
