/**
 * Words of languages that browsers bring no data for (Chromium has none for Welsh and Irish), so that a wording reads
 * the same wherever it is filled. Months, days and units as in CLDR 44; "ac" before a vowel by the rule of Welsh.
 */
export interface OwnWords {
  /** January first. */
  months: readonly string[];
  /** Sunday first. */
  weekdays: readonly string[];
  /** What stands between a day of the week and the date. */
  weekdayJoin: string;
  and: (next: string) => string;
  or: string;
  /** The names of units of time beside a number of them, by the language's own plural forms. */
  units: Readonly<Record<TimeUnit, UnitNames>>;
}

/** A unit of time that is said in words. */
export type TimeUnit = 'day' | 'week' | 'month' | 'year';

type UnitNames = { other: string } & Partial<Record<Intl.LDMLPluralRule, string>>;

const OWN: Record<string, OwnWords> = {
  cy: {
    months: 'Ionawr Chwefror Mawrth Ebrill Mai Mehefin Gorffennaf Awst Medi Hydref Tachwedd Rhagfyr'.split(
      ' ',
    ),
    weekdays: [
      'Dydd Sul',
      'Dydd Llun',
      'Dydd Mawrth',
      'Dydd Mercher',
      'Dydd Iau',
      'Dydd Gwener',
      'Dydd Sadwrn',
    ],
    weekdayJoin: ', ',
    and: (next) => (/^[aeiouwy]/i.test(next.normalize('NFD')) ? 'ac' : 'a'),
    or: 'neu',
    units: {
      day: { other: 'diwrnod', two: 'ddiwrnod' },
      week: { other: 'wythnos' },
      month: { other: 'mis', two: 'fis' },
      year: { other: 'mlynedd', one: 'flwyddyn', two: 'flynedd', few: 'blynedd', many: 'blynedd' },
    },
  },
  ga: {
    months: [
      ...'Eanáir Feabhra Márta Aibreán Bealtaine Meitheamh Iúil Lúnasa'.split(' '),
      'Meán Fómhair',
      'Deireadh Fómhair',
      'Samhain',
      'Nollaig',
    ],
    weekdays: [
      'Dé Domhnaigh',
      'Dé Luain',
      'Dé Máirt',
      'Dé Céadaoin',
      'Déardaoin',
      'Dé hAoine',
      'Dé Sathairn',
    ],
    weekdayJoin: ' ',
    and: () => 'agus',
    or: 'nó',
    units: {
      day: { other: 'lá' },
      week: { other: 'seachtain', two: 'sheachtain', few: 'seachtaine', many: 'seachtaine' },
      month: { other: 'mí', two: 'mhí', few: 'mhí' },
      year: { other: 'bliain', two: 'bhliain', few: 'bliana', many: 'mbliana' },
    },
  },
};

// Asked for every date and list, of the same few languages.
const known = new Map<string, OwnWords | null>();

/** The words of a language that browsers may lack; null for those they have. */
export function ownWordsOf(language: string): OwnWords | null {
  let own = known.get(language);
  if (own === undefined) {
    own = OWN[language.toLowerCase().split('-')[0]!] ?? null;
    known.set(language, own);
  }
  return own;
}

/** The language whose numbers are written alike, for one that browsers may lack: British English for both. */
export const numberLanguage = (language: string): string => (ownWordsOf(language) ? 'en-GB' : language);
