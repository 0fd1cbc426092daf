import type { Member } from './families';

/**
 * How often each word is said among 100,000, rounded, as counted in SUBTLEX-US (Brysbaert & New 2009, Behavior Research Methods 41).
 * What one uses oneself comes before all of it.
 */
const SUBJECTS: Readonly<Record<'first' | 'third' | 'plural', Readonly<Record<string, number>>>> = {
  first: { I: 4100 },
  third: { he: 783, she: 383, it: 1938, this: 818, that: 1447, there: 446, who: 228, what: 1010 },
  plural: { you: 4294, we: 924, they: 421, these: 93, those: 77, there: 446 },
};

interface Verb {
  often: number;
  /** With "n't". */
  short: string | null;
  /** What goes on with it, and how often among its uses. */
  tails: Readonly<Record<string, number>>;
}

const MODAL_TAILS = { be: 0.1, have: 0.05, 'have been': 0.01 };
const modal = (often: number, short: string | null): Verb => ({ often, short, tails: MODAL_TAILS });
const EVERYBODY: Readonly<Record<string, Verb>> = {
  will: modal(218, "won't"),
  would: modal(181, "wouldn't"),
  can: { often: 538, short: "can't", tails: { be: 0.05 } },
  could: modal(167, "couldn't"),
  should: modal(109, "shouldn't"),
  must: modal(72, "mustn't"),
  might: modal(53, null),
  may: modal(52, null),
  did: { often: 240, short: "didn't", tails: {} },
  had: { often: 172, short: "hadn't", tails: { been: 0.15 } },
};
const perfect = (often: number, short: string): Verb => ({ often, short, tails: { been: 0.15 } });
const being = (often: number, short: string | null): Verb => ({ often, short, tails: { being: 0.03 } });

/** Which forms go with which subjects. */
const VERBS: Readonly<Record<keyof typeof SUBJECTS, Readonly<Record<string, Verb>>>> = {
  first: {
    ...EVERYBODY,
    ...{ am: being(114, null), was: being(580, "wasn't") },
    ...{ have: perfect(632, "haven't"), do: { often: 629, short: "don't", tails: {} } },
  },
  third: {
    ...EVERYBODY,
    ...{ is: being(925, "isn't"), was: being(580, "wasn't") },
    ...{ has: perfect(116, "hasn't"), does: { often: 68, short: "doesn't", tails: {} } },
  },
  plural: {
    ...EVERYBODY,
    ...{ are: being(534, "aren't"), were: being(171, "weren't") },
    ...{ have: perfect(632, "haven't"), do: { often: 629, short: "don't", tails: {} } },
  },
};

/** Of ten that are said, so many are denied, denied in short, asked. */
const DENIED = 0.1;
const SHORT = 0.08;
const ASKED = 0.12;
/** These ask by themselves, and stand before their verb all the same. */
const NEVER_TURNED = new Set(['who', 'what']);

/** A subject with a verb and what may go on with it: said, denied, asked, and denied in a question. */
function membersOf(subject: string, often: number, form: string, { short, ...verb }: Verb): Member[] {
  const said: Member[] = [];
  const add = (text: string, share: number) => said.push({ text, weight: often * verb.often * share });
  for (const [tail, share] of [['', 1] as const, ...Object.entries(verb.tails)]) {
    const end = tail === '' ? '' : ` ${tail}`;
    add(`${subject} ${form}${end}`, share);
    add(`${subject} ${form} not${end}`.replace('can not', 'cannot'), share * DENIED);
    if (short) add(`${subject} ${short}${end}`, share * SHORT);
    if (NEVER_TURNED.has(subject)) continue;
    add(`${form} ${subject}${end}`, share * ASKED);
    if (short) add(`${short} ${subject}${end}`, share * ASKED * SHORT);
  }
  return said;
}

/** Subjects with their verbs, by rule: which form goes with which subject, whether it is denied, and whether it is asked. */
export const englishFamilies = (): Member[] =>
  (Object.keys(SUBJECTS) as (keyof typeof SUBJECTS)[]).flatMap((person) =>
    Object.entries(SUBJECTS[person]).flatMap(([subject, often]) =>
      Object.entries(VERBS[person]).flatMap(([form, verb]) => membersOf(subject, often, form, verb)),
    ),
  );
