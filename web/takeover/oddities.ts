import type { Collection } from '#core/bank';
import type { Planned, NearlySame } from '#core/takeover';
import { LIMITS, plainText } from '#core/passage';

/** What one should know of an arriving entry before it is brought in: a sentence each. */
export function odditiesOf(
  { content, cues, choice }: Planned,
  { home, near, isWord, titles }: OddityFacts,
): string[] {
  if (choice === 'leave') return [];
  const leadIn = home?.leadIn ?? '';
  const length = content.wordings.reduce(
    (sum, { parts }) => sum + parts.reduce((inner, { passage }) => inner + plainText(passage).length, 0),
    0,
  );
  const settled = new Map(cues.map(({ cue, now }) => [cue, now]));
  return [
    ...cues.map(({ cue, now }) =>
      now === null
        ? `The cue ${leadIn}${cue} is taken: it comes without it.`
        : `The cue ${leadIn}${cue} is taken: it comes with ${leadIn}${now}.`,
    ),
    ...content.cues
      .filter(({ text, as }) => !as && leadIn === '' && !settled.has(text) && isWord(text.toLowerCase()))
      .map(({ text }) => `“${text}” is an ordinary word: it would be replaced wherever you type it.`),
    ...(near
      ? [`Nearly the same as “${near.title}”${near.isHere ? ', which is in the bank' : ' in this file'}.`]
      : []),
    ...((titles.get(content.title.trim().toLowerCase()) ?? 0) > 1
      ? ['Several entries in this file have this title.']
      : []),
    ...(length > LIMITS.characters
      ? ['It is too long to be kept.']
      : length > LONG
        ? [`It is long: ${length.toLocaleString()} characters.`]
        : []),
  ];
}

const LONG = 8000;

/** What is known around an arriving entry. */
export interface OddityFacts {
  home: Pick<Collection, 'leadIn'> | undefined;
  near: NearlySame | undefined;
  isWord: (word: string) => boolean;
  /** How often each title is in the file, in small letters. */
  titles: ReadonlyMap<string, number>;
}
