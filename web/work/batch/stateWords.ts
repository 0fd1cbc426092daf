import type { LetterState } from '#core/batch';
import type { WayOut } from '#contracts';

/** How the state of a letter is said in a list. */
export const STATE_WORDS: Record<LetterState, string> = {
  undecided: 'no letter yet',
  'to-check': 'to check',
  checked: 'checked',
  held: 'held back',
  'on-its-way': 'on its way',
  gone: 'gone out',
  'perhaps-gone': 'perhaps gone',
  refused: 'refused',
};

/** In which colour a state is told: of what is done, and of what needs somebody. */
export const STATE_LOOKS: Record<LetterState, string> = {
  undecided: 'text-rust',
  'to-check': 'text-soft',
  checked: 'text-leaf',
  held: 'text-soft',
  'on-its-way': 'text-soft',
  gone: 'text-leaf',
  'perhaps-gone': 'text-rust',
  refused: 'text-rust',
};

/** How letters went out other than by mail. */
export const WAY_WORDS: Record<WayOut, string> = {
  docx: 'Word document',
  html: 'web page',
  text: 'plain text',
  pdf: 'PDF',
  print: 'on paper',
  eml: 'message file',
};

/** Letters that have left the house, or may have: their words are fixed. */
export const isOut = (state: LetterState): boolean =>
  state === 'gone' || state === 'on-its-way' || state === 'perhaps-gone' || state === 'refused';
