/** Messages of mail programs as they are read: apart from `core/mail`, so that only who reads one loads what reads them. */
export { readMessage } from './readMessage';
export type { Attachment, Message } from './readMessage';
