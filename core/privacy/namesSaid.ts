/**
 * Names of people whom nobody knows here, by what is said around them: behind a title, in a greeting or a farewell, behind a verb
 * of speaking to somebody, before what people do, behind what somebody is; and two words with a capital that are no words of the
 * language. Approximate: a person decides.
 */
import { isTitle, LABEL, NOBODY, PERSON_DOES, PET, PLACE, SOMEBODY, TITLE, TO_SOMEBODY } from './personWords';

/** Where a name stands in a text (UTF-16). */
interface NamePlace {
  from: number;
  to: number;
}

const CAPITALISED = "\\p{Lu}(?:(?:[\\p{L}'’]|-(?=\\p{Lu}))*\\p{Ll})(?!-)";
const NAME = `(?:\\p{Lu}\\. ){0,2}${CAPITALISED}(?: (?:(?:de|van|von|der|la|Mc|O['’])\\s?)?${CAPITALISED}){0,2}`;
const TWO = `${CAPITALISED} (?:(?:de|van|von|der|la) |\\p{Lu}\\. )?${CAPITALISED}`;
/** A name, or two of people who are spoken to together. */
const NAMES = `${NAME}(?: (?:and|&) ${NAME})?`;

const before = (words: string) => `(?<![\\p{L}\\p{N}])(?:${words})`;

/** Openings that speak to somebody: a name comes after their comma. */
const SPOKEN_TO =
  '[Tt]hank you(?: so much| very much| again)?|[Tt]hanks(?: again)?|[Ss]orry(?: to hear (?:that|this|it))?|[Ww]ell done|[Cc]ongratulations|[Tt]ake care|[Nn]o problem|[Yy]es|[Nn]o|[Ww]elcome(?: back)?|[Gg]ood (?:luck|work|point|morning|evening|afternoon)|[Oo]f course|[Gg]reat|[Bb]ye|[Gg]oodbye|[Hh]ello|[Hh]i|[Pp]lease|[Ss]ee you(?: soon)?|[Ww]e are (?:so |very )?sorry|[Ii] am (?:so |very )?sorry';

interface Pattern {
  pattern: RegExp;
  /** How sure it is: `said` plainly is a name; of `word` one of its words must be no word of the language; of `words` all. */
  sure: 'said' | 'word' | 'words';
}

/** Each has the name as its group `name`. */
const PATTERNS: readonly Pattern[] = [
  {
    sure: 'said',
    pattern: new RegExp(`(?<name>(?<!\\p{L})${TITLE}\\.?(?: (?:and|&) ${TITLE}\\.?)? ${NAME})`, 'gu'),
  },
  {
    sure: 'said',
    pattern: new RegExp(
      `${before('[Dd]ear|[Hh]ello|[Hh]i|[Gg]ood (?:morning|afternoon|evening)')} (?<name>${NAMES})(?=[,!:.\\s]*(?:$|\\n|[,!:]))`,
      'gu',
    ),
  },
  {
    sure: 'said',
    pattern: new RegExp(
      `${before('[Mm]y name is|whose name is|is called|was called|called herself|called himself|named|signed by|(?:man|woman|boy|girl|person|lady|chap|lad|someone|somebody) called')} (?<name>${NAME})`,
      'gu',
    ),
  },
  {
    sure: 'said',
    pattern: new RegExp(
      `${before('(?:[Kk]ind|[Bb]est|[Ww]arm|[Ww]armest|[Kk]indest) (?:regards|wishes)|[Rr]egards|[Yy]ours(?: sincerely| faithfully| truly)?|[Ll]ove|[Ss]incerely|[Cc]heers|[Mm]any thanks|[Tt]hanks|[Tt]hank you')},?\\s+(?<name>${NAME})(?=[\\s.,!]*$|\\s*\\n)`,
      'gmu',
    ),
  },
  { sure: 'word', pattern: new RegExp(`${before(LABEL)}: (?<name>${NAME})`, 'gu') },
  { sure: 'word', pattern: new RegExp(`${before(SPOKEN_TO)}, (?<name>${NAME})(?=[,.!?]|$)`, 'gmu') },
  {
    sure: 'word',
    pattern: new RegExp(`^(?<name>${NAME})(?=, (?:your|you|we|please|thank|I|this|the)(?!\\p{L}))`, 'gmu'),
  },
  { sure: 'word', pattern: new RegExp(`${before(TO_SOMEBODY)} (?<name>${NAME})`, 'gu') },
  { sure: 'word', pattern: new RegExp(`${before(SOMEBODY)}(?:,| is| was|:)? (?<name>${NAME})`, 'gu') },
  { sure: 'word', pattern: new RegExp(`${before(PET)}, (?<name>${NAME})(?=,)`, 'gu') },
  {
    sure: 'word',
    pattern: new RegExp(`(?<![\\p{L}\\p{N}'’-])(?<name>${NAME})(?= (?:${PERSON_DOES})(?!\\p{L}))`, 'gu'),
  },
  {
    sure: 'word',
    pattern: new RegExp(`(?<![\\p{L}\\p{N}'’-])(?<name>${NAME})(?=['’]s (?!\\p{Lu}))`, 'gu'),
  },
  { sure: 'word', pattern: new RegExp(`(?<![\\p{L}\\p{N}'’-])(?<name>${NAME})(?=, aged )`, 'gu') },
  {
    sure: 'word',
    pattern: new RegExp(
      `(?<=[Tt]he )(?<name>${CAPITALISED})(?= (?:family|household|children|estate|sisters|brothers|twins)(?!\\p{L}))`,
      'gu',
    ),
  },
  {
    sure: 'words',
    pattern: new RegExp(
      `(?<![\\p{L}\\p{N}'’-]|\\p{Lu}\\p{L}* )(?:(?:For|From|With|By|To|And|But|When|If|As|Since|After|Before|While) )?(?<name>${TWO})(?! ?\\p{Lu}|['’-]?\\p{L})`,
      'gu',
    ),
  },
];

