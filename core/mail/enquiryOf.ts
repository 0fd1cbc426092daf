import { cutTo } from '#core/language';
import type { DetailPath, Value } from '#core/record';
import type { Mailbox } from './addresses';
import { languageOfText } from './languageOfText';
import { messageParts } from './messageParts';
import { plainSubject } from './subject';

/** What an enquiry begins with. */
export interface EnquiryBegun {
  title: string;
  details: { path: DetailPath; value: Value }[];
  /** What the message says itself, without what it quotes and its signature. */
  said: string;
  /** The language it is plainly in (BCP 47); null where that cannot be told. */
  language: string | null;
}

const MOST_TITLE = 200;
const text = (words: string): Value => ({ kind: 'text', text: words });

/**
 * What a message tells of who asks, of what, and in which language where that is plain: the answer is in it.
 * @param called what it is called where it has neither a subject nor a sender's name
 */
export function enquiryOf(
  { from, subject, text: written }: { from: Mailbox | null; subject: string; text: string },
  called: string,
): EnquiryBegun {
  const about = plainSubject(subject);
  const said = messageParts(written)
    .filter(({ kind }) => kind === 'said')
    .map((part) => part.text.trim())
    .join('\n\n');
  const spoken = languageOfText(said);
  const language = spoken?.isSure ? spoken.language : null;
  return {
    title: cutTo(about || from?.name || from?.address || called, MOST_TITLE),
    said,
    language,
    details: [
      ...(from?.name ? [{ path: 'customer' as const, value: text(from.name) }] : []),
      ...(from?.address ? [{ path: 'email' as const, value: text(from.address) }] : []),
      ...(about ? [{ path: 'topic' as const, value: text(about) }] : []),
      ...(language ? [{ path: 'language' as const, value: text(language) }] : []),
    ],
  };
}
