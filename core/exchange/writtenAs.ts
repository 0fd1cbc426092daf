import { plainText, type Passage } from '#core/passage';
import { toHtmlPage } from './toHtml';
import { toMarkdown } from './toMarkdown';
import { withAddresses } from './withAddresses';

/** A passage as it is taken where there is no formatting: its links as words and address. */
export const asPlain = (passage: Passage): string => plainText(withAddresses(passage));

/** What a text is called, and in which language (BCP 47) it is. */
interface About {
  title: string;
  language: string;
}

/** How a passage is written as a file of each format that is text. */
const WRITERS = {
  markdown: toMarkdown,
  html: (passage: Passage, { title, language }: About) => toHtmlPage(passage, title, language),
  text: (passage: Passage) => `${asPlain(passage)}\n`,
} as const;
/** A format of text that a passage can be written in. */
export type TextFormat = keyof typeof WRITERS;

/** The formats of text that a passage can be written in, as they are offered. */
export const TEXT_FORMATS = Object.keys(WRITERS) as TextFormat[];

/** A whole passage as a file's content. */
export const writtenAs = (format: TextFormat, passage: Passage, about: About): string =>
  WRITERS[format](passage, about);
