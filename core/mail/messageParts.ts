/** A stretch of a message: what is said in it, words of earlier messages, or what stands beneath every message of its sender. */
export interface MessagePart {
  kind: 'said' | 'quoted' | 'signature';
  /** Its lines as they stand. */
  text: string;
}

const QUOTED = /^ ?>/;
/** Ends who wrote what is quoted, and when: "On 3 November 2026 Odile wrote:". */
const ATTRIBUTION_END = /\S.*:\s*$/;
/** Before the message that an answer stands on top of. */
const DIVIDER = /^\s*(?:-{3,}.{3,60}-{3,}|_{8,})\s*$/;
/** "From: …", in whatever language: a word or two, a colon, and something behind it. */
const HEADER = /^\*?\p{L}[\p{L} ]{1,20}:\*?[ \t]+\S/u;
/** RFC 3676, 4.3. */
const SIGNATURE = /^-- ?$/;

/** How many lines before a quoted one say who wrote it: none, one or two. */
function attributionBefore(lines: readonly string[], first: number): number {
  let last = first - 1;
  while (last >= 0 && lines[last]!.trim() === '') last -= 1;
  if (last < 0 || first - last > 2 || !ATTRIBUTION_END.test(lines[last]!)) return 0;
  // A long one is broken: its first line begins a paragraph.
  const isBroken = last > 0 && lines[last - 1]!.trim() !== '' && (lines[last - 2] ?? '').trim() === '';
  const start = isBroken && lines[last]!.length < 40 ? last - 1 : last;
  return first - start;
}

/** Whether an earlier message begins at a line whole, with its headers: all behind it is that message. */
function beginsEarlier(lines: readonly string[], at: number): boolean {
  const isHead = (line: string | undefined) => line !== undefined && HEADER.test(line);
  let head = at;
  if (DIVIDER.test(lines[at]!)) {
    head += 1;
    while (head < lines.length && lines[head]!.trim() === '') head += 1;
    return isHead(lines[head]) && isHead(lines[head + 1]);
  }
  // Without a divider three headers in a row, of which one has an address.
  return (
    (at === 0 || lines[at - 1]!.trim() === '') &&
    [0, 1, 2].every((step) => isHead(lines[head + step])) &&
    [0, 1, 2, 3].some((step) => /\S@\S/.test(lines[head + step] ?? ''))
  );
}

/**
 * A message in its parts, in their order: nothing of it is lost, and each line is in one of them. What is quoted is known by ">" before
 * it (RFC 3676), with the line that says who wrote it, or by the headers of a message that stands beneath; a signature by the line "-- ".
 */
export function messageParts(message: string): MessagePart[] {
  const lines = message.replace(/\r\n?/g, '\n').split('\n');
  const kinds: MessagePart['kind'][] = [];
  let isSignature = false;
  for (let at = 0; at < lines.length; at += 1) {
    if (beginsEarlier(lines, at)) {
      while (kinds.length < lines.length) kinds.push('quoted');
      break;
    }
    if (QUOTED.test(lines[at]!)) {
      isSignature = false;
      if (kinds[at - 1] !== 'quoted')
        kinds.splice(
          at - attributionBefore(lines, at),
          attributionBefore(lines, at),
          ...Array<'quoted'>(attributionBefore(lines, at)).fill('quoted'),
        );
      kinds.push('quoted');
      continue;
    }
    if (SIGNATURE.test(lines[at]!)) isSignature = true;
    // An empty line between two quoted ones is theirs.
    const isBetween =
      lines[at]!.trim() === '' && kinds[at - 1] === 'quoted' && QUOTED.test(lines[at + 1] ?? '');
    kinds.push(isBetween ? 'quoted' : isSignature ? 'signature' : 'said');
  }
  const parts: MessagePart[] = [];
  lines.forEach((line, at) => {
    const last = parts.at(-1);
    if (last && last.kind === kinds[at]) last.text += `\n${line}`;
    else parts.push({ kind: kinds[at]!, text: line });
  });
  return parts;
}
