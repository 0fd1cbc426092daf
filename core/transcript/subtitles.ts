import type { Speaker } from './cast';
import { heardWords, type HeardWord } from './heardWords';
import type { Turn } from './turns';

/** What one subtitle may be at the most. */
export interface SubtitleLimits {
  lines: number;
  /** Characters in a line. */
  line: number;
  /** Seconds it is shown. */
  seconds: number;
  /** Characters read in a second: one that is said faster is shown longer. */
  speed: number;
}

/** Two lines of 42 characters for at most 7 seconds, read at 20 characters a second. */
export const USUAL_LIMITS: SubtitleLimits = { lines: 2, line: 42, seconds: 7, speed: 20 };

/** One subtitle. Times are in milliseconds. */
export interface Subtitle {
  from: number;
  to: number;
  /** The speaker's id in the cast. */
  speaker: string;
  lines: readonly string[];
}

/** Words in lines of a width, as many in each as go in; a longer word is cut. */
function wrapped(words: readonly string[], width: number): string[] {
  const lines: string[] = [];
  for (const word of words.flatMap((one) => one.match(new RegExp(`.{1,${width}}`, 'gsu')) ?? [])) {
    const last = lines.at(-1);
    if (last !== undefined && last.length + 1 + word.length <= width)
      lines[lines.length - 1] = `${last} ${word}`;
    else lines.push(word);
  }
  return lines;
}

/** The same words in no more lines, as even as they can be. */
function evenly(words: readonly string[], width: number): string[] {
  const lines = wrapped(words, width);
  const longest = Math.max(...words.map((word) => word.length));
  const all = words.join(' ').length;
  for (let narrow = Math.max(longest, Math.ceil(all / lines.length)); narrow < width; narrow += 1) {
    const even = wrapped(words, narrow);
    if (even.length <= lines.length) return even;
  }
  return lines;
}

/** How well a subtitle ends behind a word: behind a sentence best, then behind a comma. */
const endsWell = (word: string): number =>
  /[.!?…]["”’)\]]*$/u.test(word) ? 2 : /[,;:–—]$/u.test(word) ? 1 : 0;

/** How many words from the first on make one subtitle. */
function countOf(words: readonly HeardWord[], limits: SubtitleLimits): number {
  let most = 1;
  const texts = [words[0]!.text];
  for (let at = 1; at < words.length; at += 1) {
    texts.push(words[at]!.text);
    const isTooMuch = wrapped(texts, limits.line).length > limits.lines;
    if (isTooMuch || words[at]!.to - words[0]!.from > limits.seconds * 1000) break;
    most = at + 1;
  }
  if (most === words.length) return most;
  let best = most;
  // Behind the last good end, unless that would leave less than half of what goes in.
  for (let count = most - 1; count * 2 > most; count -= 1)
    if (endsWell(words[count - 1]!.text) > endsWell(words[best - 1]!.text)) best = count;
  return best;
}

/** The words of a turn cut to subtitles; a first word that is too long for one is cut itself. */
function cut(words: readonly HeardWord[], limits: SubtitleLimits): HeardWord[][] {
  const whole = words.flatMap((word) => {
    const room = limits.line * limits.lines;
    if (word.text.length <= room) return [word];
    return (word.text.match(new RegExp(`.{1,${room}}`, 'gsu')) ?? []).map((text) => ({ ...word, text }));
  });
  const parts: HeardWord[][] = [];
  for (let from = 0; from < whole.length;) {
    const count = countOf(whole.slice(from, from + limits.line * limits.lines), limits);
    parts.push(whole.slice(from, from + count));
    from += count;
  }
  return parts;
}

const labelWords = (label: string, at: number): HeardWord[] =>
  `${label}:`.split(/\s+/).map((text) => ({ text, from: at, to: at }));

/**
 * Turns as subtitles: none is longer, shown longer or read faster than the limits say, none begins before the one above it has ended. One
 * that is said faster than it can be read is shown longer, and what follows later.
 *
 * @param length - How long the recording is, in milliseconds; null where that is not known.
 * @param labels - Who speaks, by their ids, where that is to stand before the first words of a turn.
 */
export function subtitlesOf(
  turns: readonly Turn[],
  length: number | null,
  limits = USUAL_LIMITS,
  labels: ReadonlyMap<string, string> = new Map(),
): Subtitle[] {
  const subtitles: Subtitle[] = [];
  let start = 0;
  turns.forEach((turn, index) => {
    const next = turns.slice(index + 1).find(({ at }) => at !== null)?.at ?? length;
    const words = heardWords(turn, start, next);
    const label = turns[index - 1]?.speaker === turn.speaker ? undefined : labels.get(turn.speaker);
    if (label && words[0]) words.unshift(...labelWords(label, words[0].from));
    start = words.at(-1)?.to ?? start;
    cut(words, limits).forEach((part) => {
      const lines = evenly(
        part.map(({ text }) => text),
        limits.line,
      );
      const from = Math.max(part[0]!.from, subtitles.at(-1)?.to ?? 0);
      const read = Math.ceil((lines.join(' ').length / limits.speed) * 1000);
      const to = Math.max(Math.min(part.at(-1)!.to, from + limits.seconds * 1000), from + read);
      subtitles.push({ from, to, speaker: turn.speaker, lines });
    });
  });
  return subtitles;
}

const two = (part: number) => String(part).padStart(2, '0');

/** A time as files of subtitles have it, with the sign before its milliseconds. */
function stamp(at: number, sign: '.' | ','): string {
  const whole = Math.floor(at / 1000);
  const clock = [Math.floor(whole / 3600), Math.floor(whole / 60) % 60, whole % 60].map(two).join(':');
  return `${clock}${sign}${String(at % 1000).padStart(3, '0')}`;
}

const escaped = (text: string) => text.replace(/&/g, '&amp;').replace(/</g, '&lt;').replace(/>/g, '&gt;');

/** Subtitles as WebVTT, with voices. */
export function toVtt(subtitles: readonly Subtitle[], cast: readonly Speaker[]): string {
  const names = new Map(cast.map(({ id, name }) => [id, escaped(name)]));
  const cues = subtitles.map(({ from, to, speaker, lines }) => {
    const voice = names.get(speaker);
    return `${stamp(from, '.')} --> ${stamp(to, '.')}\n${voice ? `<v ${voice}>` : ''}${lines.map(escaped).join('\n')}\n`;
  });
  return ['WEBVTT\n', ...cues].join('\n');
}

/** Subtitles as SubRip, which knows no voices. */
export const toSrt = (subtitles: readonly Subtitle[]): string =>
  subtitles
    .map(
      ({ from, to, lines }, at) =>
        `${at + 1}\n${stamp(from, ',')} --> ${stamp(to, ',')}\n${lines.join('\n')}\n`,
    )
    .join('\n');
