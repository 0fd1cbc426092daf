import { act } from '@testing-library/react';
import { QueryClientProvider } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { queryClient } from '../api';

const turn = () => new Promise((go) => setTimeout(go));

/** What a hook that asks the server needs around it. */
export const asking = ({ children }: { children: ReactNode }) => (
  <QueryClientProvider client={queryClient}>{children}</QueryClientProvider>
);

/** Does something, and waits until all that it sends is answered and the page was told. */
export const settled = (begin: () => void): Promise<void> =>
  act(async () => {
    begin();
    do await turn();
    while (queryClient.isMutating() > 0);
    // The page is told in the turn after.
    await turn();
  });
