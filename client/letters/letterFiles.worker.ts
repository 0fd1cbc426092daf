import { expose, transfer } from 'comlink';
import { Packer } from 'docx';
import { zipSync, strToU8, type Zippable } from 'fflate';
import { toDocx, toDocxPages } from '#core/docx';
import { FILE_FORMATS, writtenAs, type FileFormat, type FormatName } from '#core/exchange';
import { plainText, type Passage } from '#core/passage';
import { missingSigns } from '#client/faces';
import { labelsAsPdf, pagesAsPdf } from './letterPdf';

/** A letter as it is written into files: plain data, as it goes to another thread. */
export interface LetterToWrite {
  /** How its file is called, without its ending. */
  name: string;
  subject: string;
  /** BCP 47. */
  language: string;
  passage: Passage;
}

/** What letters are written as: all in one file, or each in one of its own, in an archive. */
export const LETTER_FORMS = ['docx', 'docx-each', 'pdf', 'pdf-each', 'html-each', 'text-each'] as const;
export type LetterForm = (typeof LETTER_FORMS)[number];

type Tell = (done: number) => void;

/** A PDF, with the library for it: fetched by those who want one. */
const asPdf = async (passages: readonly Passage[], title: string): Promise<Uint8Array> => {
  const { pdfBytes } = await import('./pdfBytes');
  const text = passages.map((passage) => plainText(passage)).join('\n');
  return pdfBytes(pagesAsPdf(passages, title), text);
};

const asDocx = async (document: Parameters<typeof Packer.toBuffer>[0]): Promise<Uint8Array> =>
  new Uint8Array(await (await Packer.toBlob(document)).arrayBuffer());

/** As what each letter is written that has a file of its own. */
const EACH = {
  'docx-each': 'docx',
  'pdf-each': 'pdf',
  'html-each': 'html',
  'text-each': 'text',
} as const satisfies Partial<Record<LetterForm, FormatName>>;

async function oneFile(
  format: (typeof EACH)[keyof typeof EACH],
  { passage, subject, language }: LetterToWrite,
): Promise<Uint8Array> {
  if (format === 'pdf') return asPdf([passage], subject);
  if (format === 'docx') return asDocx(toDocx(passage, subject));
  return strToU8(writtenAs(format, passage, { title: subject, language }));
}

/** Letters of which a PDF would miss signs: their names, and the signs. */
function missedIn(letters: readonly LetterToWrite[]): string[] {
  return letters.flatMap(({ name, passage }) => {
    const signs = missingSigns(plainText(passage));
    return signs.length > 0 ? [`${name}: ${signs.slice(0, 10).join(' ')}`] : [];
  });
}

/** What came of letters that were written: a file's bytes, and what a PDF has no signs for. */
export interface WrittenLetters {
  bytes: Uint8Array;
  format: FormatName;
  missed: string[];
}

/** Writes letters into files away from the thread that takes keys: it can be stopped by ending it. */
export class LetterFiles {
  /** Writes letters in a form; `tell` hears how many are done. */
  async write(
    form: LetterForm,
    letters: LetterToWrite[],
    title: string,
    tell: Tell,
  ): Promise<WrittenLetters> {
    const missed = form.startsWith('pdf') ? missedIn(letters) : [];
    const passages = letters.map(({ passage }) => passage);
    if (form === 'docx') return this.given(await asDocx(toDocxPages(passages, title, tell)), 'docx', missed);
    if (form === 'pdf') return this.given(await asPdf(passages, title), 'pdf', missed);
    const files: Zippable = {};
    for (const [at, letter] of letters.entries()) {
      const { ending, compressed }: FileFormat = FILE_FORMATS[EACH[form]];
      files[`${letter.name}.${ending}`] = [await oneFile(EACH[form], letter), { level: compressed ? 0 : 6 }];
      tell(at + 1);
    }
    return this.given(zipSync(files), 'zip', missed);
  }

  /** Address labels as a PDF. */
  async labels(labels: string[][], title: string): Promise<WrittenLetters> {
    const { pdfBytes } = await import('./pdfBytes');
    const text = labels.flat().join('\n');
    const signs = missingSigns(text);
    const bytes = await pdfBytes(labelsAsPdf(labels, title), text);
    return this.given(bytes, 'pdf', signs.length > 0 ? [signs.join(' ')] : []);
  }

  private given(bytes: Uint8Array, format: FormatName, missed: string[]): WrittenLetters {
    return transfer({ bytes, format, missed }, [bytes.buffer as ArrayBuffer]);
  }
}

expose(new LetterFiles());
