import { textRun, type Block, type Inline, type Mark } from '#core/passage';
import { isFullCast, MOST_SPEAKERS, withSpeaker, type Speaker } from './cast';
import { labelOfRow, labelsIn } from './fromLabelled';
import { trimmedSpans, wordsOfLine, type TimedLine, type TimedSpan } from './timedLine';

/** A new turn of the same speaker begins after so long a silence, in milliseconds; and at the end of a sentence, from so many characters on. */
const NEW_TURN = { silence: 4000, characters: 700 } as const;

const SENTENCE_END = /[.!?…]["”’)\]]*$/u;

/** Lines whose words begin with a label have it as their voice: files without voices of their own. */
function voiced(lines: readonly TimedLine[]): readonly TimedLine[] {
  if (lines.some(({ voice }) => voice !== null)) return lines;
  const labels = labelsIn(lines.map(wordsOfLine));
  let voice: string | null = null;
  return lines.map((line) => {
    const words = wordsOfLine(line);
    const found = labelOfRow(words, labels);
    voice = found?.name ?? voice;
    if (!found) return { ...line, voice };
    let skipped = words.length - found.words.length;
    const spans = line.spans.map((span): TimedSpan => {
      const text = span.text.slice(skipped);
      skipped = Math.max(0, skipped - span.text.length);
      return { ...span, text };
    });
    return { ...line, voice, spans: trimmedSpans(spans) };
  });
}

interface Run {
  line: TimedLine;
  spans: readonly TimedSpan[];
}

/** What of the lines makes one turn. */
function together(lines: readonly TimedLine[]): Run[][] {
  const turns: Run[][] = [];
  let size = 0;
  lines.forEach((line, at) => {
    const before = lines[at - 1];
    const silence = (line.from ?? 0) - (before?.to ?? before?.from ?? line.from ?? 0);
    const isLong = size > NEW_TURN.characters && SENTENCE_END.test(before ? wordsOfLine(before) : '');
    // Without a time a line is a paragraph of its own: nothing says that it goes on in the one above.
    const goesOn =
      before?.voice === line.voice && line.from !== null && silence < NEW_TURN.silence && !isLong;
    if (!goesOn) {
      turns.push([]);
      size = 0;
    }
    turns.at(-1)!.push({ line, spans: line.spans });
    size += wordsOfLine(line).length;
  });
  return turns;
}

function marksOf({ bold, italic, underline }: TimedSpan, at: number | null): Mark[] {
  return [
    ...(at === null ? [] : [{ type: 'heard' as const, attrs: { at } }]),
    ...(bold ? [{ type: 'bold' as const }] : []),
    ...(italic ? [{ type: 'italic' as const }] : []),
    ...(underline ? [{ type: 'underline' as const }] : []),
  ];
}

const inlinesOf = (runs: readonly Run[]): Inline[] =>
  runs.flatMap(({ line, spans }, index) =>
    spans.flatMap((span, at) => {
      const text = at === 0 && index > 0 ? ` ${span.text}` : span.text;
      return textRun(text, marksOf(span, span.at ?? line.from));
    }),
  );

/** More people speak in a text than a cast can have. */
export class TooManySpeakers extends Error {
  constructor() {
    super(
      `More than ${MOST_SPEAKERS} people speak in it, with those of the cast. Nothing was taken in: name fewer in the file, or merge some of the cast.`,
    );
  }
}

/** A text that was taken in: its turns, and a cast in which all of their speakers are. */
export interface TakenIn {
  content: Block[];
  cast: Speaker[];
}

/**
 * Timed or labelled lines as turns: lines of one voice in a row go together. Speakers are those of the cast with the same name or
 * initials, others are added to it; where no voice is named all is one speaker's, who can be named later.
 *
 * @param newId - Gives an id that no other speaker has.
 * @throws TooManySpeakers where the cast has no room for all of them.
 */
export function fromLines(
  lines: readonly TimedLine[],
  cast: readonly Speaker[],
  newId: () => string,
): TakenIn {
  let all = [...cast];
  const speakerOf = (voice: string | null): string => {
    const name = (voice ?? 'Speaker 1').slice(0, 80);
    const same = (text: string) => text.toLowerCase() === name.toLowerCase();
    const found = all.find((one) => same(one.name)) ?? all.find((one) => same(one.initials));
    if (found) return found.id;
    if (isFullCast(all)) throw new TooManySpeakers();
    const id = newId();
    all = withSpeaker(all, id, name);
    return id;
  };
  const content = together(voiced(lines)).map((runs): Block => {
    const { voice, from } = runs[0]!.line;
    const inlines = inlinesOf(runs);
    return {
      type: 'turn',
      attrs: { speaker: speakerOf(voice), at: from },
      ...(inlines.length > 0 && { content: inlines }),
    };
  });
  return { content, cast: all };
}
