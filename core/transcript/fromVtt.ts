import { trimmedSpans, type TimedLine, type TimedSpan, type TimedText } from './timedLine';

/**
 * WebVTT (W3C Candidate Recommendation, sections 4 and 6): cues with their times, voices and times within. Styles, regions and notes are
 * passed over; a cue that breaks the rules is told and left out, as browsers leave it out.
 */

const TIMING =
  /^\s*(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})\s*-->\s*(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})(?:\s.*)?$/;
const INNER_TIME = /^(?:(\d{2,}):)?([0-5]\d):([0-5]\d)\.(\d{3})$/;

const milliseconds = ([hours, minutes, seconds, part]: (string | undefined)[]): number =>
  ((Number(hours ?? 0) * 60 + Number(minutes)) * 60 + Number(seconds)) * 1000 + Number(part);

const ENTITIES: Readonly<Record<string, string>> = {
  ...{ amp: '&', lt: '<', gt: '>', nbsp: '\u00A0', lrm: '\u200E', rlm: '\u200F', quot: '"', apos: "'" },
};

/** Words with their character references written out; one that is not known stays as it is. */
function unescaped(text: string): string {
  return text.replace(/&(?:#(\d{1,7})|#x([\da-f]{1,6})|([a-z]+));/gi, (whole, decimal, hex, name) => {
    if (name) return ENTITIES[name as string] ?? whole;
    const code = decimal ? Number(decimal) : Number.parseInt(hex as string, 16);
    return code > 0 && code <= 0x10ffff && (code < 0xd800 || code > 0xdfff)
      ? String.fromCodePoint(code)
      : whole;
  });
}

const LOOKS = { b: 'bold', i: 'italic', u: 'underline' } as const;

/** A cue's text as lines, one for each voice in it. */
class CueText {
  readonly lines: { voice: string | null; spans: TimedSpan[] }[] = [];
  private voice: string | null = null;
  private at: number | null = null;
  private readonly looks = { bold: 0, italic: 0, underline: 0 };

  constructor(text: string) {
    let from = 0;
    for (const tag of text.matchAll(/<([^>]*)>?/g)) {
      this.words(text.slice(from, tag.index));
      this.tag(tag[1]!);
      from = tag.index + tag[0].length;
    }
    this.words(text.slice(from));
  }

  private words(raw: string): void {
    if (raw === '') return;
    const last = this.lines.at(-1);
    const line = last && last.voice === this.voice ? last : { voice: this.voice, spans: [] };
    if (line !== last) this.lines.push(line);
    line.spans.push({
      text: unescaped(raw),
      at: this.at,
      ...(this.looks.bold > 0 && { bold: true }),
      ...(this.looks.italic > 0 && { italic: true }),
      ...(this.looks.underline > 0 && { underline: true }),
    });
  }

  private tag(tag: string): void {
    const inner = INNER_TIME.exec(tag);
    if (inner) this.at = milliseconds(inner.slice(1));
    const named = /^(\/?)([a-z]+)(?:\.[^\s]*)?(?:\s+([\s\S]*))?$/.exec(tag);
    if (!named) return;
    const [, closing, name, rest] = named;
    if (name === 'v')
      this.voice = closing
        ? null
        : unescaped(rest ?? '')
            .replace(/\s+/g, ' ')
            .trim() || null;
    const look = LOOKS[name as keyof typeof LOOKS];
    if (look) this.looks[look] = Math.max(0, this.looks[look] + (closing ? -1 : 1));
  }
}

interface Block {
  /** The line of the file it begins on, from 1. */
  line: number;
  rows: string[];
}

function blocksOf(text: string): Block[] {
  const blocks: Block[] = [];
  let block: Block | null = null;
  text.split(/\r\n|\r|\n/).forEach((row, at) => {
    if (row.trim() === '') block = null;
    else if (block) block.rows.push(row);
    else blocks.push((block = { line: at + 1, rows: [row] }));
  });
  return blocks;
}

/** Whether a text says of itself that it is WebVTT. */
export const isVtt = (text: string): boolean => /^\uFEFF?WEBVTT(?:[ \t\r\n]|$)/.test(text);

/** Reads the cues of one block; what is wrong with it is remarked. */
function readCue({ line, rows }: Block, before: number, remarks: string[]): TimedLine[] {
  const at = rows.slice(0, 2).findIndex((row) => row.includes('-->'));
  // A note, a style or a region; words without a time.
  if (at < 0) {
    if (!/^(NOTE|STYLE|REGION)(\s|$)/.test(rows[0]!))
      remarks.push(`Line ${line}: words without a time were left out.`);
    return [];
  }
  const timing = TIMING.exec(rows[at]!);
  if (!timing) {
    remarks.push(
      `Line ${line + at}: “${rows[at]!.trim().slice(0, 60)}” cannot be read as times; its words were left out.`,
    );
    return [];
  }
  const [from, to] = [milliseconds(timing.slice(1, 5)), milliseconds(timing.slice(5, 9))];
  if (to <= from) remarks.push(`Line ${line + at}: it ends before it begins. Its words are kept.`);
  if (from < before)
    remarks.push(`Line ${line + at}: it begins before the one above it. Its words are kept.`);
  return new CueText(rows.slice(at + 1).join('\n')).lines.flatMap(({ voice, spans }) => {
    const kept = trimmedSpans(spans);
    return kept.length > 0 ? [{ from, to: Math.max(from, to), voice, spans: kept }] : [];
  });
}

/** Reads WebVTT. What is not WebVTT at all has no lines and one remark. */
export function fromVtt(text: string): TimedText {
  if (!isVtt(text)) return { lines: [], remarks: ['It does not begin with “WEBVTT”.'] };
  const remarks: string[] = [];
  const lines: TimedLine[] = [];
  const [head, ...blocks] = blocksOf(text.replace(/^\uFEFF/, ''));
  // A cue may follow the head without an empty line between them.
  const under = { line: head!.line + 1, rows: head!.rows.slice(1) };
  const all = under.rows.some((row) => row.includes('-->')) ? [under, ...blocks] : blocks;
  for (const block of all) lines.push(...readCue(block, lines.at(-1)?.from ?? 0, remarks));
  return { lines, remarks };
}
