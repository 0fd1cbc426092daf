import { dateInWords } from '#core/calendar';
import type { BankIndex } from '#core/bank';
import type { Usage } from '#contracts';
import type { CountedSum } from './SumsTable';

/** Counts that belong together: by week, by person and so on. */
export interface UsageTable {
  caption: string;
  rows: CountedSum[];
}

/** The figures of usage as tables, in the order in which they are read. `locale`: BCP 47. */
export function usageTables(
  { weeks, kinds, collections, people, entries }: Usage,
  index: BankIndex,
  workOf: (kind: string) => string,
  locale: string,
): UsageTable[] {
  const tables: UsageTable[] = [
    {
      caption: 'By week',
      rows: weeks.map(({ week, ...sums }) => ({
        key: week,
        label: `Week of ${dateInWords(week, 'long', locale)}`,
        mark: new Date(`${week}T12:00`).toLocaleDateString(locale, { day: 'numeric', month: 'short' }),
        ...sums,
      })),
    },
    {
      caption: 'By kind of work',
      rows: kinds.map(({ kind, ...sums }) => ({ key: kind, label: workOf(kind), ...sums })),
    },
    {
      caption: 'By collection',
      rows: collections.map(({ collection, ...sums }) => ({
        key: collection,
        label: index.collections.get(collection)?.name ?? '',
        ...sums,
      })),
    },
    {
      caption: 'By person',
      rows: people.map(({ member, name, ...sums }) => ({ key: member, label: name, ...sums })),
    },
    {
      caption: 'By entry',
      rows: entries.map(({ entry, title, ...sums }) => ({ key: entry, label: title, ...sums })),
    },
  ];
  // Of oneself alone the sums are said above.
  return tables.filter(({ caption, rows }) => caption !== 'By person' || rows.length > 1);
}

const HEADS = ['Table', 'What', 'Placed', 'Placed by you', 'Keys saved', 'Keys saved by you'];

/** All figures as rows of cells, their heads first. */
export const usageRows = (tables: readonly UsageTable[]): string[][] => [
  HEADS,
  ...tables.flatMap(({ caption, rows }) =>
    rows.map(({ label, times, mine, saved, mineSaved }) => [
      caption,
      label,
      ...[times, mine, saved, mineSaved].map(String),
    ]),
  ),
];
