import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';

const text = z.string().max(2000);

/**
 * What else a record tells of, besides what was measured, is given or is the matter: an allergy, a vaccination, a procedure. All
 * have one shape, so that all can be asked for, corrected and brought up to date alike. `label` is what it is; `note` what is said of
 * it: what happened, what was found, the value in words.
 */
export const historyItem = z.object({
  label: text,
  note: text.nullable(),
  /** `left`: it was not done, or does not hold. `none`: the record says in so many words that there is none. */
  status: z.enum(['active', 'over', 'planned', 'left', 'none']),
  since: CalendarDateSchema.nullable(),
  until: CalendarDateSchema.nullable(),
  source: z.string().max(300),
  // What its source calls it, to know it again.
  key: z.string().max(300).optional(),
});

/** How the days of an item of a history are meant. */
export type Happens = 'once' | 'lasts';

/** The states of an item, by what they are called in a list; a state that is not named is not offered there. */
type States = Partial<Record<z.infer<typeof historyItem>['status'], string>>;

interface HistoryList {
  title: string;
  /** One of them, as it is asked for: "Add an allergy". */
  one: string;
  happens: Happens;
  /** What is asked besides what it is. */
  note: string;
  states: States;
}

/** The lists of a record besides measurements, medicines and problems, in the order they are shown. A further one is a row. */
export const HISTORY_LISTS = {
  allergies: {
    title: 'Allergies',
    one: 'an allergy',
    happens: 'lasts',
    note: 'What happened',
    states: { active: 'now', over: 'resolved', none: 'no known allergies' },
  },
  immunisations: {
    title: 'Immunisations',
    one: 'an immunisation',
    happens: 'once',
    note: 'Dose or remark',
    states: { over: 'given', planned: 'planned', left: 'not given' },
  },
  observations: {
    title: 'Observations',
    one: 'an observation',
    happens: 'once',
    note: 'What was seen',
    states: { over: 'seen' },
  },
  reports: {
    title: 'Reports',
    one: 'a report',
    happens: 'once',
    note: 'What it says',
    states: { over: 'final', active: 'preliminary' },
  },
  procedures: {
    title: 'Procedures',
    one: 'a procedure',
    happens: 'once',
    note: 'Outcome',
    states: { over: 'done', active: 'under way', planned: 'planned', left: 'not done' },
  },
  requests: {
    title: 'Requests',
    one: 'a request',
    happens: 'once',
    note: 'Reason',
    states: { active: 'open', over: 'done', planned: 'planned', left: 'withdrawn' },
  },
  plans: {
    title: 'Care plans',
    one: 'a care plan',
    happens: 'lasts',
    note: 'What is done',
    states: { active: 'now', planned: 'planned', over: 'ended' },
  },
  goals: {
    title: 'Goals',
    one: 'a goal',
    happens: 'lasts',
    note: 'How far',
    states: { active: 'now', planned: 'planned', over: 'reached', left: 'given up' },
  },
  family: {
    title: 'Family history',
    one: 'a relative',
    happens: 'lasts',
    note: 'What they had',
    states: { active: 'known' },
  },
  stays: {
    title: 'Earlier stays',
    one: 'an earlier stay',
    happens: 'lasts',
    note: 'Reason',
    states: { over: 'ended', active: 'now', planned: 'planned' },
  },
} as const satisfies Record<string, HistoryList>;

/** The name of a list of a record's history. */
export type HistoryListId = keyof typeof HISTORY_LISTS;
/** The names of all lists of a record's history, in the order they are shown. */
export const HISTORY_LIST_IDS = Object.keys(HISTORY_LISTS) as HistoryListId[];

/** Whether a list of a record is one of its history. */
export const isHistoryList = (list: string): list is HistoryListId => Object.hasOwn(HISTORY_LISTS, list);

/** What the state of an item is called in its list; '' for one that goes without saying. */
export function stateInWords(list: HistoryListId, status: z.infer<typeof historyItem>['status']): string {
  return (HISTORY_LISTS[list].states as States)[status] ?? '';
}
