import { filesAlong, languageOf, type DraftDocument } from '#core/draft';
import type { EntryFile } from '#core/entry';
import { asPlain, writtenAs } from '#core/exchange';
import { finishedPassage } from '#core/fill';
import { mailboxInWords, plainSubject, readAddresses, type Mailbox } from '#core/mail';
import { plainText, type Block, type Passage } from '#core/passage';
import { lookUp, valueInWords, type CaseRecord } from '#core/record';

/** What a letter says on its outside, as it is typed: addresses with commas between them. */
export interface Head {
  to: string;
  cc: string;
  subject: string;
}
export type HeadLine = keyof Head;

/** A letter as it goes out: the same words plain and rich. */
export interface OutgoingLetter {
  to: Mailbox[];
  cc: Mailbox[];
  subject: string;
  text: string;
  /** The words as a page of HTML. */
  html: string;
  files: EntryFile[];
  /** What was typed as an address and is none. */
  notAddresses: string[];
}

/** What the parts of wordings are called that say a line of the head. */
const BOXES: Record<HeadLine, string> = { to: 'to', cc: 'cc', subject: 'subject' };

const lineOf = (block: Block): HeadLine | null => {
  if (block.type !== 'box' || block.attrs.comment || block.attrs.marking) return null;
  const name = block.attrs.name.trim().toLowerCase();
  return (Object.keys(BOXES) as HeadLine[]).find((line) => BOXES[line] === name) ?? null;
};

const wordsIn = (blocks: readonly Block[]) =>
  plainText({ type: 'doc', content: [...blocks] })
    .replace(/\s+/g, ' ')
    .trim();

/** Which lines of the head the text itself says, in boxes of these names; what is written there goes before all else. */
export function headInText(document: Passage): Partial<Head> {
  const head: Partial<Head> = {};
  for (const block of document.content) {
    const line = lineOf(block);
    if (line && block.type === 'box') head[line] = wordsIn(block.content);
  }
  return head;
}

/**
 * What the head of an answer is as long as nobody says otherwise: to who asked, called as what they asked.
 * @param isAnswer whether a message is answered, and not a new letter written
 */
export function usualHead(record: CaseRecord, today: string, isAnswer: boolean): Head {
  const told = (path: string) => {
    const detail = lookUp(record, path, today);
    return detail ? valueInWords(detail.value, 'en-GB').trim() : '';
  };
  const address = told('email');
  const about = plainSubject(told('topic'));
  return {
    to: address === '' ? '' : mailboxInWords({ name: told('customer'), address }),
    cc: '',
    subject: about === '' ? '' : `${isAnswer ? 'Re: ' : ''}${about}`,
  };
}

/** The head of a draft: what its text says in boxes, else what was typed, else what is usual. */
export function headOf(document: DraftDocument, usual: Head): Head {
  return { ...usual, ...document.attrs.envelope, ...headInText(document) };
}

/** What of a draft is the message: all but the boxes that are lines of its head. An empty paragraph where there is nothing. */
export function messageOf(document: Passage): Passage {
  const content = document.content.filter((block) => lineOf(block) === null);
  return { type: 'doc', content: content.length > 0 ? content : [{ type: 'paragraph' }] };
}

/** A draft without gaps as the letter that goes out. */
export function letterOf(document: DraftDocument, usual: Head): OutgoingLetter {
  const finished = finishedPassage(document);
  const head = headOf({ ...document, content: finished.content }, usual);
  const message = messageOf(finished);
  const [to, cc] = [readAddresses(head.to), readAddresses(head.cc)];
  // No head has a line break in it.
  const subject = head.subject.replace(/\s+/g, ' ').trim();
  return {
    to: to.mailboxes,
    cc: cc.mailboxes.filter(({ address }) => !to.mailboxes.some((one) => one.address === address)),
    subject,
    text: asPlain(message),
    html: writtenAs('html', message, { title: subject, language: languageOf(document) ?? 'en-GB' }),
    files: filesAlong(document),
    notAddresses: [...to.faults, ...cc.faults],
  };
}
