import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { rightsOf, type Grant, type Grantee, type CollectionPlace, type Right } from '#core/rights';
import { type Queries, prepared, collections, entries, grants, groupMembers, reachStamp } from '../db';
import { notFound, Refusal } from '../http';
import { entryThere } from './entryStatements';

type GrantRow = Pick<typeof grants.$inferSelect, 'collection' | 'member' | 'group' | 'right'>;

const place = { id: collections.id, parent: collections.parent, ownedBy: collections.ownedBy };

/** In the wastebasket, a collection is nobody's to see; only what is brought back from there asks for it. */
interface Asked {
  evenDeleted?: boolean;
}
const asked = ({ evenDeleted = false }: Asked) => (evenDeleted ? undefined : isNull(collections.deletion));

/** To whom a stored grant is. */
export function granteeOf({ member, group }: Pick<GrantRow, 'member' | 'group'>): Grantee {
  if (member !== null) return { kind: 'member', id: member };
  return group === null ? { kind: 'team' } : { kind: 'group', id: group };
}

const toGrant = (row: GrantRow): Grant => ({
  collection: row.collection,
  to: granteeOf(row),
  right: row.right,
});

const columns = {
  collection: grants.collection,
  member: grants.member,
  group: grants.group,
  right: grants.right,
};

/** A member with those of their groups that grants name; grants to other groups must not be among these. */
const personOf = (member: string, granted: readonly Grant[]) => ({
  id: member,
  groups: new Set(granted.flatMap(({ to }) => (to.kind === 'group' ? [to.id] : []))),
});

/** What a member may see was worked out from: all that is granted to them, by name, by a group or as to all, and where. */
interface Basis {
  stamp: string;
  places: [id: string, parent: string | null, ownedBy: string | null][] | null;
  grants: [collection: string, member: string | null, group: string | null, right: Grant['right']][] | null;
}

/** Read in one statement, so that it is all of one moment; the stamp is another whenever any of it is. */
async function basisOf(db: Queries, member: string, how: Asked): Promise<Basis> {
  const { rows } = (await db.execute(sql`
    select
      (select stamp from reach_stamp) as stamp,
      (select json_agg(json_build_array(id, parent, owned_by)) from ${collections}
        where (owned_by is null or owned_by = ${member}) and ${asked(how) ?? sql`true`}) as places,
      (select json_agg(json_build_array(collection, member, group_id, "right")) from ${grants}
        where member = ${member} or (member is null and group_id is null)
          or group_id in (select group_id from ${groupMembers} where member = ${member})) as grants`)) as {
    rows: Basis[];
  };
  return rows[0]!;
}

function workedOut(member: string, { places, grants: granted }: Basis): Map<string, Right> {
  const all = (granted ?? []).map(([collection, to, group, right]) =>
    toGrant({ collection, member: to, group, right }),
  );
  const where = (places ?? []).map(([id, parent, ownedBy]) => ({ id, parent, ownedBy }));
  return rightsOf(personOf(member, all), where, all);
}

const stampNow = prepared((db) => db.select().from(reachStamp).prepare('stamp_now'));

/** What was worked out for those who asked last, with the stamp it is good for. */
const known = new Map<string, { stamp: string; rights: ReadonlyMap<string, Right> }>();
const MOST_KNOWN = 200;

/** Everything a member may see, by collection, with what they may do there. Worked out once for as long as nothing changes. */
export async function rightsFor(
  db: Queries,
  member: string,
  how: Asked = {},
): Promise<ReadonlyMap<string, Right>> {
  if (how.evenDeleted) return workedOut(member, await basisOf(db, member, how));
  const [now] = await stampNow(db).execute();
  return rightsAt(db, member, now?.stamp);
}

/** The same for who has read the stamp that it is good for, with something else. */
export async function rightsAt(
  db: Queries,
  member: string,
  stamp: string | undefined,
): Promise<ReadonlyMap<string, Right>> {
  const before = known.get(member);
  known.delete(member);
  if (before && before.stamp === stamp) {
    known.set(member, before);
    return before.rights;
  }
  const basis = await basisOf(db, member, {});
  const rights = workedOut(member, basis);
  known.set(member, { stamp: basis.stamp, rights });
  // The one who has not asked for longest goes.
  if (known.size > MOST_KNOWN) known.delete(known.keys().next().value!);
  return rights;
}

