/** Text as UTF-16 with its byte order mark, as spreadsheets of some systems write it. */
export function utf16(text: string, isLittle = true): Uint8Array {
  const bytes = new Uint8Array(2 + text.length * 2);
  const view = new DataView(bytes.buffer);
  view.setUint16(0, 0xfeff, isLittle);
  for (let at = 0; at < text.length; at += 1) view.setUint16(2 + at * 2, text.charCodeAt(at), isLittle);
  return bytes;
}

/** Text of western Europe in one byte for each sign (ISO 8859-1, of which Windows-1252 has all that is used here). */
export const latin1 = (text: string): Uint8Array => Uint8Array.from(text, (sign) => sign.charCodeAt(0));
