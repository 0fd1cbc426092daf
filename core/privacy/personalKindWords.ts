import type { PersonalKind } from './personalFinder';

/** What words look like. */
export const KIND_WORDS: Record<PersonalKind, string> = {
  name: 'a name',
  birth: 'a day of birth',
  phone: 'a telephone number',
  'e-mail': 'an e-mail address',
  address: 'an address',
  number: 'the number of a case or a person',
  pronoun: 'he or she of one case',
};
