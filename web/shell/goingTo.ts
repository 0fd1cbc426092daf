import type { createBrowserRouter } from 'react-router';

type Router = ReturnType<typeof createBrowserRouter>;

let followed: Router | null = null;

/** Says which router `goingTo` asks. */
export function followRouter(router: Router): void {
  followed = router;
}

/**
 * The address of the screen that is on its way, else of the one that is there: of this moment, even where React has yet to show it. A
 * key pressed at once is meant for what one has gone to.
 */
export function goingTo(): { pathname: string; search: string } {
  if (!followed) return window.location;
  const { navigation, location } = followed.state;
  return navigation.location ?? location;
}