/** Whether a word is one of the language, or a regular form of one. */
function isOrdinary(said: string, ordinary: ReadonlySet<string>): boolean {
  const word = said.toLowerCase().replace(/['’]s$/u, '');
  const isOne = (one: string) => one.length > 1 && ordinary.has(one);
  if (isOne(word)) return true;
  return [/s$/, /es$/, /ed$/, /d$/, /ing$/, /ly$/].some(
    (end) => end.test(word) && isOne(word.replace(end, '')),
  );
}

/** Endings of what is done and of what ails somebody: "Examination found" speaks of nobody. */
const THING = /(?:tion|sion|ness|ement|ology|graphy|scopy|itis|osis|aemia)s?$/u;

/** A name without words at its start or end that are nobody's: "Ask Odile Monday" names Odile. */
function cut(words: string, isNobody: (word: string) => boolean): { skipped: number; name: string } {
  let name = words;
  let skipped = 0;
  for (let first = name.split(' ')[0]!; isNobody(first) && !isTitle(first); first = name.split(' ')[0]!) {
    if (!name.includes(' ')) return { skipped: 0, name: '' };
    skipped += first.length + 1;
    name = name.slice(first.length + 1);
  }
  for (let last = name.split(' ').at(-1)!; isNobody(last); last = name.split(' ').at(-1)!) {
    if (!name.includes(' ')) return { skipped: 0, name: '' };
    name = name.slice(0, -last.length - 1);
  }
  return { skipped, name: name.replace(/['’]s$/u, '') };
}

/** Whether words are those of somebody's name, where nothing but what stands around them says so. */
function maybeName(name: string, sure: 'word' | 'words', ordinary: ReadonlySet<string>): boolean {
  if (PLACE.test(name)) return false;
  const words = name.split(' ').filter((word) => !isTitle(word) && word.length > 2);
  const isName = (word: string) => !isOrdinary(word, ordinary) && !NOBODY.test(word) && !THING.test(word);
  return sure === 'word' ? words.some(isName) : words.length > 1 && words.every(isName);
}

/**
 * Names in a text of people whom nobody knows here. `ordinary` are words of the language in small letters: what is one of them is
 * no name behind a verb.
 */
export function namesSaid(text: string, ordinary: ReadonlySet<string>): NamePlace[] {
  return PATTERNS.flatMap(({ pattern, sure }) =>
    [...text.matchAll(pattern)].flatMap((match): NamePlace[] => {
      const said = match.groups!.name!;
      const isNobody = (word: string) =>
        NOBODY.test(word) || (sure === 'words' && !PLACE.test(word) && isOrdinary(word, ordinary));
      const { skipped, name } = cut(said, isNobody);
      if (name === '' || isTitle(name) || (sure !== 'said' && !maybeName(name, sure, ordinary))) return [];
      const from = match.index + match[0].lastIndexOf(said) + skipped;
      return [{ from, to: from + name.length }];
    }),
  );
}
