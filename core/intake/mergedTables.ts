import { SECTION_HEAD, wordsOfCell, type IntakeTable } from './intakeTable';

const bareHeads = ({ heads }: IntakeTable): string =>
  heads
    .filter((head) => head !== SECTION_HEAD)
    .join('|')
    .toLowerCase();

/** The rows of a table behind its name, which says where they belong; a line among them that says so already comes after it. */
function namedRows({ name, heads, rows }: IntakeTable): IntakeTable['rows'] {
  if (heads[0] !== SECTION_HEAD) return rows.map((row) => [name, ...row]);
  return rows.map(([section, ...row]) => [
    [name, wordsOfCell(section)].filter((words) => words !== '').join(' > '),
    ...row,
  ]);
}

/** Tables that have the same heads as one: what each was called is a column then, as the sheets of a workbook or the headings before them. */
export function mergedTables(tables: readonly IntakeTable[]): IntakeTable[] {
  const groups = new Map<string, IntakeTable[]>();
  for (const table of tables) groups.set(bareHeads(table), [...(groups.get(bareHeads(table)) ?? []), table]);
  return [...groups.values()].map((group) => {
    const [first] = group;
    if (group.length === 1) return first!;
    return {
      name: '',
      heads: [SECTION_HEAD, ...first!.heads.filter((head) => head !== SECTION_HEAD)],
      rows: group.flatMap(namedRows),
      remarks: group.flatMap(({ remarks }) => remarks),
    };
  });
}
