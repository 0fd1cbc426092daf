import {
  AlikeAskedSchema,
  AlikeSchema,
  IgnoredSchema,
  longAnswerOf,
  MergedSchema,
  MergingSchema,
  TypedAgainSchema,
} from './order';
import { define } from './route';

/** Keeping the bank in order. */
export const ORDER_ROUTES = define({
  alike: {
    method: 'post',
    path: '/api/order/alike',
    access: 'member',
    summary:
      'Entries that say nearly the same, in lines: how far it is, until they come. Hanging up stops it.',
    status: 200,
    body: AlikeAskedSchema,
    stream: 'application/x-ndjson',
    response: longAnswerOf(AlikeSchema),
  },
  typedAgain: {
    method: 'post',
    path: '/api/order/typed-again',
    access: 'member',
    summary:
      'What stands by hand in several drafts of the cases given to the member, in lines as for entries alike.',
    status: 200,
    stream: 'application/x-ndjson',
    response: longAnswerOf(TypedAgainSchema),
  },
  ignorePhrase: {
    method: 'post',
    path: '/api/order/ignored',
    access: 'member',
    summary: 'Says that a phrase is not to be told any more, or again.',
    status: 204,
    body: IgnoredSchema,
  },
  mergeEntries: {
    method: 'post',
    path: '/api/entries/merged',
    access: 'member',
    summary: 'Makes several entries one: their notes, drafts and history follow it. All of it, or nothing.',
    status: 200,
    body: MergingSchema,
    response: MergedSchema,
  },
});
