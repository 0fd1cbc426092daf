import { QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider, type RouteObject } from 'react-router';
import { answersAreKept, watchReach } from '#client/api';
import { ANSWERS_AT_HAND } from '#client/atHand';
import { queryClient } from '../api';
import { fetchAhead } from './fetchAhead';
import { NothingHere, followRouter, followTheme, loadScreen } from '../shell';
import { openWithoutServer } from './updates';
import { SCREENS, type Screen } from './screens';
import { Frame, AppShell } from './AppShell';
import '../look/styles.css';

followTheme();
// From the first question on: what is answered stays on this computer, for when the server cannot be reached.
answersAreKept(ANSWERS_AT_HAND);
watchReach();

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
  ).then(() => openWithoutServer(router));
});

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queryClient}>
      <RouterProvider router={router} />
    </QueryClientProvider>
  </StrictMode>,
);
