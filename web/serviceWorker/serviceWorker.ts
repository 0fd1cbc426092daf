import { clientsClaim } from 'workbox-core';
import { matchPrecache, precacheAndRoute, type PrecacheEntry } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';

/** Every file of the pages, with what tells its content apart; written in by the build. */
declare const FILES_OF_THE_PAGES: PrecacheEntry[];
/** What this worker needs of where it runs. */
declare const self: Pick<EventTarget, 'addEventListener'> & { skipWaiting: () => Promise<void> };

/** A page is waited for no longer than this; a connection that hangs is none. */
const PAGE_MS = 4000;

// The page that brought it, too: from its first visit on.
clientsClaim();
precacheAndRoute(FILES_OF_THE_PAGES);

/** The page as the server has it now; as this computer keeps it where that cannot be reached. */
async function page({ request }: { request: Request }): Promise<Response> {
  try {
    const answer = await fetch(request, { signal: AbortSignal.timeout(PAGE_MS) });
    if (answer.status < 500) return answer;
  } catch {
    // The server, or the connection, is gone.
  }
  return (await matchPrecache('/index.html')) ?? Response.error();
}

// What the API answers is kept by the pages themselves: they know what may stay, and whose it is.
registerRoute(new NavigationRoute(page, { denylist: [/^\/api\//] }));

// A newer worker waits until the pages say that nothing is being written.
self.addEventListener('message', (event) => {
  if ((event as MessageEvent<{ type?: string } | null>).data?.type === 'SKIP_WAITING')
    void self.skipWaiting();
});
