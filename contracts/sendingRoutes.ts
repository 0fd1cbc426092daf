import { z } from 'zod';
import { define } from './route';
import { NewSendingSchema, SendingChangeSchema, SendingSchema, SentSchema } from './sendings';

/** Routes of letters on their way out. */
export const SENDING_ROUTES = define({
  sendDraft: {
    method: 'post',
    path: '/api/drafts/:draft/sendings',
    access: 'given',
    summary:
      'Has a draft without gaps sent as a letter after some seconds, and finishes it. What is doubtful about it is told first.',
    status: 201,
    guarded: true,
    body: NewSendingSchema,
    response: SentSchema,
  },
  draftSendings: {
    method: 'get',
    path: '/api/drafts/:draft/sendings',
    access: 'given',
    summary: 'The letters that were sent from a draft, newest first.',
    status: 200,
    response: z.array(SendingSchema),
  },
  sendings: {
    method: 'get',
    path: '/api/sendings',
    access: 'member',
    atHand: 'case',
    summary: 'The letters that the member sent, newest first; the last 500.',
    status: 200,
    response: z.array(SendingSchema),
  },
  changeSending: {
    method: 'post',
    path: '/api/sendings/:sending/changes',
    access: 'given',
    summary:
      'Takes a letter back that has not gone, sends one again that was refused or has perhaps gone, or says that it has gone.',
    status: 200,
    body: SendingChangeSchema,
    response: SendingSchema,
  },
  sentMessage: {
    method: 'get',
    path: '/api/sendings/:sending/message',
    access: 'given',
    summary: 'A letter as it goes out: a message of RFC 5322.',
    status: 200,
    stream: 'message/rfc822',
  },
});
