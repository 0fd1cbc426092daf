import { sql } from 'drizzle-orm';
import type { Entry, Member, Step, Stepped } from '#contracts';
import type { EntryContent } from '#core/entry';
import { renamedIncludes } from '#core/fill';
import type { Context } from '../context';
import { type Database, type Queries, entries, entryMoves, isAmong, revisions } from '../db';
import { notFound, Refusal } from '../http';
import { allowDetail } from '../personal';
import { deleteEntries, dropHeld, restoreFor } from '../wastebasket';
import {
  announceChanges,
  holdTree,
  mustKeepIt,
  mustSeeHistory,
  makeEntry,
  changeEntries,
  moveEntries,
  type ChangeOfOne,
  propose,
  tellOfProposal,
  withdraw,
  writeWordsLeft,
  keptEntry,
} from '../bank';

type StepOf<Do extends Step['do']> = Extract<Step, { do: Do }>;

/** Steps on the way: what came of those taken, and whom to tell once all are. */
interface Walk {
  /** As the server is, but for its database, which is the transaction. */
  context: Context;
  tx: Queries;
  member: Member;
  came: Stepped;
  /** What earlier steps made is called, by its name in these steps. */
  made: Map<string, string>;
  /** Collections in which something is another now. */
  touched: Set<string>;
  proposedFor: string[];
  /** Entries that were changed or restored. */
  written: string[];
  /** Whether it is one step: sent again, it is done already. */
  isOne: boolean;
  reachChanged: boolean;
}

/** Remembers entries that were written, and where. */
function note({ touched, written }: Walk, all: readonly { id: string; collection: string }[]): void {
  for (const { id, collection } of all) {
    touched.add(collection);
    written.push(id);
  }
}

const took = (walk: Walk, saved: readonly Entry[]) => {
  walk.came.entries.push(...saved);
  note(walk, saved);
};

/** A content with the ids of what earlier steps made, in place of their names. */
const withMade = ({ made }: Walk, content: EntryContent): EntryContent =>
  made.size === 0 ? content : renamedIncludes(content, (id) => made.get(id) ?? id);

/** Remembers where entries are that are about to leave. */
async function touch({ tx, touched }: Walk, ids: readonly string[]): Promise<void> {
  const rows = await tx
    .select({ collection: entries.collection })
    .from(entries)
    .where(isAmong(entries.id, ids));
  for (const { collection } of rows) touched.add(collection);
}

/**
 * The changes that bring entries back to earlier revisions. Throws as for something that is not there where one never was, or
 * where the member may not see it, as what was saved before an entry came to where they are.
 */
async function reverting(
  tx: Queries,
  member: string,
  { entries: wanted }: StepOf<'revert'>,
): Promise<ChangeOfOne[]> {
  const asked = sql`(select one ->> 'entry', (one ->> 'to')::int from jsonb_array_elements(${JSON.stringify(wanted)}::jsonb) as one)`;
  const found = await tx
    .select({ entry: revisions.entry, revision: revisions.revision, content: revisions.content })
    .from(revisions)
    .where(sql`(${revisions.entry}, ${revisions.revision}) in ${asked}`);
  const moved = await tx
    .select({ entry: entryMoves.entry })
    .from(entryMoves)
    .where(
      isAmong(
        entryMoves.entry,
        wanted.map(({ entry }) => entry),
      ),
    );
  for (const entry of new Set(moved.map((move) => move.entry))) {
    const maySee = await mustSeeHistory(tx, member, entry);
    if (!maySee(wanted.find((one) => one.entry === entry)!.to)) throw notFound();
  }
  const contents = new Map(found.map(({ entry, content }) => [entry, content]));
  return wanted.map(({ entry, revision }) => {
    const content = contents.get(entry);
    if (!content) throw notFound();
    return { entry, revision, content };
  });
}

async function take(walk: Walk, step: Step): Promise<void> {
  const { context, tx, member, came } = walk;
  switch (step.do) {
    case 'change': {
      const changes = step.changes.map((one) => ({ ...one, content: withMade(walk, one.content) }));
      return took(
        walk,
        await changeEntries(context, member.id, changes, step.reason, { areAll: walk.isOne }),
      );
    }
    case 'revert':
      // Held against the member's rights by what saves them; nothing of them is told before.
      return took(
        walk,
        await changeEntries(context, member.id, await reverting(tx, member.id, step), step.reason),
      );
    case 'move':
      await touch(walk, step.entries);
      return took(walk, await moveEntries(context, member.id, step.entries, step.to));
    case 'delete':
      await touch(walk, step.entries);
      came.deletions.push(await deleteEntries(context, member.id, step.entries));
      return;
    case 'restore': {
      const { all } = await restoreFor(context, tx, member, step.deletion, null);
      note(walk, all);
      walk.reachChanged = true;
      return;
    }
    case 'make': {
      const { name, collection, content, reason } = step;
      const entry = await makeEntry(context, member.id, {
        collection,
        content: withMade(walk, content),
        reason,
      });
      walk.made.set(name, entry.id);
      return took(walk, [entry]);
    }
    case 'propose': {
      const content = withMade(walk, step.content);
      came.proposals.push(await propose(context, tx, member.id, step.entry, { ...step, content }));
      walk.proposedFor.push(step.entry);
      return;
    }
    case 'withdraw':
      walk.proposedFor.push(await withdraw(tx, member.id, step.proposal));
      return;
    case 'drop':
      await dropHeld(context, tx, member.id, await mustKeepIt(tx, member.id, step.collection));
      walk.reachChanged = true;
      return;
    case 'allow': {
      const { id } = await keptEntry(tx, member.id, step.entry);
      await allowDetail(context, member.id, { entry: id, words: step.words, why: step.why });
    }
  }
}

/** Whether a step may change the tree of collections: then it is held from the start, as all who change it hold it first. */
const holdsTree = ({ do: what }: Step) => what === 'restore' || what === 'drop';

/**
 * Takes steps that belong together, as an act on many entries or its undo is made of: all of them in one transaction, or none.
 * Tells the pages that one of them concerns when all are done. Throws the Refusal of the first that may not be taken.
 */
export async function takeSteps(context: Context, member: Member, steps: readonly Step[]): Promise<Stepped> {
  const names = steps.flatMap((step) => (step.do === 'make' ? [step.name] : []));
  if (new Set(names).size < names.length)
    throw new Refusal('not-valid', 'Two of these steps make something of one name. Nothing was changed.');
  const walk = await context.db.transaction(async (tx) => {
    // A transaction is a database to what runs within it.
    const inside = { ...context, db: tx as unknown as Database };
    const came = { entries: [], deletions: [], proposals: [] };
    const fresh = { made: new Map(), touched: new Set<string>(), proposedFor: [], written: [] };
    const walk: Walk = {
      ...fresh,
      reachChanged: false,
      context: inside,
      tx,
      member,
      came,
      isOne: steps.length === 1,
    };
    if (steps.some(holdsTree)) await holdTree(tx);
    for (const step of steps) await take(walk, step);
    return walk;
  });
  await writeWordsLeft(context.db, walk.written);
  if (walk.reachChanged) await context.events.reachChanged();
  await announceChanges(
    context,
    [...walk.touched].map((collection) => ({ collection })),
  );
  for (const entry of new Set(walk.proposedFor)) await tellOfProposal(context, entry, member.id);
  // Of an entry that several steps changed the last is told.
  const entriesNow = [...new Map(walk.came.entries.map((entry) => [entry.id, entry])).values()];
  return { ...walk.came, entries: entriesNow };
}
