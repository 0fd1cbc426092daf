/** A stretch of words of one time and look within a line. */
export interface TimedSpan {
  text: string;
  /** When it begins to be heard, in milliseconds; null where that is only known of the whole line. */
  at: number | null;
  bold?: boolean;
  italic?: boolean;
  underline?: boolean;
}

/** What is heard from one time to another, as files of subtitles have it; and a line of a text with labels. */
export interface TimedLine {
  /** In milliseconds; null where the file has no times. */
  from: number | null;
  to: number | null;
  /** Who speaks, as the file calls them; null where it does not say. */
  voice: string | null;
  spans: readonly TimedSpan[];
}

/** What was read from a file, and what of it could not be. */
export interface TimedText {
  lines: readonly TimedLine[];
  /** What was passed over or cannot be right, in words, each with the line of the file. */
  remarks: readonly string[];
}

/** The words of a line. */
export const wordsOfLine = ({ spans }: Pick<TimedLine, 'spans'>): string =>
  spans.map(({ text }) => text).join('');

/** Takes white space at both ends away, and spans that are left without words. */
export function trimmedSpans(spans: readonly TimedSpan[]): TimedSpan[] {
  const kept = spans.map((span) => ({ ...span, text: span.text.replace(/\s+/g, ' ') }));
  const first = kept.findIndex(({ text }) => text.trim() !== '');
  if (first < 0) return [];
  const last = kept.findLastIndex(({ text }) => text.trim() !== '');
  const within = kept.slice(first, last + 1);
  within[0] = { ...within[0]!, text: within[0]!.text.trimStart() };
  within[within.length - 1] = { ...within.at(-1)!, text: within.at(-1)!.text.trimEnd() };
  return within;
}
