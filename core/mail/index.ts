/** Messages as they come and go, and the heads of them. */
export { messageParts, type MessagePart } from './messageParts';
export { plainSubject } from './subject';
export { languageOfText } from './languageOfText';
export { mailboxesOf, mailboxInWords, readAddresses, type Mailbox } from './addresses';
export { enquiryOf } from './enquiryOf';
export { questionsIn } from './questionsIn';
