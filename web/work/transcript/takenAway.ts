import type { Case } from '#contracts';
import type { DraftDocument } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { toMarkdown, withAddresses } from '#core/exchange';
import { plainText, type Block, type Passage } from '#core/passage';
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
import { fileName, offerFile, textFile } from '#client/files';

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
  label: string;
  save: (whole: Whole, how: TakenAway, today: string) => Promise<void>;
}

/** Ways to take a transcript away as a file. */
export const WAYS_AWAY: readonly Way[] = [
  {
    label: 'Word document (docx)',
    save: async (whole, how, today) => {
      // With its library: fetched only by those who want it.
      const { transcriptDocx } = await import('./transcriptDocx');
      const title = titleOf(whole.one);
      const { cast, labels } = transcriptIn(whole.document);
      const longest = Math.max(0, ...cast.map((speaker) => labelOf(speaker, labels).length));
      const passage = passageOf(whole, how, today);
      const letters =
        labels.after === 'tab' && labels.by !== 'none' ? longest + (how.times ? TIME_LETTERS : 0) : 0;
      offerFile(await transcriptDocx(passage, title, letters), fileName(title, 'docx'));
    },
  },
  {
    label: 'WebVTT subtitles',
    save: async (whole, how) => {
      const { cast } = transcriptIn(whole.document);
      const text = toVtt(subtitlesOf(turnsIn(whole, how), whole.length, how.limits), cast);
      return Promise.resolve(offerFile(textFile(text, 'text/vtt'), fileName(titleOf(whole.one), 'vtt')));
    },
  },
  {
    label: 'SubRip subtitles (SRT)',
    save: async (whole, how) => {
      const names = new Map(transcriptIn(whole.document).cast.map(({ id, name }) => [id, name]));
      const text = toSrt(subtitlesOf(turnsIn(whole, how), whole.length, how.limits, names));
      return Promise.resolve(
        offerFile(textFile(text, 'application/x-subrip'), fileName(titleOf(whole.one), 'srt')),
      );
    },
  },
  {
    label: 'Markdown',
    save: async (whole, how, today) =>
      Promise.resolve(
        offerFile(
          textFile(toMarkdown(passageOf(whole, how, today)), 'text/markdown'),
          fileName(titleOf(whole.one), 'md'),
        ),
      ),
  },
  {
    label: 'Plain text',
    save: async (whole, how, today) =>
      Promise.resolve(
        offerFile(
          textFile(`${plainText(withAddresses(passageOf(whole, how, today)))}\n`, 'text/plain'),
          fileName(titleOf(whole.one), 'txt'),
        ),
      ),
  },
];
