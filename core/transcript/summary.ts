import { countWords } from '#core/passage';
import { wordsOfTurn, type Turn } from './turns';

/** A line that is paid for has so many characters, spaces among them. */
const LINE = 65;

/** What a transcript comes to, as those who write and pay for it count. */
export interface TranscriptSummary {
  words: number;
  /** With spaces, without line ends. */
  characters: number;
  /** Of 65 characters, begun ones whole. */
  lines: number;
  /** How far the sound is written down, in milliseconds. */
  done: number;
  /** How much sound is to go, in milliseconds; null where it is not known how long it is. */
  left: number | null;
  /** Words in a minute of sound; null where too little of it is written down to say. */
  pace: number | null;
}

/** A pace is told from so much sound on, in milliseconds. */
const ENOUGH = 10_000;

/**
 * What a transcript comes to.
 *
 * @param text - As it goes out, with its labels and without times.
 * @param turns - Its turns: what has been written down reaches to the last time in them.
 * @param length - How long the recording is, in milliseconds; null where that is not known.
 */
export function summaryOf(text: string, turns: readonly Turn[], length: number | null): TranscriptSummary {
  const characters = [...text.replace(/\n/g, '')].length;
  // A label is typed, and no word that was said.
  const said = turns.reduce((sum, turn) => sum + countWords(wordsOfTurn(turn)), 0);
  const words = turns.length > 0 ? said : countWords(text);
  const times = turns.flatMap(({ at, lines }) => [
    at ?? 0,
    ...lines.flat().map((inline) => {
      const heard = inline.marks?.find((mark) => mark.type === 'heard');
      if (heard?.type === 'heard') return heard.attrs.at;
      return inline.type === 'timeCode' ? (inline.attrs.at ?? 0) : 0;
    }),
  ]);
  const latest = times.reduce((a, b) => Math.max(a, b), 0);
  const done = length === null ? latest : Math.min(latest, length);
  return {
    ...{ words, characters, lines: Math.ceil(characters / LINE), done },
    left: length === null ? null : length - done,
    pace: done >= ENOUGH ? Math.round(words / (done / 60_000)) : null,
  };
}
