import type { TakenCase } from '#contracts';
import { labelOfDetail, HISTORY_LISTS, isHistoryList, valueInWords } from '#core/record';
import { itemInLocale } from '../../record';

const NOUNS: Record<string, readonly [string, string]> = {
  measurements: ['measurement', 'measurements'],
  medicines: ['medicine', 'medicines'],
  problems: ['problem', 'problems'],
};

/** So many items of a list: "3 medicines", "allergies: 2". */
function counted(list: string, count: number): string {
  const noun = NOUNS[list];
  if (noun) return `${count} ${noun[count === 1 ? 0 : 1]}`;
  return `${isHistoryList(list) ? HISTORY_LISTS[list].title.toLowerCase() : list}: ${count}`;
}

const sentences = (count: number, one: string, many: string): string[] =>
  count === 0 ? [] : [count === 1 ? one : `${count.toLocaleString()} ${many}`];

/** What is new in a case that was here before, a sentence each; of one that says the same, that. */
export function newsInWords({ added, changed, details, kept, withdrawn, care, full }: TakenCase): string[] {
  const counts = Object.entries(added).map(([list, count = 0]) => counted(list, count));
  const items = changed.map(({ list, had, now }) => {
    const of = list;
    return `${itemInLocale(of, now!)}. It was: ${itemInLocale(of, had!)}.`;
  });
  const of = details.map(({ path, was, now }) => {
    const before = was ? `, was ${valueInWords(was, navigator.language)}` : '';
    return `${labelOfDetail(path)}: ${valueInWords(now, navigator.language)}${before}.`;
  });
  const all = [
    ...(counts.length > 0 ? [`Added: ${counts.join(', ')}.`] : []),
    ...(care.length > 0 ? [`Care that comes round: ${care.join(', ')}.`] : []),
    ...of,
    ...items,
    ...sentences(
      kept,
      'One item differs from what was written here; yours stays.',
      'items differ from what was written here; yours stay.',
    ),
    ...sentences(
      withdrawn,
      'One item was entered in error and was removed.',
      'items were entered in error and were removed.',
    ),
    ...sentences(full, 'There was no room for one item.', 'items had no room.'),
  ];
  return all.length > 0 ? all : ['Nothing new: it says what the record says.'];
}
