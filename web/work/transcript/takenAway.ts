import type { Case } from '#contracts';
import { languageOf, type DraftDocument } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { FILE_FORMATS, writtenAs, type FormatName } from '#core/exchange';
import type { Block, Passage } from '#core/passage';
import { detailsOf, valueInWords } from '#core/record';
import {
  cleaned,
  labelOf,
  NEW_TRANSCRIPT,
  partOf,
  subtitlesOf,
  toSrt,
  toVtt,
  turnsOf,
  type Stretch,
  type SubtitleLimits,
} from '#core/transcript';
import { offerAs } from '#client/files';

/** What of a transcript goes out, and how. */
export interface TakenAway {
  part: Stretch;
  /** Whether the times of turns are written before their labels. */
  times: boolean;
  /** Whether the title and what is known of the recording stand above. */
  head: boolean;
  limits: SubtitleLimits;
}

/** A transcript that is taken away. */
export interface Whole {
  one: Case;
  document: DraftDocument;
  /** How long the recording is, in milliseconds; null where that is not known. */
  length: number | null;
}

/** A time and the space behind it take about so many letters. */
const TIME_LETTERS = 9;

const transcriptIn = ({ attrs }: DraftDocument) => attrs.transcript ?? NEW_TRANSCRIPT;
const titleOf = ({ title, number }: Case): string => (number ? `${title} ${number}` : title);

/** Said by the title, or nothing to a reader. */
const NOT_AT_HEAD: ReadonlySet<string> = new Set(['number', 'language']);

/** The title, and a line for each thing known of the recording. */
function headOf(one: Case, today: string): Block[] {
  const line = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });
  return [
    { type: 'heading', attrs: { level: 1 }, content: [{ type: 'text', text: titleOf(one) }] },
    ...detailsOf(one.record, today)
      .filter(({ path, value }) => value.kind !== 'list' && !NOT_AT_HEAD.has(path))
      .map(({ label, value }) => line(`${label}: ${valueInWords(value, navigator.language, 'long')}`)),
  ];
}

/** A transcript as its reader gets it. */
function passageOf({ one, document }: Whole, { part, times, head }: TakenAway, today: string): Passage {
  const transcript = transcriptIn(document);
  const shown = times ? 'text' : 'none';
  const written = { ...transcript, times: { ...transcript.times, shown } } as const;
  const passage = finishedPassage(
    partOf({ ...document, attrs: { ...document.attrs, transcript: written } }, part),
  );
  return head ? { ...passage, content: [...headOf(one, today), ...passage.content] } : passage;
}

function turnsIn({ document }: Whole, { part }: TakenAway) {
  const said = partOf(document, part);
  return turnsOf(transcriptIn(document).clean ? cleaned(said) : said);
}

interface Way {
  format: FormatName;
  save: (whole: Whole, how: TakenAway, today: string) => Promise<void>;
}

/** A transcript in a form that is text and nothing else. */
const written = (
  format: FormatName,
  wordsOf: (whole: Whole, how: TakenAway, today: string) => string,
): Way => ({
  format,
  save: (whole, how, today) =>
    Promise.resolve(offerAs(format, wordsOf(whole, how, today), titleOf(whole.one))),
});

/** A transcript as a text of a format. */
const asText = (format: 'markdown' | 'text'): Way =>
  written(format, (whole, how, today) => {
    const language = languageOf(whole.document) ?? 'en-GB';
    return writtenAs(format, passageOf(whole, how, today), { title: titleOf(whole.one), language });
  });

const WAYS: readonly Way[] = [
  {
    format: 'docx',
    save: async (whole, how, today) => {
      // With its library: fetched only by those who want it.
      const { transcriptDocx } = await import('./transcriptDocx');
      const title = titleOf(whole.one);
      const { cast, labels } = transcriptIn(whole.document);
      const longest = Math.max(0, ...cast.map((speaker) => labelOf(speaker, labels).length));
      const passage = passageOf(whole, how, today);
      const letters =
        labels.after === 'tab' && labels.by !== 'none' ? longest + (how.times ? TIME_LETTERS : 0) : 0;
      offerAs('docx', await transcriptDocx(passage, title, letters), title);
    },
  },
  written('vtt', (whole, how) =>
    toVtt(subtitlesOf(turnsIn(whole, how), whole.length, how.limits), transcriptIn(whole.document).cast),
  ),
  written('srt', (whole, how) => {
    const names = new Map(transcriptIn(whole.document).cast.map(({ id, name }) => [id, name]));
    return toSrt(subtitlesOf(turnsIn(whole, how), whole.length, how.limits, names));
  }),
  asText('markdown'),
  asText('text'),
];

/** Ways to take a transcript away as a file, as they are offered. */
export const WAYS_AWAY = WAYS.map((way) => ({ ...way, label: FILE_FORMATS[way.format].label }));
