import { callBytes, callsGoTo, inWords } from '#client/api';
import type { Questions } from '../messages';
import { joined } from './settings';

const PIECE = 32_768;

/** Bytes as letters, since messages between the parts of an extension are JSON. */
function asBase64(bytes: Uint8Array): string {
  let letters = '';
  for (let at = 0; at < bytes.length; at += PIECE)
    letters += String.fromCharCode(...bytes.subarray(at, at + PIECE));
  return btoa(letters);
}

/** Fetches a file that goes along with an entry, when its member says where it goes; or says why it cannot be had. */
export async function entryFile({
  entry,
  hash,
}: Questions['entry-file']['with']): Promise<Questions['entry-file']['gives']> {
  const to = await joined();
  if (!to) return { base64: null, trouble: 'This browser is not joined any more.' };
  callsGoTo(to);
  try {
    return { base64: asBase64(await callBytes('entryFile', { entry, hash })), trouble: null };
  } catch (error) {
    return { base64: null, trouble: inWords(error) };
  }
}
