import { randomUUID } from 'node:crypto';
import nodemailer from 'nodemailer';
import type { Post } from '#contracts';

/** What is sent to someone. */
export type Letter = Pick<Post, 'to' | 'subject' | 'text'>;

/** Brings letters to people. */
export interface PostOffice {
  /** Whether letters leave by e-mail. */
  byEmail: boolean;
  /** Sends a letter; throws when it cannot be sent. */
  send: (letter: Letter, now: Date) => Promise<void>;
  /** The letters that wait here for an owner to hand them on, newest first. */
  waiting: () => Post[];
}

const MOST_WAITING = 200;

/**
 * Without a mail server: letters wait for an owner to see and hand on. In memory alone, since their links are secrets: a
 * restart forgets them, and they are sent again.
 */
export class PostRoom implements PostOffice {
  readonly byEmail = false;
  private letters: Post[] = [];

  send(letter: Letter, now: Date): Promise<void> {
    const post = { ...letter, id: randomUUID(), sentAt: now.toISOString() };
    this.letters = [post, ...this.letters].slice(0, MOST_WAITING);
    return Promise.resolve();
  }

  waiting(): Post[] {
    return this.letters;
  }
}

/** Sends by a mail server, given as an `smtp:` or `smtps:` address. */
export function smtpOffice({ url, from }: { url: string; from: string }): PostOffice {
  const transport = nodemailer.createTransport(url);
  return {
    byEmail: true,
    send: async ({ to, subject, text }) => void (await transport.sendMail({ from, to, subject, text })),
    waiting: () => [],
  };
}
