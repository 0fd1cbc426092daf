import { offerFile } from '#client/files';
import type { EntryFile } from '#core/entry';
import { ask, type EntryToFill, type OfferedRow } from '../messages';
import type { Box } from '../page/box';
import { meeting } from '../page/contract';
import { pagesAround } from './boxesOfParts';
import { fileBoxFor, putFile } from './fileBoxes';

/** Says something in a few words beside a box. */
type Say = (box: Box, words: string) => void;

const holderOf = ({ entry, included }: EntryToFill, { hash }: EntryFile): string =>
  [entry, ...included].find(({ content }) => content.files?.some((file) => file.hash === hash))?.id ??
  entry.id;

async function fetched(entry: string, { hash, name, media }: EntryFile): Promise<File | string> {
  const answer = await ask('entry-file', { entry, hash });
  if (!answer || answer.base64 === null)
    return `${name} cannot be had: ${answer?.trouble ?? 'the companion does not answer.'} The words stay as they are.`;
  const bytes = Uint8Array.from(atob(answer.base64), (letter) => letter.charCodeAt(0));
  return new File([bytes], name, { type: media });
}

/**
 * Offers the files that go along with an entry, once its words are in: each to the page's own box for files, or to be saved where the page
 * shows none. Nothing is fetched and nothing put there before one says so, and nothing is ever sent.
 */
export function offerFiles(box: Box, toFill: EntryToFill, files: readonly EntryFile[], say: Say): void {
  const pages = pagesAround(box.element.ownerDocument);
  const places = files.map((file) => fileBoxFor(pages, { name: file.name, type: file.media }));
  const rows = files.map(({ hash, name }, at): OfferedRow => {
    const place = places[at];
    return { id: hash, title: place ? `${name} into “${place.label}”` : `Save ${name}`, cue: null };
  });
  const rest = (at: number) => files.filter((_, number) => number !== at);
  const take = async (at: number) => {
    const chosen = files[at]!;
    const file = await fetched(holderOf(toFill, chosen), chosen);
    if (typeof file === 'string') return say(box, file);
    const place = places[at];
    if (place && !putFile(place.input, file))
      return say(box, `“${place.label}” did not take ${file.name}. Nothing was changed.`);
    if (!place) offerFile(file, file.name);
    box.resume();
    if (rest(at).length > 0) return offerFiles(box, toFill, rest(at), say);
    say(box, place ? `${file.name} is in “${place.label}”. Nothing was sent.` : `${file.name} is saved.`);
  };
  if (rows.length > 0) meeting().watching?.offer(box, rows, (at) => void take(at));
}
