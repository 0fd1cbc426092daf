import { trimmedSpans, type TimedLine, type TimedSpan, type TimedText } from './timedLine';

/**
 * SubRip: numbered blocks of a line of times and lines of words. There is no standard: what players read is read here. Numbers may be
 * missing, the decimal sign is a comma or a point, signs of HTML for bold, italic and underlined are kept, others dropped.
 */

const TIME = String.raw`(\d{1,3}):([0-5]?\d):([0-5]?\d)[,.](\d{1,3})`;
const TIMING = new RegExp(String.raw`^\s*${TIME}\s*-->\s*${TIME}(?:\s.*)?$`);

const milliseconds = ([hours, minutes, seconds, part]: string[]): number =>
  ((Number(hours) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number(part!.padEnd(3, '0'));

const LOOKS = { b: 'bold', i: 'italic', u: 'underline' } as const;

function spansOf(text: string): TimedSpan[] {
  const spans: TimedSpan[] = [];
  const looks = { bold: false, italic: false, underline: false };
  const on = () => Object.fromEntries(Object.entries(looks).filter(([, is]) => is));
  let from = 0;
  for (const tag of text.matchAll(/<(\/?)([a-z]+)[^<>]*>|\{\\[^{}]*\}/gi)) {
    spans.push({ text: text.slice(from, tag.index), at: null, ...on() });
    const look = LOOKS[tag[2]?.toLowerCase() as keyof typeof LOOKS];
    if (look) looks[look] = tag[1] === '';
    from = tag.index + tag[0].length;
  }
  spans.push({ text: text.slice(from), at: null, ...on() });
  return trimmedSpans(spans);
}

/** Whether a text has the times of SubRip. */
export const isSrt = (text: string): boolean => {
  const rows = text.split(/\r\n|\r|\n/, 200);
  return rows.some((row) => TIMING.test(row));
};

/** Reads SubRip; a line of times that cannot be read is told, and its words are left out. */
export function fromSrt(text: string): TimedText {
  const remarks: string[] = [];
  const lines: TimedLine[] = [];
  const rows = text.replace(/^\uFEFF/, '').split(/\r\n|\r|\n/);
  const starts = rows.flatMap((row, at) => (row.includes('-->') ? [at] : []));
  starts.forEach((start, index) => {
    const timing = TIMING.exec(rows[start]!);
    if (!timing) {
      remarks.push(
        `Line ${start + 1}: “${rows[start]!.trim().slice(0, 60)}” cannot be read as times; its words were left out.`,
      );
      return;
    }
    const [from, to] = [milliseconds(timing.slice(1, 5)), milliseconds(timing.slice(5, 9))];
    if (to <= from) remarks.push(`Line ${start + 1}: it ends before it begins. Its words are kept.`);
    if (from < (lines.at(-1)?.from ?? 0))
      remarks.push(`Line ${start + 1}: it begins before the one above it. Its words are kept.`);
    const words = rows.slice(start + 1, starts[index + 1] ?? rows.length);
    // The number of the next block, behind an empty line, is none of the words.
    const isNumbered = starts[index + 1] !== undefined && words.at(-2)?.trim() === '';
    if (isNumbered && /^\s*\d+\s*$/.test(words.at(-1)!)) words.pop();
    const spans = spansOf(words.join('\n'));
    if (spans.length > 0) lines.push({ from, to: Math.max(from, to), voice: null, spans });
  });
  return { lines, remarks };
}
