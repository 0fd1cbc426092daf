import type { Closer, CueMaking, CueRules } from '#core/cue';

/** The rules of cues, as people are told them. */
export const FIRES: Record<CueRules['fires'], string> = {
  last: 'as soon as it is typed',
  closing: 'on a closing key',
};
export const BEFORE: Record<CueRules['before'], string> = {
  space: 'a space or line start',
  boundary: 'a space or punctuation mark',
  anything: 'anything',
};
export const LETTERS: Record<CueRules['letters'], string> = {
  ignored: 'do not matter',
  exact: 'must be as typed here',
  followed: 'carry over to the wording',
};

export const CLOSERS: Record<Closer, string> = {
  space: 'Space',
  enter: 'Enter',
  tab: 'Tab',
  punctuation: 'punctuation',
};
/** What cues are made from. */
export const MAKING_IN_WORDS: Record<CueMaking, string> = {
  initials: 'the initials of the title',
  consonants: 'the consonants of its first word',
  topic: 'the start of its first word, numbered',
};
