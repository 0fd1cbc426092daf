/**
 * The id of an entry that was made with a key: the same for the same member, collection and key alone, so that nobody comes upon what
 * someone else made, or learns that it is there. A page knows it before the server has answered. 32 hexadecimal digits.
 */
export async function keyedEntryId(member: string, collection: string, key: string): Promise<string> {
  const bytes = new TextEncoder().encode([member, collection, key].join('\n'));
  const hash = new Uint8Array(await crypto.subtle.digest('SHA-256', bytes));
  return [...hash.slice(0, 16)].map((byte) => byte.toString(16).padStart(2, '0')).join('');
}
