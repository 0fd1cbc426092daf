/**
 * Words in the encoding they are in: what the first bytes say, else UTF-8, else that of older programs for western Europe. Null
 * where it is no text.
 */
export function decodedText(bytes: Uint8Array): string | null {
  const marked =
    bytes[0] === 0xff && bytes[1] === 0xfe
      ? 'utf-16le'
      : bytes[0] === 0xfe && bytes[1] === 0xff
        ? 'utf-16be'
        : null;
  if (marked) return new TextDecoder(marked).decode(bytes);
  // Signs that no text has.
  if (bytes.subarray(0, 4096).some((byte) => byte < 9 || (byte > 13 && byte < 27))) return null;
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
