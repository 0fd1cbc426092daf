import type { PersonalKind } from './personalFinder';

/** What words look like. */
export const KIND_WORDS: Record<PersonalKind, string> = {
  name: 'a name',
  birth: 'a day of birth',
  phone: 'a phone number',
  'e-mail': 'an email address',
  address: 'an address',
  number: 'the number of a case or a person',
  pronoun: 'he or she of one case',
};
