import { addressParser, type Address } from 'postal-mime';

/** One of those a message is from or goes to. */
export interface Mailbox {
  /** '' where none is given. */
  name: string;
  address: string;
}

/** An address that mail can be sent to: a name, an @ and a place with a dot in it, without spaces or line breaks. */
const ADDRESS = /^[^\s@"<>(),:;\\[\]]{1,64}@[^\s@"<>(),:;\\[\]]{1,253}\.[^\s@"<>(),:;.\\[\]]{2,63}$/u;

/** The mailboxes that a mail reader found in a head, those of groups by themselves (RFC 5322). */
export const mailboxesOf = (all: readonly Address[] | undefined): Mailbox[] =>
  (all ?? []).flatMap((one) => one.group ?? [one]).map(({ name, address }) => ({ name, address }));

/** Addresses as somebody typed them, with commas or semicolons between them: those that mail can be sent to, each once, and the words that are none. */
export function readAddresses(typed: string): { mailboxes: Mailbox[]; faults: string[] } {
  const mailboxes: Mailbox[] = [];
  const faults: string[] = [];
  for (const one of mailboxesOf(addressParser(typed.replace(/[\r\n]+/g, ', ')))) {
    const { name, address } = one;
    if (!ADDRESS.test(address)) faults.push([name, address].filter((words) => words !== '').join(' '));
    else if (!mailboxes.some((other) => other.address.toLowerCase() === address.toLowerCase()))
      mailboxes.push(one);
  }
  return { mailboxes, faults };
}

/** A mailbox as it is written: by its name, where it has one. */
export const mailboxInWords = ({ name, address }: Mailbox): string => {
  if (name === '') return address;
  return `${/[,;"<>@()]/.test(name) ? `"${name.replace(/["\\]/g, '')}"` : name} <${address}>`;
};
