/** Which signs each part of the book face has; the parts are files of their own, fetched where a letter has such signs. */
export const FACES = {
  latin: [
    [0x0000, 0x00ff],
    [0x0131, 0x0131],
    [0x0152, 0x0153],
    [0x02bb, 0x02dc],
    [0x2000, 0x206f],
    [0x20ac, 0x20ac],
    [0x2122, 0x2122],
    [0x2191, 0x2191],
    [0x2193, 0x2193],
    [0x2212, 0x2215],
    [0xfeff, 0xfeff],
    [0xfffd, 0xfffd],
  ],
  'latin-ext': [
    [0x0100, 0x02ba],
    [0x1e00, 0x1eff],
    [0x20a0, 0x20c0],
    [0x2113, 0x2113],
    [0x2c60, 0x2c7f],
    [0xa720, 0xa7ff],
  ],
  cyrillic: [
    [0x0400, 0x045f],
    [0x0490, 0x0491],
    [0x04b0, 0x04b1],
    [0x2116, 0x2116],
  ],
  greek: [[0x0370, 0x03ff]],
} as const satisfies Record<string, readonly (readonly [number, number])[]>;
export type Face = keyof typeof FACES;

/** The part of the book face that has a sign; null for none. */
export function faceOf(sign: string): Face | null {
  const code = sign.codePointAt(0)!;
  for (const [face, ranges] of Object.entries(FACES))
    if (ranges.some(([from, to]) => code >= from && code <= to)) return face as Face;
  return null;
}

/** The signs of a text that the book face does not have: they would be missing on paper. */
export const missingSigns = (text: string): string[] =>
  [...new Set(text.normalize('NFC'))].filter((sign) => faceOf(sign) === null);

/** Words in runs of one face each: what the first part of the face has not stands in another. A sign that none has is in the first. */
export function runsOfFaces(words: string): { face: Face; text: string }[] {
  const runs: { face: Face; text: string }[] = [];
  // Letters and their accents as one sign, where there is one: faces have these.
  for (const sign of words.normalize('NFC')) {
    const face = faceOf(sign) ?? 'latin';
    const last = runs.at(-1);
    if (last?.face === face) last.text += sign;
    else runs.push({ face, text: sign });
  }
  return runs;
}
