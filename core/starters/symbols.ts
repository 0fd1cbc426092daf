/** Signs that no key brings, by their names: title, cue, sign. */
const SIGNS: readonly (readonly [title: string, cue: string, sign: string])[] = [
  ['Arrow to the right', 'ar', '→'],
  ['Arrow to the left', 'al', '←'],
  ['Arrow up', 'au', '↑'],
  ['Arrow down', 'ad', '↓'],
  ['Tick', 'ti', '✓'],
  ['Cross', 'cr', '✗'],
  ['Warning', 'wg', '⚠'],
  ['Degree', 'dg', '°'],
  ['Micro', 'mu', 'µ'],
  ['Plus or minus', 'pm', '±'],
  ['At least', 'ge', '≥'],
  ['At most', 'le', '≤'],
  ['About equal', 'ae', '≈'],
  ['Times', 'tm', '×'],
  ['Female', 'fe', '♀'],
  ['Male', 'ma', '♂'],
  ['Half', 'hf', '½'],
  ['Quarter', 'qt', '¼'],
  ['Squared', 'sq', '²'],
  ['Cubed', 'cb', '³'],
  ['Paragraph', 'pg', '¶'],
  ['Section', 'sc', '§'],
  ['Long dash', 'da', '—'],
  ['Telephone', 'ph', '☎'],
  ['Letter', 'lt', '✉'],
  ['Sun', 'su', '☀'],
  ['Cloud', 'cl', '☁'],
  ['Rain', 'ra', '☂'],
];

/** Pictograms and symbols, each an entry of its own by its name. */
export const SYMBOLS = SIGNS.map(
  ([title, cue, sign]) => `title: ${title}
purpose: The sign ${sign}
tag: symbol
cue: ${cue}

== wording Main: en-GB joins=as-is

${sign}
`,
).join('====\n');
