/**
 * Names of people whom nobody knows here, by what is said around them: behind a title, in a greeting or a farewell, behind a verb
 * of speaking to somebody, before a verb of speaking, behind what somebody is. Approximate: a person decides.
 */

/** Where a name stands in a text (UTF-16). */
interface NamePlace {
  from: number;
  to: number;
}

const TITLE =
  '(?:Mr|Mrs|Ms|Miss|Mx|Dr|Prof|Professor|Sir|Lady|Lord|Dame|Nurse|Sister|Matron|Rev|Reverend|Father|Cllr|Councillor|Capt|Captain|Sgt|PC|Constable)';
/** Whether a word is a title. */
export const isTitle = (word: string): boolean => IS_TITLE.test(word);
const IS_TITLE = new RegExp(`^${TITLE}\\.?$`);

const CAPITALISED = "\\p{Lu}(?:[\\p{L}'’-]*\\p{Ll})";
const NAME = `${CAPITALISED}(?: (?:(?:de|van|von|der|la|Mc|O['’])\\s?)?${CAPITALISED}){0,2}`;

/** Words with a capital that are nobody's name: who is greeted or spoken of in general, days and months, what starts a sentence. */
const NOBODY = new RegExp(
  `^(?:${[
    'Sir|Sirs|Madam|All|Both|Team|Everyone|Everybody|Anyone|Anybody|Someone|Somebody|Nobody|Friends?|Colleagues?|Customers?|Visitors?',
    'Volunteers?|Finders?|Parents?|Students?|Trainees?|Members?|Supporters?|Neighbours?|Wardens?|Applicants?|Readers?|Doctors?|Nurses?',
    'Keepers?|Owners?|Callers?|Staff|Reception|Security|Police|Council|Office|Helpline|Ward|Archive|Desk|Shop|Customer|Vets?|Vet|Tutors?',
    'Monday|Tuesday|Wednesday|Thursday|Friday|Saturday|Sunday|January|February|March|April|May|June|July|August|September|October',
    'November|December|Spring|Summer|Autumn|Winter|Christmas|Easter|Today|Tomorrow|Yesterday|Now|Then|Soon|Again|Later|Tonight',
    'I|We|You|He|She|It|They|Them|Us|Me|Him|Her|His|My|Our|Your|Their|Its|The|A|An|This|That|These|Those|There|Here|Who|Whoever',
    'What|When|Where|Why|How|If|As|At|By|For|From|In|Into|Of|On|Or|To|With|And|But|So|No|Not|Yes|Please|Thank|Thanks|Some|Many|Most',
    'Each|Every|One|Two|Three|Four|Five|Six|Seven|Eight|Nine|Ten|English|Welsh|Scottish|Irish|French|German|Latin|Europe|Britain',
    'England|Wales|Scotland|Ireland|London|Internet|Trust|Society|Department|Ministry|Field|School|Hospital|Group|Room|Pen|Unit',
  ].join('|')})$`,
  'u',
);
/** What a place or a thing is called, at the end of its name. */
const PLACE =
  /(?:^| )(?:Cottage|House|Room|Ward|Pen|Road|Street|Lane|Hall|Farm|Wood|Woods|Marsh|Hill|School|Day|Bank|Lodge|Park|Beach|Bay|Point|Quay|Bridge|River|Pond|Lake|Island|Trust|Hospital|Centre|Society|Club|Council|Library|Museum|Church|Station|Office|Team|Guide|Report|Survey|Review|Form|Sheet|Book|Award|Week|Month|Year|Festival|Project|Reserve|Close|Drive|Avenue|Terrace|Green|Square)$/u;

const before = (words: string) => `(?<![\\p{L}\\p{N}])(?:${words})`;

/** Speaking or writing to somebody; handing over, meeting. */
const TO_SOMEBODY =
  '[Rr]ing|[Cc]all|[Pp]hone|[Tt]elephone|[Tt]ext|[Ee]-?mail|[Cc]ontact|[Aa]sk|[Tt]ell|[Tt]hank|[Rr]emind|[Ii]nform|[Nn]otify|[Vv]isit|[Mm]eet|[Ii]nvite|rang|called|phoned|telephoned|texted|e-?mailed|contacted|asked|told|thanked|reminded|informed|notified|visited|met|invited|' +
  '(?:[Ww]rite|wrote|[Ss]peak|spoke|[Tt]alk|talked|spoken|listened|[Ss]end (?:it|this|that)|sent|handed|given|shown|returned|introduced|[Rr]eply|replied|according|According|belongs?|grateful|said) (?:to|with)|' +
  '(?:brought in|found|reported|seen|signed|owned|collected|dropped off|written|taken|admitted|handed in|examined|recorded|interviewed|transcribed|marked|weighed|fed|treated|cared for|looked after|spotted|rescued|called in|phoned in|sent in|told) by|on behalf of|copy in|copied to|cc|attention of|care of';

