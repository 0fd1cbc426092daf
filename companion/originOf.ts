/** The origin of an address as somebody types it; null where it is none. Without a scheme it is `https`, on this computer `http`. */
export function originOf(typed: string): string | null {
  const text = typed.trim();
  const isHere = /^(localhost|127\.0\.0\.1|\[::1\])(:|\/|$)/.test(text);
  try {
    const url = new URL(/^[a-z]+:\/\//i.test(text) ? text : `${isHere ? 'http' : 'https'}://${text}`);
    return ['http:', 'https:'].includes(url.protocol) ? url.origin : null;
  } catch {
    return null;
  }
}

/** What is told where an address is none. */
export const NO_ADDRESS = 'That is no address. Type it as it stands in the browser when Elderleaf is open.';

/** The pattern by which a browser grants the pages of an origin: without its port, which some browsers take in none. */
export function patternOf(origin: string): string {
  const { protocol, hostname } = new URL(origin);
  return `${protocol}//${hostname}/*`;
}
