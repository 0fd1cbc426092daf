/** Words that tell that a name beside them is somebody's: titles, what people are to each other, what people do. As parts of patterns. */

export const TITLE =
  '(?:Mr|Mrs|Ms|Miss|Mx|Dr|Prof|Professor|Sir|Lady|Lord|Dame|Nurse|Sister|Matron|Rev|Reverend|Father|Cllr|Councillor|Capt|Captain|Sgt|PC|Constable)';
const IS_TITLE = new RegExp(`^${TITLE}\\.?$`);
/** Whether a word is a title. */
export const isTitle = (word: string): boolean => IS_TITLE.test(word);

/** A list of words, each with a capital or without. */
const either = (words: string) =>
  words
    .split(' ')
    .map((word) => `[${word[0]!.toUpperCase()}${word[0]}]${word.slice(1).replaceAll('_', ' ')}`)
    .join('|');

/** Speaking or writing to somebody; handing over, meeting. */
export const TO_SOMEBODY = [
  either('ring call phone telephone text contact ask tell thank remind inform notify visit meet invite'),
  '[Ee]-?mail|e-?mailed',
  either('rang called phoned telephoned texted contacted asked told thanked reminded informed notified'),
  'visited|met|invited|bit|scratched|reached',
  '(?:[Ww]rite|wrote|[Ss]peak|spoke|[Tt]alk|talked|spoken|listened|[Ss]end (?:it|this|that)|sent|handed|(?:[Hh]anded|[Pp]assed) over|given|shown|returned|introduced|[Rr]eply|replied|[Rr]eferred|[Dd]iscussed|[Aa]greed|[Cc]hecked|according|According|belongs?|grateful|said|[Tt]hanks) (?:to|with)',
  '(?:brought in|found|reported|seen|signed|owned|collected|dropped off|written|taken|admitted|handed in|examined|recorded|interviewed|transcribed|marked|weighed|fed|treated|cared for|looked after|spotted|rescued|called in|phoned in|sent in|told|lent|given|made|driven|reared|[A-Z][a-z]+ed|[Hh]and-reared) by',
  '[Oo]n behalf of|copy in|[Cc]opied to|cc|[Aa]ttention of|care of',
].join('|');

/** What somebody is to somebody, or comes as, before their name. */
export const SOMEBODY = `(?:${either(
  'owner finder keeper daughter son wife husband partner mother mum father dad sister brother aunt uncle nephew niece cousin grandson granddaughter grandmother grandfather neighbour colleague warden volunteer trainee student vet teacher tutor friend caller patient client customer guest visitor speaker interviewer narrator author ringer skipper landlady landlord tenant farmer ranger nurse doctor man woman boy girl lad',
)})`;
/** Animals that have a name of their own. */
export const PET = `(?:${either('cat dog horse pony parrot puppy kitten spaniel terrier collie rabbit goat donkey')})`;

/** Before a colon and a name. */
export const LABEL = `(?:${either(
  'next_of_kin emergency_contact contact marker second_marker first_marker author writer reporter name from attention signed witness clinician consultant surgeon requested_by referred_by handler ringer transcriber narrator interviewee owner caller finder speaker trainee student patient keeper volunteer fosterer cc to for',
)})`;

const REGULAR = (
  'argue compare conclude describe suggest claim propose disagree agree explain mention discuss state answer ask thank sign donate volunteer foster adopt collect offer ' +
  'promise refuse decline accept confirm cancel complain apologise enquire listen remember recall believe hope worry live work train retire marry park arrive phone ' +
  'telephone interview transcribe translate type check clean carry lift handle examine splint stitch bandage inject ring walk help want need like love manage organise ' +
  'notice spot rescue report hand deliver look wait stay join visit call advise recommend prescribe refer laugh smile whisper netted row'
).split(' ');
/** Done by people, and told of them; as said of one, or told of the past. */
const IRREGULAR =
  'says said tells told thinks thought writes wrote brings brought finds found drives drove gives gave takes took keeps kept knows knew makes made sees saw sends sent speaks ' +
  'spoke comes came goes went leaves feels felt sits sat rang lends lent pays paid buys bought teaches taught holds held feeds fed reads leads led meets met swam';
/** Told of the past, or plainly of one: no noun in the plural looks so. */
const PAST = [
  ...REGULAR.map((verb) =>
    verb.endsWith('y') && !/[aeo]y$/.test(verb)
      ? `${verb.slice(0, -1)}ied`
      : verb.endsWith('e')
        ? `${verb}d`
        : `${verb}(?:ed|${verb.at(-1)}ed)`,
  ),
  ...IRREGULAR.split(' ').filter(
    (verb) => !/(?:finds|drives|makes|holds|leads|leaves|keeps|feeds|meets|reads)$/.test(verb),
  ),
];
const PRESENT = REGULAR.map((verb) =>
  verb.endsWith('y') && !/[aeo]y$/.test(verb) ? `${verb.slice(0, -1)}ies` : `${verb}s`,
);
const HELPED =
  '(?:will|would|can|could|has|had|did|does) (?:call|ring|collect|come|bring|write|foster|take|agree|agreed|asked|called|rung|written|been|like|visit|help|drive|sign|pay|see|keep|meet|not)|is (?:on leave|away|happy|worried|at the|needed|coming|on duty|on call|off)|used to|and (?:his|her|their)|still|also';

/** What a person does, after a name that is no other word. */
export const PERSON_DOES = [...PAST, ...PRESENT, ...IRREGULAR.split(' '), HELPED].join('|');
/** What a person did, after a name that is another word too: "May drove", but not "Rose hips". */
export const PERSON_DID = PAST.join('|');

/** Words with a capital that are nobody's name: who is greeted or spoken of in general, days and months, what starts a sentence. */
export const NOBODY = new RegExp(
  `^(?:${[
    'Dear|Hello|Hi|Hey|Good|Kind|Best|Warm|Regards|Wishes|Yours|Love|Cheers|Many',
    'Ring|Call|Phone|Telephone|Text|Contact|Ask|Tell|Remind|Inform|Notify|Visit|Meet|Invite|Give|Take|Show|Send|Keep|See|Let|Go|Put|Use|Make',
    'Rang|Called|Phoned|Telephoned|Texted|Told|Asked|Thanked|Seen|Found|Given|Left|Sent|Taken|Brought|Moved|Fed|Weighed|Checked|Re',
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
export const PLACE =
  /(?:^| )(?:Cottage|Cottages|House|Room|Ward|Pen|Road|Street|Lane|Hall|Farm|Wood|Woods|Marsh|Marshes|Hill|School|Day|Bank|Lodge|Park|Beach|Bay|Point|Quay|Bridge|River|Pond|Lake|Loch|Island|Isle|Trust|Hospital|Clinic|Surgery|Centre|Society|Club|Council|Library|Museum|Church|Station|Office|Team|Guide|Report|Survey|Review|Form|Sheet|Book|Award|Week|Month|Year|Festival|Project|Reserve|Close|Drive|Avenue|Terrace|Green|Square|Trail|Path|Walk|Hide|Gate|Harbour|Coast|Sands|Spit|Cove|Head|Moor|Fen|Common|Valley|Manager|Officer|Assistant|Coordinator|Vet|Line|Fund|Appeal|Course|Module|University|College|Academy|Department|Committee|Board|Act|Code|Policy|Bird|Birds|Owl|Owls|Gull|Gulls|Goose|Geese|Newt|Newts|Seal|Seals|Swan|Swans|Bat|Bats|Fox|Toad|Frog|Snake|Plover|Tern|Terns|Heron)$/u;
