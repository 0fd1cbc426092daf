import type { Member } from './families';

/**
 * The forms of "bod" as they are spoken and written in letters, by person: i, ti, e/o and hi, ni, chi, nhw. No counts are shipped for
 * Welsh: persons and tenses stand in the order in which they are usual, and what one uses oneself comes before all of it.
 */
interface Tense {
  said: readonly string[];
  denied: readonly string[];
  asked: readonly string[];
}

const PERSONS = ['i', 'ti', 'e', 'hi', 'ni', 'chi', 'nhw'] as const;
/** How likely each person is beside the others. */
const LIKELY = [6, 2, 5, 5, 4, 4, 4];

const forms = (words: string) => words.split(' ');
/** The most usual first. */
const TENSES: readonly Tense[] = [
  {
    said: forms('dw rwyt mae mae rydyn rydych maen'),
    denied: forms('dydw dwyt dydy dydy dydyn dydych dydyn'),
    asked: forms('ydw wyt ydy ydy ydyn ydych ydyn'),
  },
  {
    said: forms('roeddwn roeddet roedd roedd roedden roeddech roedden'),
    denied: forms('doeddwn doeddet doedd doedd doedden doeddech doedden'),
    asked: forms('oeddwn oeddet oedd oedd oedden oeddech oedden'),
  },
  {
    said: forms('bydda byddi bydd bydd byddwn byddwch byddan'),
    denied: forms('fydda fyddi fydd fydd fyddwn fyddwch fyddan'),
    asked: forms('fydda fyddi fydd fydd fyddwn fyddwch fyddan'),
  },
  {
    said: forms('byddwn byddet byddai byddai bydden byddech bydden'),
    denied: forms('fyddwn fyddet fyddai fyddai fydden fyddech fydden'),
    asked: forms('fyddwn fyddet fyddai fyddai fydden fyddech fydden'),
  },
];

const DENIED = 0.3;
const ASKED = 0.2;
/** "Has been" and the like. */
const PERFECT = 0.2;

/** Forms of "bod" with their persons: said, denied, asked, and with "wedi". */
export const welshFamilies = (): Member[] =>
  TENSES.flatMap((tense, place) =>
    PERSONS.flatMap((person, at) => {
      const likely = LIKELY[at]! / (place + 1);
      const subjects = person === 'e' ? ['e', 'o'] : person === 'ti' && place > 1 ? ['di'] : [person];
      return subjects.flatMap((subject): Member[] => [
        { text: `${tense.said[at]} ${subject}`, weight: likely },
        { text: `${tense.denied[at]} ${subject} ddim`, weight: likely * DENIED },
        { text: `${tense.asked[at]} ${subject}`, weight: likely * ASKED },
        { text: `${tense.said[at]} ${subject} wedi`, weight: likely * PERFECT },
        { text: `${tense.denied[at]} ${subject} ddim wedi`, weight: likely * PERFECT * DENIED },
      ]);
    }),
  );
