import { csvOf } from '#core/exchange';
import type { TrayLine } from '#contracts';

/** How a file came to its new name, for people. */
export const WAY_WORDS: Record<NonNullable<TrayLine['renamed']>, string> = {
  here: 'in its folder',
  zip: 'in an archive',
  script: 'by a script',
  table: 'by a table',
};

/** What became what, as a table (CSV, RFC 4180). A cell that a spreadsheet would take for a formula is written as words. */
export const renameTable = (lines: readonly TrayLine[]): string =>
  csvOf([
    ['Folder', 'Old name', 'New name', 'How', 'When'],
    ...lines.map(({ folder, name, newName, renamed, renamedAt }) => [
      ...[folder, name, newName ?? ''],
      ...[renamed ? WAY_WORDS[renamed] : '', renamedAt ?? ''],
    ]),
  ]);
