/** What is wrong with the form of an address; its words come from `LINK_FAULTS`. Nothing is ever fetched. */
export type LinkFault =
  | 'not-an-address'
  | 'no-host'
  | 'unknown-scheme'
  | 'two-addresses'
  | 'stray-end'
  | 'space';

/** What can be wrong with the form of a link. */
export const LINK_FAULTS: Record<LinkFault, string> = {
  'not-an-address': 'this is not an address',
  'no-host': 'it has no web address',
  'unknown-scheme': 'it does not start with https, mailto or tel',
  'two-addresses': 'it is two addresses run together',
  'stray-end': 'it ends with an odd character',
  space: 'it has a space in it',
};

const HOST = /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}{2,}$/u;

const isHost = (host: string) => host === 'localhost' || HOST.test(host) || /(?:^|\.)xn--/.test(host);

/** Of an address of the web, with its scheme or without. */
function webFault(address: string, scheme: string | undefined): LinkFault | null {
  // What browsers mend in silence is a slip all the same.
  if (scheme && !/^https?:\/\/[^/]/i.test(address)) return 'not-an-address';
  try {
    const { hostname } = new URL(scheme ? address : `https://${address}`);
    return isHost(hostname) ? null : 'no-host';
  } catch {
    return 'not-an-address';
  }
}

/** What is wrong with the form of an address: null where it may lead somewhere. */
export function linkFault(address: string): LinkFault | null {
  const trimmed = address.trim();
  if (/\s/.test(trimmed)) return 'space';
  if ((trimmed.match(/https?:\/\//gi)?.length ?? 0) > 1) return 'two-addresses';
  if (/[,;.!]$/.test(trimmed)) return 'stray-end';
  const scheme = /^([a-z][a-z+-]*):/i.exec(trimmed)?.[1]?.toLowerCase();
  switch (scheme) {
    case 'mailto':
      return isHost(trimmed.slice('mailto:'.length).split('?')[0]!.split('@')[1] ?? '') ? null : 'no-host';
    case 'tel':
      return /\d{3}/.test(trimmed) ? null : 'not-an-address';
    case 'http':
    case 'https':
    case undefined:
      return webFault(trimmed, scheme);
    default:
      return 'unknown-scheme';
  }
}
