import { z } from 'zod';
import { define } from './route';

/** Dictionaries for spelling. */
export const DICTIONARY_ROUTES = define({
  dictionaries: {
    method: 'get',
    path: '/api/dictionaries',
    access: 'member',
    atHand: 'team',
    summary: 'The languages for which the team has put a dictionary in its folder.',
    status: 200,
    response: z.array(z.string()),
  },
  dictionary: {
    method: 'get',
    path: '/api/dictionaries/:language',
    access: 'member',
    summary: "A dictionary of the team's: its rules and its words, in hunspell's format.",
    status: 200,
    response: z.object({ rules: z.string(), words: z.string() }),
  },
});
