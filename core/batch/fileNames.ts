import { cellIn, type BatchSetup } from './setup';

/** What no system takes in the name of a file, or takes otherwise than it looks. */
const NOT_IN_NAMES = /[<>:"/\\|?*\u0000-\u001F\u007F]+/g;
/** Names that one system keeps for itself, whatever their ending. */
const RESERVED = /^(?:con|prn|aux|nul|com\d|lpt\d)$/i;
const MOST = 120;

function safeName(words: string): string {
  const name = words
    .replace(NOT_IN_NAMES, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, MOST)
    .replace(/[. ]+$/, '')
    .replace(/^[. ]+/, '');
  return RESERVED.test(name) ? `${name}_` : name;
}

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
    const plain = safeName(words) || number;
    let name = plain;
    for (let count = 2; taken.has(name.toLocaleLowerCase()); count += 1) name = `${plain} (${count})`;
    taken.add(name.toLocaleLowerCase());
    return name;
  });
}
