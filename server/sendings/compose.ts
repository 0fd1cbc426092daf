import nodemailer from 'nodemailer';
import type { Mailbox } from '#core/mail';
import type { OutgoingLetter } from '#core/letter';

/** What a message says besides the letter itself. */
interface About {
  from: Mailbox;
  /** Of its sending: the message is named by it. */
  id: string;
  date: Date;
  inReplyTo: string | null;
  references: readonly string[];
  files: readonly { name: string; media: string; content: Uint8Array }[];
}

/**
 * A letter as a message of RFC 5322, in ASCII: its words plain and rich, with what goes along. All but its boundaries follows from
 * what is given.
 */
export async function composeMessage(letter: OutgoingLetter, about: About): Promise<string> {
  const transport = nodemailer.createTransport({ streamTransport: true, buffer: true, newline: 'windows' });
  const { to, cc, subject, text, html } = letter;
  const { from, id, date, inReplyTo, references, files } = about;
  const sent = await transport.sendMail({
    from,
    to,
    ...(cc.length > 0 && { cc }),
    subject,
    date,
    messageId: `<${id}@${from.address.split('@')[1]}>`,
    ...(inReplyTo && { inReplyTo, references: [...new Set([...references, inReplyTo])] }),
    text,
    html,
    // Nothing in ASCII alone is left as it is: lines of letters are longer than mail allows.
    textEncoding: 'quoted-printable',
    attachments: files.map(({ name, media, content }) => ({
      filename: name,
      contentType: media,
      content: Buffer.from(content),
    })),
    // Words of a letter are never taken for the name of a file on this machine.
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  return (sent as unknown as { message: Buffer }).message.toString('latin1');
}
