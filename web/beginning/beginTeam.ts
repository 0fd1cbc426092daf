import { call, ForPeople } from '#client/api';
import { takeStarter } from '#client/beginning';
import { TextLimitSchema, type TextLimit } from '#core/passage';
import { STARTERS, type Starter } from '#core/starters';
import { KINDS, type KindId, type KindsOfTeam, type TeamKinds } from '#core/work';

/** One kind of work as it is being set: whether the team does it, by what names, and whether a collection comes with it. */
export interface KindRow {
  kind: KindId;
  on: boolean;
  work: string;
  caseName: string;
  /** How long a text may be, as it is typed; '' where that does not matter. */
  most: string;
  mostOf: TextLimit['of'];
  withStarter: boolean;
}

const ALL = (Object.keys(KINDS) as KindId[]).filter((id) => !KINDS[id].reachesAll);

/** The rows to begin with: what is set, or every kind as it comes. Starter entries are ticked for a team whose bank is empty alone. */
export const rowsOf = ({ done, workOf, caseOf, limitOf }: KindsOfTeam, isBankEmpty: boolean): KindRow[] =>
  ALL.map((kind) => ({
    kind,
    on: done.includes(kind),
    work: workOf(kind),
    caseName: caseOf(kind),
    most: String(limitOf(kind)?.most ?? ''),
    mostOf: limitOf(kind)?.of ?? 'words',
    withStarter: isBankEmpty,
  }));

/** What is to be set of the kinds of work. Throws in words where nothing is ticked, or something has no name. */
export function kindsOfRows(rows: readonly KindRow[]): TeamKinds {
  const on = rows.filter((row) => row.on);
  if (on.length === 0) throw new ForPeople('Tick at least one kind of work.');
  const nameless = on.find(({ work, caseName }) => work.trim() === '' || caseName.trim() === '');
  if (nameless) throw new ForPeople(`Say what you call ${KINDS[nameless.kind].work.toLowerCase()}.`);
  return on.map((row) => {
    const [work, caseName] = [row.work.trim(), row.caseName.trim()];
    if (row.most.trim() === '') return { kind: row.kind, work, caseName };
    const limit = TextLimitSchema.safeParse({ most: Number(row.most), of: row.mostOf });
    if (!limit.success)
      throw new ForPeople(`The length of ${work.toLowerCase()} must be a whole number up to 1,000,000.`);
    return { kind: row.kind, work, caseName, limit: limit.data };
  });
}

/** The collections that are to be taken: those ticked, and of the symbols where they are wanted. */
export const startersOf = (rows: readonly KindRow[], withSymbols: boolean): Starter[] =>
  STARTERS.filter(({ kind }) =>
    kind === null ? withSymbols : rows.some((row) => row.kind === kind && row.on && row.withStarter),
  );

/**
 * Sets what the team does and makes the collections. `taken` tells which were made when it is tried again, and is added to. Throws
 * in words, or what `call` does; what was done by then stays.
 */
export async function beginTeam(
  rows: readonly KindRow[],
  starters: readonly Starter[],
  leadIn: string,
  taken: Set<string>,
): Promise<void> {
  await call('saveTeamSettings', { body: { kinds: kindsOfRows(rows) } });
  for (const starter of starters) {
    if (taken.has(starter.id)) continue;
    await takeStarter(starter, leadIn);
    taken.add(starter.id);
  }
}
