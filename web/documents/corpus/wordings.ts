/** What stands in every file of the corpus, whatever it looks like there. */
export interface CorpusWording {
  title: string;
  cue: string;
  topic: string;
  words: string;
}

/** Six wordings of an invented hospital, as people keep them. */
export const WORDINGS: readonly CorpusWording[] = [
  {
    title: 'Fluids given',
    cue: 'fl',
    topic: 'Care',
    words: 'Warm fluids were given under the skin. She took them well.',
  },
  {
    title: 'Weighed today',
    cue: 'wt',
    topic: 'Care',
    words: 'Weighed this morning, before the first feed, on the small scales.',
  },
  {
    title: 'Eats by itself',
    cue: 'eb',
    topic: 'Feeding',
    words: 'Eats by itself, from the dish; nothing was left over at noon.',
  },
  {
    title: 'Refuses food',
    cue: 'rf',
    topic: 'Feeding',
    words: 'Refuses all food since last night. Offered mealworms, then soaked biscuit; neither was touched.',
  },
  {
    title: 'Ready to leave',
    cue: 'rl',
    topic: 'Leaving',
    words: 'Ready to leave the ward. Let it go at dusk, near to where it was found.',
  },
  {
    title: 'Back for a check',
    cue: 'bc',
    topic: 'Leaving',
    words: 'Please bring it back in a week, so that we can look at the wing again.',
  },
];

/** The same in another language, where a file has two. */
export const WELSH: readonly string[] = [
  'Rhoddwyd hylif cynnes dan y croen. Cymerodd ef yn dda.',
  'Pwyswyd y bore yma, cyn y bwyd cyntaf, ar y glorian fach.',
  'Mae’n bwyta ar ei ben ei hun, o’r ddysgl; doedd dim ar ôl am hanner dydd.',
  'Mae’n gwrthod pob bwyd ers neithiwr. Cynigiwyd mwydod, yna bisged wlyb.',
  'Yn barod i adael y ward. Gollyngwch ef gyda’r nos, ger y fan lle’i cafwyd.',
  'Dewch ag ef yn ôl ymhen wythnos, inni gael gweld yr adain eto.',
];
