import { and, asc, count, desc, eq, inArray, max, sql } from 'drizzle-orm';
import type { FileInTray, LineChange, Tray, TrayLine } from '#contracts';
import { newTraySetup, TRAY_LIMITS, type TraySetup } from '#core/naming';
import { givenCase, tellEachGiven } from '../../cases';
import type { Context } from '../../context';
import { casesGiven, trayLines, trays, type Queries } from '../../db';
import { notFound, Refusal } from '../../http';

type StoredLine = typeof trayLines.$inferSelect;

function toLine({ case: _, said: __, ...line }: StoredLine): TrayLine {
  return {
    ...line,
    changed: line.changed.toISOString(),
    namedAt: line.namedAt?.toISOString() ?? null,
    renamedAt: line.renamedAt?.toISOString() ?? null,
  };
}

/** Tells all who have a tray that some of its lines are others now; none: that all of it may be. */
const tellOfLines = (context: Context, of: string, lines: readonly Pick<StoredLine, 'id' | 'version'>[]) =>
  tellEachGiven(context, of, {
    ...{ type: 'tray-changed', case: of },
    versions: Object.fromEntries(lines.map(({ id, version }) => [id, version])),
  });

/** How a member named files last, in whichever of their trays: a new one begins so. The folder is that tray's own. */
async function setupBefore(db: Queries, member: string): Promise<TraySetup> {
  const [last] = await db
    .select({ setup: trays.setup })
    .from(trays)
    .innerJoin(casesGiven, and(eq(casesGiven.case, trays.case), eq(casesGiven.member, member)))
    .innerJoin(trayLines, eq(trayLines.case, trays.case))
    .groupBy(trays.case)
    .orderBy(desc(sql`max(coalesce(${trayLines.namedAt}, ${trayLines.changed}))`))
    .limit(1);
  return last ? { ...last.setup, folder: '' } : newTraySetup();
}

/** The tray of a case that the member has. */
export async function readTray(db: Queries, member: string, id: string): Promise<Tray> {
  const { id: of } = await givenCase(db, member, id);
  const [own] = await db.select().from(trays).where(eq(trays.case, of));
  const lines = await db
    .select()
    .from(trayLines)
    .where(eq(trayLines.case, of))
    .orderBy(asc(trayLines.position), asc(trayLines.id));
  return {
    version: own?.version ?? 0,
    setup: own?.setup ?? (await setupBefore(db, member)),
    lines: lines.map(toLine),
  };
}

/** Keeps how the files of a tray are named. Throws a `moved-on` Refusal where somebody else did meanwhile. */
export async function keepTraySetup(
  context: Context,
  member: string,
  id: string,
  version: number,
  setup: TraySetup,
): Promise<{ version: number }> {
  const { db } = context;
  const { id: of } = await givenCase(db, member, id);
  const row = { case: of, setup, version: version + 1 };
  const kept =
    version === 0
      ? await db.insert(trays).values(row).onConflictDoNothing().returning()
      : await db
          .update(trays)
          .set(row)
          .where(and(eq(trays.case, of), eq(trays.version, version)))
          .returning();
  if (kept.length === 0)
    throw new Refusal(
      'moved-on',
      'Somebody else changed how this tray is named meanwhile, and what you did was not saved. This page now shows theirs.',
    );
  await tellOfLines(context, of, []);
  return { version: version + 1 };
}

