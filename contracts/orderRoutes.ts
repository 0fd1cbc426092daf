import {
  AlikeAskedSchema,
  AlikeSchema,
  AllowingSchema,
  IgnoredSchema,
  longAnswerOf,
  MergedSchema,
  MergingSchema,
  PersonalInBankSchema,
  TermAskedSchema,
  TermFoundSchema,
  TypedAgainSchema,
} from './order';
import { define } from './route';
import { UsageSchema } from './usage';

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
  personalInBank: {
    method: 'post',
    path: '/api/order/personal',
    access: 'member',
    summary: 'What in shared entries looks like somebody’s details, in lines as for entries alike.',
    status: 200,
    stream: 'application/x-ndjson',
    response: longAnswerOf(PersonalInBankSchema),
  },
  termInBank: {
    method: 'post',
    path: '/api/order/term',
    access: 'member',
    summary:
      'Where a term stands in the bank, with the edits that would change it, in lines as for entries alike.',
    status: 200,
    body: TermAskedSchema,
    stream: 'application/x-ndjson',
    response: longAnswerOf(TermFoundSchema),
  },
  usage: {
    method: 'get',
    path: '/api/usage',
    access: 'member',
    summary: 'What is used of the bank that the member sees, counted: theirs, and everybody’s as sums.',
    status: 200,
    response: UsageSchema,
  },
  allowDetail: {
    method: 'post',
    path: '/api/entries/:entry/allowed',
    access: 'keeper',
    summary:
      'Says that words which look like somebody’s details may stand in an entry, and why; or takes that back.',
    status: 204,
    body: AllowingSchema,
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
