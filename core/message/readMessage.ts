import PostalMime, { type Email } from 'postal-mime';
import { mailboxesOf, type Mailbox } from '#core/mail';
import { wordsOfHtml } from './wordsOfHtml';

/** What was sent along with a message. */
export interface Attachment {
  name: string;
  /** What it says it is, as a media type. */
  media: string;
  content: Uint8Array;
}

/** A message as it is read and answered. */
export interface Message {
  from: Mailbox | null;
  to: readonly Mailbox[];
  cc: readonly Mailbox[];
  subject: string;
  /** What it is called by mail programs, in angle brackets; null where it has no such name. */
  id: string | null;
  /** Those of the messages it answers, the oldest first. */
  references: readonly string[];
  /** When it was sent, by its own head; null where that says nothing that can be read. */
  sentAt: Date | null;
  /** What is written in it, as plain text. */
  text: string;
  /** What was sent along, as it is: nothing of it is run or opened. */
  attachments: readonly Attachment[];
  /** Pictures that stand within its text and came with it. */
  pictures: readonly Attachment[];
}

/** Names of messages as a head lists them (RFC 5322, 3.6.4). */
const idsIn = (head: string | undefined): string[] =>
  [...(head ?? '').matchAll(/<[^<>\s]{1,900}>/g)].map(([id]) => id).slice(-50);

function sentAt({ date }: Email): Date | null {
  const at = new Date(date ?? '');
  return Number.isNaN(at.getTime()) ? null : at;
}

const MOST_NAME = 200;

/** A name for what came without one: by its kind. */
const nameOf = (name: string | null, type: string, at: number) =>
  (name ?? '').replace(/[\\/]/g, '_').trim().slice(0, MOST_NAME) ||
  `attachment-${at + 1}.${type.split('/')[1] ?? 'bin'}`;

/** Pictures that a page shows without running anything, and that are no larger than one would send to be looked at. */
const SHOWN = ['image/png', 'image/jpeg', 'image/gif', 'image/webp'];
const MOST_SHOWN_BYTES = 5_000_000;
const isShown = ({ media, content }: Attachment) =>
  SHOWN.includes(media) && content.length > 0 && content.length <= MOST_SHOWN_BYTES;

/**
 * Reads a message (RFC 5322 with MIME). Of one with a plain text that is its text, else the words of its HTML; pictures from
 * elsewhere are never fetched. Null where it is no message: it has no sender, no subject and no date.
 */
export async function readMessage(bytes: Uint8Array): Promise<Message | null> {
  const mail = await PostalMime.parse(bytes).catch(() => null);
  const hasHead = mail && (mail.from ?? mail.to ?? mail.subject ?? mail.date) !== undefined;
  if (!hasHead) return null;
  const plain = mail.text?.trim() ? mail.text : mail.html ? wordsOfHtml(mail.html) : '';
  const along = mail.attachments.map(({ filename, mimeType, content, related, disposition }, at) => ({
    one: {
      name: nameOf(filename, mimeType, at),
      media: mimeType.toLowerCase(),
      content: new Uint8Array(content as ArrayBuffer),
    },
    // A picture within the text goes with it.
    isWithin: related === true && disposition !== 'attachment',
  }));
  const [from] = mailboxesOf(mail.from ? [mail.from] : (mail.replyTo ?? []));
  return {
    from: from ?? null,
    to: mailboxesOf(mail.to),
    cc: mailboxesOf(mail.cc),
    subject: mail.subject ?? '',
    id: idsIn(mail.messageId)[0] ?? null,
    references: [...new Set(idsIn(`${mail.references ?? ''} ${mail.inReplyTo ?? ''}`))],
    sentAt: sentAt(mail),
    text: plain.replace(/\r\n?/g, '\n').trim(),
    attachments: along.filter(({ isWithin }) => !isWithin).map(({ one }) => one),
    pictures: along.filter(({ isWithin, one }) => isWithin && isShown(one)).map(({ one }) => one),
  };
}
