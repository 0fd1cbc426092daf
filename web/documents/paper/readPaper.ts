import { format } from 'date-fns';
import type { Paper } from '#core/naming';
import { readDocx, readOdt, wordsOfBlock } from '#core/submission';
import { inWords, UnreadableFile } from '#client/api';
import { decodedText } from '../decodedText';
import { xmlParts } from '../archive';
import { paperKind, type PaperKind } from './paperKind';

/** A file as it was read to be named. */
export interface ReadPaper {
  kind: PaperKind;
  paper: Paper;
  /** How many pages it has, where it has pages. */
  pages: number | null;
  /** Why not all of it could be read, in words; null where it was. */
  problem: string | null;
}

/** Larger files are not read, only named. */
const MOST_BYTES = 150_000_000;
/** So many letters are looked through for dates and names. */
const MOST_LETTERS = 60_000;

const dayOf = (at: Date | null) => (at ? format(at, 'yyyy-MM-dd') : null);

type Found = Partial<Pick<Paper, 'text' | 'title' | 'from' | 'dated' | 'datedAs'>> & { pages?: number };

/** What an element of properties holds; '' where it is not there. Signs of markup stand in no title that is looked through for dates and names. */
const within = (xml: string, tag: string): string =>
  (new RegExp(`<${tag}[^>]*>([^<]*)</${tag}>`).exec(xml)?.[1] ?? '').replaceAll('&amp;', '&').trim();

/** The words of a docx or ODT, its title, its author and when it was made: read, not laid out. */
async function officeWords(bytes: Uint8Array, called: string): Promise<Found> {
  const parts = await xmlParts(bytes, called);
  const { blocks } = parts.has('word/document.xml') ? readDocx(parts).submission : readOdt(parts);
  const about = parts.get('docProps/core.xml') ?? parts.get('meta.xml') ?? '';
  const made = new Date(within(about, 'dcterms:created') || within(about, 'meta:creation-date'));
  return {
    text: blocks.map(wordsOfBlock).join('\n'),
    title: within(about, 'dc:title'),
    from: within(about, 'dc:creator') || within(about, 'meta:initial-creator'),
    dated: Number.isNaN(made.getTime()) ? null : dayOf(made),
    datedAs: 'made, by its properties',
  };
}

async function pdfWords(bytes: Uint8Array, called: string): Promise<Found> {
  const { wordsOfPdf } = await import('../pdf/wordsOfPdf');
  const { text, title, author, made, pages } = await wordsOfPdf(bytes, called);
  return { ...{ text, title, pages, from: author }, dated: dayOf(made), datedAs: 'made, by its properties' };
}

async function mailWords(bytes: Uint8Array): Promise<Found> {
  const { readMessage } = await import('#core/message');
  const mail = await readMessage(bytes);
  if (!mail) return { text: decodedText(bytes) ?? '' };
  return {
    ...{ text: mail.text, title: mail.subject },
    from: mail.from ? mail.from.name || mail.from.address : '',
    ...{ dated: dayOf(mail.sentAt), datedAs: 'sent' },
  };
}

async function pictureWords(bytes: Uint8Array): Promise<Found> {
  const { pictureProperties } = await import('./pictureProperties');
  const { taken, says } = await pictureProperties(bytes);
  return { title: says, dated: dayOf(taken), datedAs: 'taken' };
}

function wordsOf(kind: PaperKind, bytes: Uint8Array, called: string): Promise<Found> {
  switch (kind) {
    case 'pdf':
      return pdfWords(bytes, called);
    case 'docx':
    case 'odt':
      return officeWords(bytes, called);
    case 'mail':
      return mailWords(bytes);
    case 'picture':
    case 'tiff':
      return pictureWords(bytes);
    case 'text':
      return Promise.resolve({ text: decodedText(bytes) ?? '' });
    case 'other':
      return Promise.resolve({});
  }
}

/**
 * Reads a file to be named: its first words, its properties and what it is. Nothing leaves the computer, and words in pictures are not
 * read. What cannot be read is told, not thrown: such a file is named as well.
 */
export async function readPaper(file: File): Promise<ReadPaper> {
  const changed = dayOf(new Date(file.lastModified))!;
  const bare = { name: file.name, text: '', title: '', from: '', dated: null, datedAs: '', changed };
  if (file.size > MOST_BYTES)
    return {
      ...{ kind: 'other', paper: bare, pages: null },
      problem: `It is larger than ${MOST_BYTES / 1_000_000} MB: what is in it was not looked at.`,
    };
  const bytes = await file.arrayBuffer().then(
    (buffer) => new Uint8Array(buffer),
    () => null,
  );
  if (!bytes)
    return {
      ...{ kind: 'other', paper: bare, pages: null },
      problem: 'It could not be read. It may have been moved, changed or deleted since it was chosen.',
    };
  const kind = await paperKind(bytes, file.name);
  try {
    const { pages = null, text = '', ...found } = await wordsOf(kind, bytes, file.name);
    return { kind, pages, problem: null, paper: { ...bare, ...found, text: text.slice(0, MOST_LETTERS) } };
  } catch (error) {
    const problem =
      error instanceof UnreadableFile ? inWords(error) : `${file.name} is damaged: its words cannot be read.`;
    return { kind, pages: null, problem, paper: bare };
  }
}
