import type { NodeView } from '@tiptap/pm/view';

/** Draws a page of a file on a canvas, as wide as that stands. */
export type DrawPage = (page: number, canvas: HTMLCanvasElement) => Promise<void>;

/** A page is drawn from so far before it comes into sight. */
const NEARLY_IN_SIGHT = '800px 0px';

/**
 * A page that stands as itself in what is read: its picture, drawn as it comes into sight and let go of as it leaves. A page that cannot be
 * drawn says so; it can be commented all the same.
 */
export function pagePicture(page: number, draw: DrawPage): NodeView {
  const dom = document.createElement('span');
  dom.className = 'place is-page';
  const canvas = document.createElement('canvas');
  canvas.setAttribute('role', 'img');
  canvas.setAttribute('aria-label', `Page ${page}`);
  dom.append(canvas);
  const show = async () => {
    try {
      await draw(page, canvas);
      dom.classList.add('is-drawn');
    } catch {
      dom.dataset.words = `Page ${page} cannot be shown.`;
    }
  };
  const watcher = new IntersectionObserver(
    (entries) => {
      const isInSight = entries.at(-1)!.isIntersecting;
      if (isInSight) void show();
      // A drawn page takes megabytes. Its place keeps its height.
      else if (dom.classList.contains('is-drawn')) {
        dom.style.minHeight = `${canvas.offsetHeight}px`;
        canvas.width = 0;
        dom.classList.remove('is-drawn');
      }
    },
    { rootMargin: NEARLY_IN_SIGHT },
  );
  watcher.observe(dom);
  return { dom, destroy: () => watcher.disconnect() };
}