/** Adds files behind those that are there; sent again, a line is the one it was. Throws a Refusal where there would be too many. */
export async function addLines(
  context: Context,
  member: string,
  id: string,
  files: readonly FileInTray[],
): Promise<{ lines: TrayLine[] }> {
  const { db } = context;
  const { id: of } = await givenCase(db, member, id);
  const added = await db.transaction(async (tx) => {
    // One after the other: two that add at the same moment would give the same places.
    await tx.execute(sql`select id from cases where id = ${of} for update`);
    const [before] = await tx
      .select({ lines: count(), last: max(trayLines.position) })
      .from(trayLines)
      .where(eq(trayLines.case, of));
    const ids = files.map((file) => file.id);
    const there = await tx.select({ id: trayLines.id }).from(trayLines).where(inArray(trayLines.id, ids));
    const known = new Set(there.map((line) => line.id));
    const fresh = files.filter((file) => !known.has(file.id));
    if ((before?.lines ?? 0) + fresh.length > TRAY_LIMITS.lines)
      throw new Refusal(
        'too-many',
        `A tray takes ${TRAY_LIMITS.lines.toLocaleString('en-GB')} files at the most. These were not added.`,
      );
    if (fresh.length === 0) return [];
    const first = (before?.last ?? -1) + 1;
    return tx
      .insert(trayLines)
      .values(
        fresh.map(({ changed, file, ...one }, at) => ({
          ...{ ...one, case: of, position: first + at, changed: new Date(changed), file: file ?? null },
          ...{ document: null, words: '', said: {}, newName: null, namedAt: null },
          ...{ renamed: null, renamedAt: null, version: 1 },
        })),
      )
      .returning();
  });
  await tellOfLines(context, of, added);
  return { lines: added.map(toLine).sort((a, b) => a.position - b.position) };
}

/** What a change makes of a line. */
function changedLine(
  line: StoredLine,
  { written, newName, renamed, file }: LineChange,
  now: Date,
): StoredLine {
  return {
    ...line,
    ...written,
    ...(newName !== undefined && { newName, namedAt: newName === null ? null : now }),
    ...(file !== undefined && { file }),
    ...(renamed !== undefined && { renamed, renamedAt: renamed === null ? null : now }),
    version: line.version + 1,
  };
}

/** What of a line changes is written over by what is put in its place. */
const WRITTEN_OVER = {
  document: sql`excluded.document`,
  words: sql`excluded.words`,
  said: sql`excluded.said`,
  newName: sql`excluded.new_name`,
  namedAt: sql`excluded.named_at`,
  file: sql`excluded.file`,
  renamed: sql`excluded.renamed`,
  renamedAt: sql`excluded.renamed_at`,
  version: sql`excluded.version`,
};

/** Changes lines, all or none. Throws a `moved-on` Refusal with the line as it is where somebody else changed it. */
export async function changeLines(
  context: Context,
  member: string,
  id: string,
  changes: readonly LineChange[],
): Promise<{ lines: TrayLine[] }> {
  const { db, now } = context;
  const { id: of } = await givenCase(db, member, id);
  const ids = [...new Set(changes.map(({ line }) => line))];
  const changed = await db.transaction(async (tx) => {
    const found = await tx
      .select()
      .from(trayLines)
      .where(and(eq(trayLines.case, of), inArray(trayLines.id, ids)))
      .orderBy(asc(trayLines.id))
      .for('update');
    if (found.length < ids.length) throw notFound();
    const lines = new Map(found.map((line) => [line.id, line]));
    for (const change of changes) {
      const line = lines.get(change.line)!;
      if (change.version !== undefined && change.version !== line.version)
        throw new Refusal('moved-on', 'Somebody else changed this name meanwhile.', {
          current: toLine(line),
        });
      lines.set(line.id, changedLine(line, change, now()));
    }
    const dropped = changes.filter(({ drop }) => drop).map(({ line }) => line);
    if (dropped.length > 0) await tx.delete(trayLines).where(inArray(trayLines.id, dropped));
    for (const line of dropped) lines.delete(line);
    if (lines.size > 0)
      await tx
        .insert(trayLines)
        .values([...lines.values()])
        .onConflictDoUpdate({ target: trayLines.id, set: WRITTEN_OVER });
    return [...lines.values()].map(toLine);
  });
  await tellOfLines(
    context,
    of,
    // One that was taken out has no version that a page could have.
    changes.some(({ drop }) => drop) ? [] : changed,
  );
  return { lines: changed };
}
