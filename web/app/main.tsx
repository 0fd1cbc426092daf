import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider, type RouteObject } from 'react-router';
import { queryClient } from '../api';
import { fetchAhead } from './fetchAhead';
import { NothingHere, followRouter, followTheme, loadScreen } from '../shell';
import { SCREENS, type Screen } from './screens';
import { Frame, AppShell } from './AppShell';
import '../look/styles.css';

followTheme();

// Nothing, or the frame alone, until a screen's script is there; each screen then shows its own fetching.
const HydrateFallback = () => null;

const routesOf = (screens: readonly Screen[], more: object = {}): RouteObject[] =>
  screens.flatMap(({ paths, load }) =>
    paths.map((path) => ({ path, lazy: () => loadScreen(load), ...more })),
  );

const router = createBrowserRouter([
  ...routesOf(
    SCREENS.filter(({ bare }) => bare),
    { HydrateFallback },
  ),
  {
    element: <AppShell />,
    errorElement: <NothingHere />,
    HydrateFallback: Frame,
    children: [...routesOf(SCREENS.filter(({ bare }) => !bare)), { path: '*', element: <NothingHere /> }],
  },
]);

followRouter(router);

window.addEventListener('load', () => {
  const inOrder = [...SCREENS.filter(({ early }) => early), ...SCREENS.filter(({ early }) => !early)];
  void fetchAhead(
    inOrder.map(({ load }) => load),
    () => queryClient.isFetching() > 0 || !router.state.initialized,
  );
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
