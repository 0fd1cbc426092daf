import { mailTransport } from './mailTransport';

/** A message as it is handed over: whom the mail server is told, and the message itself. */
export interface Parcel {
  from: string;
  to: readonly string[];
  message: string;
}

/** What came of handing a message over. Only where it is plain that nothing has gone is it `refused`. */
export interface Delivery {
  state: 'gone' | 'refused' | 'perhaps-gone';
  /** What the mail server said, in its words; '' for nothing. */
  reason: string;
}

/** Hands over what members send. */
export interface Courier {
  /** Whether there is a mail server; without one letters lie in the outbox, to be taken from there. */
  byServer: boolean;
  /** The address that letters are from; null for the writer’s own. */
  from: string | null;
  deliver(parcel: Parcel): Promise<Delivery>;
}

/** The stand-in for a mail server: what is handed over lies in the outbox. */
export const outboxCourier: Courier = {
  byServer: false,
  from: null,
  deliver: () => Promise.resolve({ state: 'gone', reason: '' }),
};

/** A mail server that says nothing is given up after this long. */
const PATIENCE_MS = 20_000;

interface MailError extends Error {
  responseCode?: number;
  response?: string;
  code?: string;
  syscall?: string;
}

/** Where these end the work, the mail server was given nothing yet. */
const BEFORE_IT_HEARD = ['EDNS', 'EAUTH', 'ETLS', 'EENVELOPE'];
const NEVER_ANSWERED = /^(?:Connection timeout|Greeting never received)/;

/**
 * What became of a message whose handing over failed: where the mail server said no, or was never spoken with, it has plainly not gone.
 * A connection that ends tells nothing of when it did, so that all else has perhaps gone.
 */
export function afterFailure(error: MailError): Delivery {
  const reason = (error.response ?? error.message).replace(/\s+/g, ' ').trim().slice(0, 500);
  const isPlain =
    (error.responseCode ?? 0) >= 400 ||
    error.syscall === 'connect' ||
    BEFORE_IT_HEARD.includes(error.code ?? '') ||
    NEVER_ANSWERED.test(error.message);
  return { state: isPlain ? 'refused' : 'perhaps-gone', reason };
}

/** Hands letters to a mail server, given as an `smtp:` or `smtps:` address. */
export function smtpCourier({ url, from }: { url: string; from: string }): Courier {
  const transport = mailTransport(url, PATIENCE_MS);
  return {
    byServer: true,
    from,
    deliver: async (parcel) => {
      try {
        const sent: unknown = await transport.sendMail({
          envelope: { from: parcel.from, to: [...parcel.to] },
          raw: parcel.message,
        });
        const refused = (sent as { rejected?: (string | { address: string })[] }).rejected ?? [];
        const names = refused.map((one) => (typeof one === 'string' ? one : one.address));
        return { state: 'gone', reason: names.length > 0 ? `Not taken: ${names.join(', ')}` : '' };
      } catch (error) {
        return afterFailure(error as MailError);
      }
    },
  };
}
