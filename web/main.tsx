import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { queryClient } from './api/queries';
import { NothingHere } from './shell/NothingHere';
import { Shell } from './shell/Shell';
import { followTheme } from './shell/theme';
import './styles.css';

followTheme();

/** Each screen loads on its own, so that the first is there at once. */
const router = createBrowserRouter([
  {
    path: '/sign-in',
    HydrateFallback: () => null,
    lazy: async () => ({ Component: (await import('./account/SignIn')).SignIn }),
  },
  {
    element: <Shell />,
    errorElement: <NothingHere />,
    // Nothing for the moment until the first screen's script is there; each screen shows its own fetching.
    HydrateFallback: () => null,
    children: [
      { index: true, lazy: async () => ({ Component: (await import('./desk/Desk')).Desk }) },
      { path: 'cases/:case', lazy: async () => ({ Component: (await import('./leaf/LeafPage')).LeafPage }) },
      { path: 'bank', lazy: async () => ({ Component: (await import('./bank/Sheet')).Sheet }) },
      {
        path: 'bank/:entry',
        lazy: async () => ({ Component: (await import('./bank/EntryPage')).EntryPage }),
      },
      { path: 'keys', lazy: async () => ({ Component: (await import('./keys/KeysPage')).KeysPage }) },
      { path: '*', element: <NothingHere /> },
    ],
  },
]);

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
