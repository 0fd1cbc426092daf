import { AlikeAskedSchema, AlikeSchema, longAnswerOf, MergedSchema, MergingSchema } from './order';
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
