import { useEffect } from 'react';

const NAME = 'Elderleaf';

/** What a screen is called: its first heading, with the name of the application behind it. */
const titleOf = (): string => {
  const heading = document.querySelector('h1')?.textContent?.trim().replace(/\s+/g, ' ');
  return heading ? `${heading} · ${NAME}` : NAME;
};

/** Titles the browser's tab by the heading of the screen that is shown, whichever that is and whenever it comes. */
export function useScreenTitle(): void {
  useEffect(() => {
    const root = document.getElementById('root')!;
    const follow = () => {
      const title = titleOf();
      if (document.title !== title) document.title = title;
    };
    const observer = new MutationObserver(follow);
    observer.observe(root, { childList: true, subtree: true });
    follow();
    return () => {
      observer.disconnect();
      document.title = NAME;
    };
  }, []);
}
