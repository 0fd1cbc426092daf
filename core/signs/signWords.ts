/** What signs need to know of a language; each by its primary subtag. Made for these rooms from ordinary grammars. */
export interface SignWords {
  /** Words that are rightly said twice in a row. */
  twice: readonly string[];
  /** Words before a number that say what it is the number of: no unit is missing. */
  labels: readonly string[];
  /** Words that go on with the sentence behind a bare number, and are no unit or thing counted. */
  goOn: readonly string[];
  /** Words that join a number to the next, which says of what both are. */
  join: readonly string[];
}

const ENGLISH: SignWords = {
  twice: ['had', 'that'],
  labels: [
    ...[
      'table',
      'figure',
      'fig',
      'chapter',
      'section',
      'page',
      'p',
      'pp',
      'no',
      'number',
      'nos',
      'part',
      'day',
    ],
    ...[
      'week',
      'site',
      'plot',
      'step',
      'station',
      'transect',
      'paragraph',
      'equation',
      'eq',
      'appendix',
      'note',
    ],
    ...[
      'volume',
      'vol',
      'version',
      'group',
      'sample',
      'question',
      'line',
      'map',
      'box',
      'room',
      'grade',
      'quadrat',
    ],
    ...['january', 'february', 'march', 'april', 'may', 'june', 'july', 'august', 'september', 'october'],
    ...['november', 'december'],
  ],
  goOn: [
    ...[
      'is',
      'was',
      'are',
      'were',
      'has',
      'had',
      'but',
      'in',
      'on',
      'at',
      'by',
      'when',
      'while',
      'with',
      'than',
    ],
    ...[
      'then',
      'as',
      'because',
      'so',
      'for',
      'after',
      'before',
      'during',
      'which',
      'where',
      'from',
      'and',
      'or',
    ],
  ],
  join: ['and', 'or', 'to', 'by'],
};

const GERMAN: SignWords = {
  twice: ['die', 'der', 'das', 'sie', 'den', 'dem'],
  labels: [
    ...[
      'tabelle',
      'tab',
      'abbildung',
      'abb',
      'kapitel',
      'abschnitt',
      'seite',
      's',
      'nr',
      'nummer',
      'teil',
      'tag',
    ],
    ...[
      'woche',
      'station',
      'absatz',
      'gleichung',
      'anhang',
      'band',
      'probe',
      'frage',
      'zeile',
      'karte',
      'gruppe',
    ],
    ...['januar', 'februar', 'märz', 'april', 'mai', 'juni', 'juli', 'august', 'september', 'oktober'],
    ...['november', 'dezember'],
  ],
  goOn: [
    ...[
      'ist',
      'war',
      'sind',
      'waren',
      'hat',
      'hatte',
      'aber',
      'in',
      'im',
      'am',
      'an',
      'auf',
      'bei',
      'von',
      'als',
    ],
    ...['weil', 'während', 'mit', 'für', 'nach', 'vor', 'wo', 'und', 'oder', 'dann'],
  ],
  join: ['und', 'oder', 'bis', 'mal'],
};

const WELSH: SignWords = {
  twice: [],
  labels: [
    ...[
      'tabl',
      'ffigur',
      'pennod',
      'adran',
      'tudalen',
      't',
      'tt',
      'rhif',
      'rhan',
      'diwrnod',
      'wythnos',
      'safle',
    ],
    ...[
      'cam',
      'paragraff',
      'atodiad',
      'cwestiwn',
      'llinell',
      'map',
      'ionawr',
      'chwefror',
      'mawrth',
      'ebrill',
    ],
    ...['mai', 'mehefin', 'gorffennaf', 'awst', 'medi', 'hydref', 'tachwedd', 'rhagfyr'],
  ],
  goOn: [
    ...[
      'yw',
      'oedd',
      'ydy',
      'ond',
      'yn',
      'ar',
      'gan',
      'pan',
      'tra',
      'gyda',
      'na',
      'felly',
      'wedi',
      'cyn',
      'ac',
    ],
    ...['a', 'neu', 'o', 'am'],
  ],
  join: ['a', 'ac', 'neu', 'i'],
};

const NONE: SignWords = { twice: [], labels: [], goOn: [], join: [] };

const KNOWN: Record<string, SignWords> = { en: ENGLISH, de: GERMAN, cy: WELSH };

/** What is known of a language (BCP 47); of one that is not known here nothing: then marks alone tell. */
export const signWordsOf = (language: string): SignWords =>
  KNOWN[language.toLowerCase().split('-')[0]!] ?? NONE;
