import type { TrayLine } from '#contracts';
import type { DraftDocument } from '#core/draft';
import { wordsOf } from '#core/fill';
import { splitName, stemOf, type TraySetup } from '#core/naming';
import { plainText } from '#core/passage';

/** What stands for a blank without an answer, in the words of a name that is not done. */
const GAP = '…';

/** The words of a name as it is written so far. */
export const wordsOfName = (document: DraftDocument): string =>
  plainText(document, GAP).replace(/\s+/g, ' ').trim().slice(0, 2000);

/** The whole name that words come to: in the tray's style, with the ending that the file has; '' for no words. An ending that was typed as well is not doubled. */
export function nameOfWords(words: string, line: Pick<TrayLine, 'name'>, setup: TraySetup): string {
  const { ending } = splitName(line.name);
  const hasEnding = ending !== '' && words.toLowerCase().endsWith(ending.toLowerCase());
  const stem = stemOf(hasEnding ? words.slice(0, -ending.length) : words, setup.style);
  return stem === '' ? '' : stem + ending;
}

/** What was answered in a name, by the names of its fields: words, no days. They are offered for the files that come next. */
export function saidIn({ attrs }: DraftDocument): Record<string, string> {
  const said: Record<string, string> = {};
  for (const { fields, answers, language } of Object.values(attrs.placements))
    for (const field of fields) {
      const given = answers[field.id];
      if (given?.kind !== 'text' || field.kind !== 'text') continue;
      const words = wordsOf(field, given, 'as-is', language).trim();
      if (words !== '' && words.length <= 300) said[field.name] = words;
    }
  return said;
}