/** What somebody is to somebody, before their name. */
const SOMEBODY =
  '(?:[Oo]wner|[Ff]inder|[Kk]eeper|[Dd]aughter|[Ss]on|[Ww]ife|[Hh]usband|[Pp]artner|[Mm]other|[Mm]um|[Ff]ather|[Dd]ad|[Ss]ister|[Bb]rother|[Aa]unt|[Uu]ncle|[Nn]ephew|[Nn]iece|[Gg]randson|[Gg]randdaughter|[Nn]eighbour|[Cc]olleague|[Ww]arden|[Vv]olunteer|[Tt]rainee|[Ss]tudent|[Vv]et|[Tt]eacher|[Tt]utor|[Ff]riend|[Cc]aller|[Pp]atient|[Cc]lient|[Gg]uest|[Vv]isitor|[Ss]peaker|[Ii]nterviewer|[Nn]arrator)';

const SPEAKS =
  'said|says|rang|called|phoned|telephoned|wrote|writes|asked|asks|told|tells|thinks|thought|reports|reported|agreed|agrees|e-?mailed|texted|visited|wants|wanted|brought|found|explained|mentioned|noticed|remembers|remembered|recalls|lives|lived|works|worked|signed|will (?:call|ring|collect|come|bring|write)|has (?:agreed|asked|called|rung|written)|would like|is (?:on leave|away|happy|worried)|and (?:his|her|their)';

interface Pattern {
  pattern: RegExp;
  /** The name must be two words at the least, or one that is no ordinary word. */
  sure: boolean;
}

/** Each has the name as its group `name`. */
const PATTERNS: readonly Pattern[] = [
  { sure: true, pattern: new RegExp(`(?<name>(?<!\\p{L})${TITLE}\\.? ${NAME})`, 'gu') },
  {
    sure: true,
    pattern: new RegExp(
      `${before('[Dd]ear|[Hh]ello|[Hh]i|[Gg]ood (?:morning|afternoon|evening)')} (?<name>${NAME})(?=[,!:.\\s]*(?:$|\\n|[,!:]))`,
      'gu',
    ),
  },
  {
    sure: true,
    pattern: new RegExp(
      `${before('[Mm]y name is|whose name is|is called|was called|called herself|called himself|named|signed by|name:|[Oo]wner:|[Cc]aller:|[Ff]inder:|[Ss]peaker:|[Tt]rainee:|[Ss]tudent:|[Pp]atient:')} (?<name>${NAME})`,
      'gu',
    ),
  },
  {
    sure: true,
    pattern: new RegExp(
      `${before('(?:[Kk]ind|[Bb]est|[Ww]arm|[Ww]armest|[Kk]indest) (?:regards|wishes)|[Rr]egards|[Yy]ours(?: sincerely| faithfully| truly)?|[Ll]ove|[Ss]incerely|[Cc]heers|[Mm]any thanks|[Tt]hanks|[Tt]hank you')},?\\s+(?<name>${NAME})(?=[\\s.,!]*$|\\s*\\n)`,
      'gmu',
    ),
  },
  { sure: false, pattern: new RegExp(`${before(TO_SOMEBODY)} (?<name>${NAME})`, 'gu') },
  { sure: false, pattern: new RegExp(`${before(SOMEBODY)},? (?<name>${NAME})`, 'gu') },
  {
    sure: false,
    pattern: new RegExp(`(?<![\\p{L}\\p{N}'’-])(?<name>${NAME})(?= (?:${SPEAKS})(?!\\p{L}))`, 'gu'),
  },
  {
    sure: false,
    pattern: new RegExp(
      `${before('from|by|with|for|and')} (?<name>${CAPITALISED} ${CAPITALISED})(?!\\p{L}| \\p{Lu})`,
      'gu',
    ),
  },
];

/** A name without words at its start or end that are nobody's: "Ask Odile Monday" names Odile. */
function cut(words: string): { skipped: number; name: string } {
  let name = words;
  let skipped = 0;
  for (let first = name.split(' ')[0]!; NOBODY.test(first) && !isTitle(first); first = name.split(' ')[0]!) {
    if (!name.includes(' ')) return { skipped: 0, name: '' };
    skipped += first.length + 1;
    name = name.slice(first.length + 1);
  }
  for (let last = name.split(' ').at(-1)!; NOBODY.test(last); last = name.split(' ').at(-1)!) {
    if (!name.includes(' ')) return { skipped: 0, name: '' };
    name = name.slice(0, -last.length - 1);
  }
  return { skipped, name: name.replace(/['’]s$/u, '') };
}

/** Whether words are those of somebody's name, where nothing but what stands around them says so. */
function maybeName(name: string, ordinary: ReadonlySet<string>): boolean {
  if (PLACE.test(name)) return false;
  const words = name.split(' ').filter((word) => !isTitle(word));
  return words.some((word) => !ordinary.has(word.toLowerCase().replace(/['’]s$/u, '')));
}

/**
 * Names in a text of people whom nobody knows here. `ordinary` are words of the language in small letters: what is one of them is
 * no name behind a verb.
 */
export function namesSaid(text: string, ordinary: ReadonlySet<string>): NamePlace[] {
  return PATTERNS.flatMap(({ pattern, sure }) =>
    [...text.matchAll(pattern)].flatMap((match): NamePlace[] => {
      const said = match.groups!.name!;
      const { skipped, name } = cut(said);
      if (name === '' || isTitle(name) || (!sure && !maybeName(name, ordinary))) return [];
      const from = match.index + match[0].lastIndexOf(said) + skipped;
      return [{ from, to: from + name.length }];
    }),
  );
}