/** A collection and all around it; without itself when it is deleted, empty when there is none of that id. */
export const wayUp = (db: Queries, collection: string): Promise<CollectionPlace[]> =>
  db
    .select(place)
    .from(collections)
    .where(
      sql`${collections.deletion} is null and ${collections.id} in (
        with recursive up(id, parent) as (
          select id, parent from collections where id = ${collection}
          union select around.id, around.parent from collections around join up on around.id = up.parent
        ) select id from up)`,
    );

/** What a member may do in a collection; null when it does not exist for them. */
export const rightOn = async (db: Queries, member: string, collection: string): Promise<Right | null> =>
  (await rightsFor(db, member)).get(collection) ?? null;

/** Those of some members who may see a collection, each with what they may do there. */
export async function rightsAmong(
  db: Queries,
  members: readonly string[],
  collection: string,
): Promise<Map<string, Right>> {
  if (members.length === 0) return new Map();
  const [now] = await stampNow(db).execute();
  // Of nearly all who listen it is known: they ask for what they hear of.
  const worked = members.map((id) => ({ id, before: known.get(id) }));
  const found = worked.flatMap(({ id, before }) => {
    const right = before?.stamp === now?.stamp ? before?.rights.get(collection) : undefined;
    return right ? [[id, right] as const] : [];
  });
  const unknown = worked.flatMap(({ id, before }) => (before && before.stamp === now?.stamp ? [] : [id]));
  return new Map([...found, ...(await askedAmong(db, unknown, collection))]);
}

/** The same of members of whom nothing is known, however many they are, in three questions. */
async function askedAmong(
  db: Queries,
  members: readonly string[],
  collection: string,
): Promise<Map<string, Right>> {
  if (members.length === 0) return new Map();
  const way = await wayUp(db, collection);
  if (way.length === 0) return new Map();
  const ids = way.map(({ id }) => id);
  const all = (await db.select(columns).from(grants).where(inArray(grants.collection, ids))).map(toGrant);
  const belonging = await db
    .select()
    .from(groupMembers)
    .where(inArray(groupMembers.member, [...members]));
  return new Map(
    members.flatMap((id) => {
      const own = belonging.filter(({ member }) => member === id).map(({ group }) => group);
      const right = rightsOf({ id, groups: new Set(own) }, way, all).get(collection);
      return right ? [[id, right] as const] : [];
    }),
  );
}

/** Throws as for something that is not there, unless the member may see the collection. */
export async function mustRead(db: Queries, member: string, collection: string): Promise<void> {
  if ((await rightOn(db, member, collection)) === null) throw notFound();
}

function mustBeKeeper(right: Right | null): void {
  if (right === null) throw notFound();
  if (right !== 'keep') {
    throw new Refusal(
      'not-allowed',
      'Only its keepers change this collection. Save the entry in your own wording instead.',
    );
  }
}

/** Throws unless the member may keep entries in the collection; what they may not see is not found. */
export async function mustKeep(db: Queries, member: string, collection: string): Promise<void> {
  mustBeKeeper(await rightOn(db, member, collection));
}

/** The same of each of some collections. */
export async function mustKeepAll(db: Queries, member: string, all: readonly string[]): Promise<void> {
  if (all.length === 0) return;
  const rights = await rightsFor(db, member);
  for (const collection of all) mustBeKeeper(rights.get(collection) ?? null);
}

/** Those of some entries that the member may see, by id, each with the owner of its collection (null: shared). */
export async function visibleEntries(db: Queries, member: string, ids: readonly string[]) {
  const rights = await rightsFor(db, member);
  const rows = await db
    .select({ entry: entries, ownedBy: collections.ownedBy })
    .from(entries)
    .innerJoin(collections, eq(collections.id, entries.collection))
    .where(and(inArray(entries.id, [...ids]), isNull(entries.deletion)));
  const visible = rows.filter(({ entry }) => rights.has(entry.collection));
  return new Map(visible.map(({ entry, ownedBy }) => [entry.id, { ...entry, ownedBy }]));
}

/** The entry, if the member keeps its collection; throws as `visibleEntry` and `mustKeep` do. */
export async function keptEntry(db: Queries, member: string, id: string) {
  const [entry] = await entryThere(db).execute({ id });
  mustBeKeeper(entry ? await rightOn(db, member, entry.collection) : null);
  return entry!;
}

/** The entry, if the member may see it; throws the same refusal for "not there" and "not yours". */
export async function visibleEntry(db: Queries, member: string, id: string) {
  const [entry] = await entryThere(db).execute({ id });
  if (!entry || (await rightOn(db, member, entry.collection)) === null) throw notFound();
  return entry;
}
