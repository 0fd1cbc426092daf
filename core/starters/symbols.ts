import { KNOWN_SYMBOLS } from '../symbols';

/** The cues of the signs that a team may want at its keys, by their names. */
const CUES = new Map(
  Object.entries({
    'Arrow to the right': 'ar',
    'Arrow to the left': 'al',
    'Arrow up': 'au',
    'Arrow down': 'ad',
    Tick: 'ti',
    Cross: 'cr',
    Warning: 'wg',
    Degree: 'dg',
    Micro: 'mu',
    'Plus or minus': 'pm',
    'At least': 'ge',
    'At most': 'le',
    'About equal': 'ae',
    Times: 'tm',
    Female: 'fe',
    Male: 'ma',
    Half: 'hf',
    Quarter: 'qt',
    Squared: 'sq',
    Cubed: 'cb',
    Paragraph: 'pg',
    Section: 'sc',
    'Long dash': 'da',
    Telephone: 'ph',
    Letter: 'lt',
    Sun: 'su',
    Cloud: 'cl',
    Rain: 'ra',
  }),
);

/** Pictograms and symbols, each an entry of its own by its name. */
export const SYMBOLS = KNOWN_SYMBOLS.filter(([name]) => CUES.has(name))
  .map(
    ([title, sign]) => `title: ${title}
purpose: The sign ${sign}
tag: symbol
cue: ${CUES.get(title)}

== wording Main: en-GB joins=as-is

${sign}
`,
  )
  .join('====\n');
