import type { Entry } from '#contracts';
import { keysOfEntry, type BankIndex, type Reach } from '#core/bank';
import { datesOfPaper, nameKey, namesOfPaper, searchedWords, type Paper } from '#core/naming';

/** Something found in a file that a name can begin with: an entry whose title or tag stands in it, or a day. */
export type Found =
  | { kind: 'entry'; entry: string; words: string; context: string }
  | { kind: 'words'; words: string; context: string };

const MOST_ENTRIES = 4;
const MOST_DATES = 4;

const known = new WeakMap<Reach, { words: string; key: string; entry: Entry }[]>();

/** What the entries within reach are called, made ready once: a bank may be large, and a tray too. */
function namesInReach(reach: Reach) {
  let names = known.get(reach);
  if (!names) {
    names = reach.entries.flatMap((entry) =>
      [entry.content.title, ...entry.content.tags].map((words) => ({ words, key: nameKey(words), entry })),
    );
    known.set(reach, names);
  }
  return names;
}

/** What a name can begin with, the likeliest first: entries within reach that the file names, then its days. */
export function foundIn(
  paper: Paper,
  {
    index,
    reach,
    languages,
    today,
  }: { index: BankIndex; reach: Reach; languages: readonly string[]; today: string },
): Found[] {
  const searched = searchedWords(paper);
  const entries = [...new Set(namesOfPaper(searched, namesInReach(reach)).map(({ entry }) => entry))];
  return [
    ...entries.slice(0, MOST_ENTRIES).map((entry): Found => ({
      ...{ kind: 'entry', entry: entry.id, words: entry.content.title },
      context: keysOfEntry(entry, index.collections.get(entry.collection)) ?? '',
    })),
    ...datesOfPaper(paper, { languages, today })
      .slice(0, MOST_DATES)
      .map(({ date, context }): Found => ({ kind: 'words', words: date, context })),
  ];
}
