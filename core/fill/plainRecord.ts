import type { Field } from '#core/entry';
import type { BlankForm } from '#core/passage';
import { storedDetails, type CaseRecord } from '#core/record';
import { detailWords, reshapes } from './wordsOf';

const isDigit = (code: number) => code >= 0x30 && code <= 0x39;
const isSmall = (code: number) => code >= 0x61 && code <= 0x7a;
const isCapital = (code: number) => code >= 0x41 && code <= 0x5a;

/** Whether words are a plain answer that stands in a blank as it is; where a sentence begins with it, no capital is to be given to it either. */
export function isPlain(words: string, begins: boolean): boolean {
  if (words === '') return false;
  const first = words.charCodeAt(0);
  if (!isCapital(first) && !isDigit(first) && (begins || !isSmall(first))) return false;
  const last = words.charCodeAt(words.length - 1);
  return (isSmall(last) || isDigit(last) || isCapital(last)) && !words.includes('\n');
}

/** What a blank asks of the record: a detail that is stored there, and how it is written. */
export interface Asked {
  path: string;
  form: BlankForm;
  /** The two as one, to be looked up by. */
  key: string;
}

/** What a blank of a field asks of the record; null where that alone does not say its words. */
export const askedBy = (field: Field, form: BlankForm): Asked | null =>
  field.kind === 'detail' && !reshapes(form)
    ? { path: field.path, form, key: form === 'as-is' ? field.path : `${field.path}\n${form}` }
    : null;

/** The words of a detail, and whether they are a plain answer: within a sentence, and where one begins with them. */
export interface PlainDetail {
  words: string;
  isPlainWithin: boolean;
  isPlainBeginning: boolean;
}

/** The details of a record in the words of one language: each is written once for each way it is asked for. */
export class PlainRecord {
  private readonly known = new Map<string, PlainDetail | null>();

  constructor(
    private readonly record: CaseRecord,
    private readonly language: string,
  ) {}

  /** The words of what is asked; null where the record does not hold it as such. */
  wordsFor({ path, form, key }: Asked): PlainDetail | null {
    let known = this.known.get(key);
    if (known === undefined) {
      const detail = storedDetails(this.record).get(path);
      known = detail ? plainDetail(detailWords(detail, form, this.language)) : null;
      this.known.set(key, known);
    }
    return known;
  }
}

const plainDetail = (words: string): PlainDetail => ({
  words,
  isPlainWithin: isPlain(words, false),
  isPlainBeginning: isPlain(words, true),
});

// A record does not change once it is read.
const plainRecords = new WeakMap<CaseRecord, Map<string, PlainRecord>>();

/** A record in the words of a language (BCP 47): the same for the same two. */
export function plainRecord(record: CaseRecord, language: string): PlainRecord {
  let languages = plainRecords.get(record);
  if (!languages) plainRecords.set(record, (languages = new Map<string, PlainRecord>()));
  let plain = languages.get(language);
  if (!plain) languages.set(language, (plain = new PlainRecord(record, language)));
  return plain;
}
