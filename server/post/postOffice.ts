import { randomUUID } from 'node:crypto';
import type { Post } from '#contracts';
import { mailTransport } from './mailTransport';

/** What is sent to someone. */
export interface Letter {
  to: string;
  subject: string;
  text: string;
  /** Whether its link lets whoever holds it be a member: then nobody reads it in passing. */
  secret: boolean;
}

/** Brings letters to people. */
export interface PostOffice {
  /** Whether letters leave by e-mail. */
  byEmail: boolean;
  /** Sends a letter; throws when it cannot be sent. */
  send: (letter: Letter, now: Date) => Promise<void>;
  /** The letters that wait here for an owner to hand them on, newest first; of secret ones without their words. */
  waiting: () => Post[];
  /** Takes a letter out to be read; undefined where none of that id waits. */
  take: (id: string) => Letter | undefined;
}

const MOST_WAITING = 200;

/**
 * Without a mail server: letters wait for an owner to see and hand on. In memory alone, since their links are secrets: a
 * restart forgets them, and they are sent again.
 */
export class PostRoom implements PostOffice {
  readonly byEmail = false;
  private letters: (Letter & { id: string; sentAt: string })[] = [];

  send(letter: Letter, now: Date): Promise<void> {
    // Whoever asks again and again must not push others' letters out: the link in the one before works no more anyway.
    const others = this.letters.filter(({ to, subject }) => to !== letter.to || subject !== letter.subject);
    this.letters = [{ ...letter, id: randomUUID(), sentAt: now.toISOString() }, ...others].slice(
      0,
      MOST_WAITING,
    );
    return Promise.resolve();
  }

  waiting(): Post[] {
    return this.letters.map(({ id, to, subject, text, secret, sentAt }) => ({
      id,
      to,
      subject,
      text: secret ? null : text,
      sentAt,
    }));
  }

  take(id: string): Letter | undefined {
    const letter = this.letters.find((one) => one.id === id);
    this.letters = this.letters.filter((one) => one !== letter);
    return letter;
  }
}

/** A mail server that says nothing is given up after this long: whoever waits for it holds a request. */
const PATIENCE_MS = 6000;

/** Sends by a mail server, given as an `smtp:` or `smtps:` address. */
export function smtpOffice({ url, from }: { url: string; from: string }): PostOffice {
  const transport = mailTransport(url, PATIENCE_MS);
  return {
    byEmail: true,
    send: async ({ to, subject, text }) => void (await transport.sendMail({ from, to, subject, text })),
    waiting: () => [],
    take: () => undefined,
  };
}
