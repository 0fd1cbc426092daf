import { and, asc, inArray, isNull } from 'drizzle-orm';
import { MOST_HANDED_ON, type CollectionFile } from '#contracts';
import { treeBranches, within } from '#core/rights';
import type { Context } from '../context';
import { collections, entries } from '../db';
import { Refusal } from '../http';
import { writeTrail } from '../trail';
import { mustKeepIt } from './changingCollections';
import { rightsFor } from './rights';
import { withIncluded } from './readBank';

/**
 * A collection with those within it that its keeper sees, and all their entries, as a file for another team; what stands
 * within an entry comes along, wherever it is kept. Throws unless the member keeps the collection.
 */
export async function handOn(context: Context, member: string, collection: string): Promise<CollectionFile> {
  const { db } = context;
  const row = await mustKeepIt(db, member, collection);
  const rights = await rightsFor(db, member);
  const all = await db.select().from(collections).where(isNull(collections.deletion));
  const inside = within(
    collection,
    all.filter(({ id }) => rights.has(id)),
  );
  const branches = treeBranches(all.filter(({ id }) => inside.has(id))).map(({ node }) => node);
  const rows = await db
    .select({ id: entries.id })
    .from(entries)
    .where(and(inArray(entries.collection, [...inside]), isNull(entries.deletion)))
    .orderBy(asc(entries.id));
  if (rows.length > MOST_HANDED_ON)
    throw new Refusal(
      'not-valid',
      `A file holds ${MOST_HANDED_ON.toLocaleString('en-GB')} entries, and here are ${rows.length.toLocaleString('en-GB')}. Save the collections inside it one by one.`,
    );
  const whole = await withIncluded(
    db,
    rows.map(({ id }) => id),
    (id) => rights.has(id),
  );
  await writeTrail(db, context.now(), {
    by: member,
    act: 'collection-handed-on',
    subject: row.name,
    detail: `${whole.length} entries`,
    collection,
  });
  return {
    format: 'elderleaf-collection',
    version: 1,
    collections: branches.map(
      ({ id, parent, name, leadIn, cueRules, cuesBy, kindsOfWork, language, titles }) => ({
        id,
        parent: id === collection ? null : parent,
        ...{ name, leadIn, cueRules, cuesBy, kindsOfWork, language },
        ...(titles && { titles }),
      }),
    ),
    entries: whole.map(({ id, collection: at, content }) => ({
      id,
      collection: inside.has(at) ? at : collection,
      content,
    })),
  };
}
