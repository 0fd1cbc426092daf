import { mapLines, wordsOfInline, type Inline, type Line, type Passage } from '#core/passage';

const linkOf = (inline: Inline | undefined): string | null =>
  inline?.marks?.find((mark) => mark.type === 'link')?.attrs.href ?? null;

/** An address as it is read: no scheme, no slash at its end, all small. */
const bare = (address: string): string =>
  address
    .trim()
    .toLowerCase()
    .replace(/^(?:https?:\/\/|mailto:|tel:)/, '')
    .replace(/\/$/, '');

function lineWithAddresses(line: Line): Line {
  if (!line.some((inline) => linkOf(inline) !== null)) return line;
  let words = '';
  return line.flatMap((inline, index): Inline[] => {
    const href = linkOf(inline);
    words = href === null ? '' : words + wordsOfInline(inline);
    if (href === null || linkOf(line[index + 1]) === href) return [inline];
    const said = words;
    words = '';
    // Words that are the address, or no words at all, say it once.
    if (said.trim() === '' || bare(said) === bare(href) || bare(said) === href.toLowerCase()) return [inline];
    return [inline, { type: 'text', text: ` (${href.replace(/^(?:mailto|tel):/, '')})` }];
  });
}

/** A passage whose links say their address in brackets behind their words, for where a link cannot be followed: plain text. */
export const withAddresses = (passage: Passage): Passage => mapLines(passage, lineWithAddresses);
