import nodemailer from 'nodemailer';

type Options = Parameters<typeof nodemailer.createTransport>[0];

/** What speaks with a mail server, given as an `smtp:` or `smtps:` address, and gives one up that says nothing for so many milliseconds. */
export const mailTransport = (url: string, patienceMs: number) =>
  nodemailer.createTransport({
    url,
    connectionTimeout: patienceMs,
    greetingTimeout: patienceMs,
    socketTimeout: patienceMs,
  } as Options);
