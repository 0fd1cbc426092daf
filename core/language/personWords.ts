/** How a person or animal is spoken of. */
export const PERSONS = ['he', 'she', 'they', 'it'] as const;
/** How a person is spoken of: he, she or they. */
export type SpokenPerson = (typeof PERSONS)[number];

/** The places a person's words can take in a sentence, named by what they read like for "they". */
export const PERSON_FORMS = [
  'they',
  'them',
  'their',
  'theirs',
  'themselves',
  'they are',
  'they were',
  'they have',
  'are',
  'were',
  'have',
  'do',
  'verb-s',
] as const;
/** A form of person words, called by what it reads like for “they”. */
export type PersonForm = (typeof PERSON_FORMS)[number];

const PRONOUNS: Record<SpokenPerson, Record<'they' | 'them' | 'their' | 'theirs' | 'themselves', string>> = {
  he: { they: 'he', them: 'him', their: 'his', theirs: 'his', themselves: 'himself' },
  she: { they: 'she', them: 'her', their: 'her', theirs: 'hers', themselves: 'herself' },
  they: { they: 'they', them: 'them', their: 'their', theirs: 'theirs', themselves: 'themselves' },
  it: { they: 'it', them: 'it', their: 'its', theirs: 'its', themselves: 'itself' },
};

const SINGULAR = { are: 'is', were: 'was', have: 'has', do: 'does' } as const;
type Verb = keyof typeof SINGULAR;

const isVerb = (word: string): word is Verb => word in SINGULAR;
const verb = (person: SpokenPerson, word: Verb): string => (person === 'they' ? word : SINGULAR[word]);

/**
 * The right word for a person at one place of an English sentence: "they were" for she is "she was", and
 * "verb-s" the ending of a verb written before it (eat, eats), '' for they.
 */
export function personWords(person: SpokenPerson, form: PersonForm): string {
  if (form === 'verb-s') return person === 'they' ? '' : 's';
  if (isVerb(form)) return verb(person, form);
  const [, pair] = form.split(' ');
  if (pair !== undefined && isVerb(pair)) return `${PRONOUNS[person].they} ${verb(person, pair)}`;
  return PRONOUNS[person][form as keyof (typeof PRONOUNS)['they']];
}
