import { readMessage } from '#core/message';
import type { SentMail } from '#core/intake';
import { IS_MAIL } from './archive';

/** So many mails are read of an mbox at the most: beyond it nothing new repeats. */
const MOST_MAILS = 5000;

const HEAD =
  /^(received|return-path|delivered-to|from|to|date|subject|message-id|mime-version|x-[\w-]+|dkim-signature): /i;
const BETWEEN = /(?:^|\r?\n\r?\n)From \S[^\r\n]*\r?\n/g;

/** Bytes as characters of one byte each, so that they can be cut and are the same bytes again. */
const asLatin1 = (bytes: Uint8Array): string => {
  let text = '';
  for (let at = 0; at < bytes.length; at += 0x8000)
    text += String.fromCharCode(...bytes.subarray(at, at + 0x8000));
  return text;
};
const asBytes = (text: string): Uint8Array => Uint8Array.from(text, (one) => one.charCodeAt(0));

/** Whether a file is a mail (RFC 5322) or a mailbox of many (mbox, RFC 4155), by its name or how it begins. */
export function isMail(bytes: Uint8Array, called: string): boolean {
  if (IS_MAIL.test(called)) return true;
  const start = asLatin1(bytes.subarray(0, 2000));
  if (/^From \S+.*\r?\n[\w-]+: /.test(start)) return true;
  const lines = start.split(/\r?\n/, 4);
  return (
    lines.length === 4 &&
    HEAD.test(lines[0]!) &&
    lines.slice(1, 4).every((line) => /^([\w-]+:\s|\s+\S)/.test(line))
  );
}

/** The mails of a file one by one, as bytes. */
function mailsIn(bytes: Uint8Array): Uint8Array[] {
  const text = asLatin1(bytes);
  if (!/^From \S/.test(text)) return [bytes];
  return (
    text
      .split(BETWEEN)
      .filter((one) => one.trim() !== '')
      .slice(0, MOST_MAILS)
      // Lines of a text that begin as what parts mails are written with a sign before them.
      .map((one) => asBytes(one.replace(/^>(>*From )/gm, '$1')))
  );
}

/** The mails of a file as they were written; those that cannot be read are left out. */
export async function readMails(bytes: Uint8Array): Promise<SentMail[]> {
  const mails: SentMail[] = [];
  for (const one of mailsIn(bytes)) {
    const message = await readMessage(one);
    if (message) mails.push({ subject: message.subject, text: message.text });
  }
  return mails;
}
