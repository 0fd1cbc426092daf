import type { BankIndex, Reach } from '#core/bank';
import { resolveCue } from '#core/cue';
import { mainPassage } from '#core/entry';
import type { OfferEntry } from '#core/glossary';
import { plainText } from '#core/passage';

/** So much of a wording's beginning is looked at while one types it. */
const FIRST_CHARACTERS = 60;

/** The entries in reach as they are offered. */
export function offerEntries({ entries }: Reach, { collections }: BankIndex): OfferEntry[] {
  return entries.map(({ id, collection: at, content }) => {
    const collection = collections.get(at)!;
    const passage = mainPassage(content);
    const [only, ...more] = passage.content;
    const isPlain =
      more.length === 0 && only?.type === 'paragraph' && only.content?.every(({ type }) => type === 'text');
    return {
      id,
      title: content.title,
      cues: content.cues.filter(({ as }) => !as).map((cue) => resolveCue(id, cue, collection)),
      leadIn: collection.leadIn,
      beginnings: [plainText(passage).slice(0, FIRST_CHARACTERS)].filter((words) => words !== ''),
      whole: isPlain ? plainText(passage) : null,
    };
  });
}
