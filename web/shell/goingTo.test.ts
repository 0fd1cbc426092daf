import { expect, test } from '@jest/globals';
import { createMemoryRouter } from 'react-router';
import { followRouter, goingTo } from './goingTo';

test('where one goes counts from the moment of going: while its screen is fetched, and before React shows it', async () => {
  let fetched: () => void = () => undefined;
  const lazy = () => new Promise<object>((resolve) => (fetched = () => resolve({ Component: () => null })));
  const router = createMemoryRouter([
    { path: '/', Component: () => null },
    { path: '/far', lazy },
    { path: '/near', Component: () => null },
  ]);
  router.initialize();
  followRouter(router);
  expect(goingTo().pathname).toBe('/');
  const gone = router.navigate('/far');
  expect(goingTo().pathname).toBe('/far');
  fetched();
  await gone;
  expect(goingTo().pathname).toBe('/far');
  // Nothing renders here at all: the answer does not wait for it.
  await router.navigate('/near');
  expect(goingTo().pathname).toBe('/near');
  router.dispose();
});
