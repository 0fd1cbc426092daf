import { alikeKey, safeStem } from '#core/naming';
import { cellIn, type BatchSetup } from './setup';

/** So long may such a name be: it stands in a folder, behind a path. */
const MOST = 120;

/**
 * How the files of rows are called, without their ending: a pattern with columns between braces, by their heads, and {n} for the number of
 * the row, with noughts before it. No two are alike, capitals aside; one of which nothing is left is called by its number.
 */
export function fileNamesOf(
  setup: Pick<BatchSetup, 'columns' | 'fileNames'>,
  rows: readonly { position: number; cells: readonly string[] }[],
): string[] {
  const width = String(Math.max(0, ...rows.map(({ position }) => position + 1))).length;
  const taken = new Set<string>();
  return rows.map(({ position, cells }) => {
    const number = String(position + 1).padStart(width, '0');
    const words = setup.fileNames.replace(/\{([^{}]*)\}/g, (_, asked: string) => {
      const wanted = asked.trim().toLocaleLowerCase();
      if (wanted === 'n') return number;
      const column = setup.columns.find(({ head }) => head.toLocaleLowerCase() === wanted);
      return cellIn(setup, cells, column ?? null);
    });
    const plain = safeStem(words, MOST) || number;
    let name = plain;
    for (let count = 2; taken.has(alikeKey(name)); count += 1) name = `${plain} (${count})`;
    taken.add(alikeKey(name));
    return name;
  });
}
