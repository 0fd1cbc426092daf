import { TextDecoder, TextEncoder } from 'node:util';

// What every browser has, and jsdom has not.
Object.assign(globalThis, { TextDecoder, TextEncoder });
window.matchMedia = (media) =>
  Object.assign(new EventTarget(), {
    media,
    matches: false,
    onchange: null,
    addListener: () => undefined,
    removeListener: () => undefined,
  });
