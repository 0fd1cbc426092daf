/** How large the pocket is in a window of its own, in pixels. */
const SIZE = { width: 380, height: 640 };

interface PictureInPicture {
  requestWindow: (options: { width: number; height: number }) => Promise<Window>;
}

const inPicture = (): PictureInPicture | undefined =>
  (window as { documentPictureInPicture?: PictureInPicture }).documentPictureInPicture;

/**
 * Opens the pocket in a small window: on top of all others where the browser can (Document Picture-in-Picture), else beside this one.
 * Only a click or a key may open one.
 */
export async function openOwnWindow(): Promise<void> {
  const picture = inPicture();
  if (!picture) {
    window.open('/pocket', 'elderleaf-pocket', `popup,width=${SIZE.width},height=${SIZE.height}`);
    return;
  }
  const opened = await picture.requestWindow(SIZE);
  const page = opened.document.createElement('iframe');
  page.src = new URL('/pocket', location.href).href;
  page.title = 'Pocket';
  page.allow = 'clipboard-write';
  opened.document.title = 'Pocket';
  Object.assign(opened.document.body.style, { margin: '0' });
  Object.assign(page.style, { position: 'fixed', inset: '0', width: '100%', height: '100%', border: '0' });
  opened.document.body.append(page);
}
