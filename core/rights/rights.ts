import { z } from 'zod';
import { grouped } from './grouped';

/** A right on a collection: to read, to contribute, or to keep it. */
export const RightSchema = z.enum(['read', 'contribute', 'keep']);
/** What someone may do in a collection: use its wording, propose changes to it, or change it. */
export type Right = z.infer<typeof RightSchema>;

/** To whom something is granted: one member, a group, or the whole team. */
export const GranteeSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('member'), id: z.string().min(1).max(60) }),
  z.object({ kind: z.literal('group'), id: z.string().min(1).max(60) }),
  z.object({ kind: z.literal('team') }),
]);
export type Grantee = z.infer<typeof GranteeSchema>;

/** What is granted at a collection; `none` takes away what the collections around it grant. */
export interface Grant {
  collection: string;
  to: Grantee;
  right: Right | 'none';
}

/** A collection's place: within another or none, and whose alone it is, if it is someone's own. */
export interface CollectionPlace {
  id: string;
  parent: string | null;
  ownedBy: string | null;
}

/** Someone whose rights are asked for, with the groups they belong to. */
export interface RightsHolder {
  id: string;
  groups: ReadonlySet<string>;
}

const RANK = { none: 0, read: 1, contribute: 2, keep: 3 } as const;
type Level = keyof typeof RANK;

/** What one collection itself grants a person; null where it says nothing of them. Their own name outweighs groups and team. */
function grantedAt(person: RightsHolder, grants: readonly Grant[]): Level | null {
  let shared: Level | null = null;
  for (const { to, right } of grants) {
    if (to.kind === 'member') {
      if (to.id === person.id) return right;
      continue;
    }
    if (to.kind === 'group' && !person.groups.has(to.id)) continue;
    if (shared === null || RANK[right] > RANK[shared]) shared = right;
  }
  return shared;
}

/**
 * The rights of a person on each of the given collections; those they have none on are left out. Rights pass down:
 * what a collection grants holds within it, until a collection further in grants the same person something else. Whoever
 * keeps a collection keeps all within it, so that none is ever out of everyone's hands. What is someone's own is theirs
 * alone. Collections around one must be given with it. Takes time in proportion to collections and grants.
 */
export function rightsOf(
  person: RightsHolder,
  places: readonly CollectionPlace[],
  grants: readonly Grant[],
): Map<string, Right> {
  const byId = new Map(places.map((place) => [place.id, place]));
  const at = grouped(grants, ({ collection }) => collection);
  const levels = new Map<string, Level>();
  const levelOf = (place: CollectionPlace): Level => {
    const known = levels.get(place.id);
    if (known !== undefined) return known;
    // Against rings, which no one may make: a collection met again grants nothing.
    levels.set(place.id, 'none');
    const level = worked(place);
    levels.set(place.id, level);
    return level;
  };
  const worked = (place: CollectionPlace): Level => {
    if (place.ownedBy !== null) return place.ownedBy === person.id ? 'keep' : 'none';
    const parent = place.parent === null ? undefined : byId.get(place.parent);
    const passed = parent ? levelOf(parent) : 'none';
    if (passed === 'keep') return 'keep';
    return grantedAt(person, at.get(place.id) ?? []) ?? passed;
  };
  const rights = new Map<string, Right>();
  for (const place of places) {
    const level = levelOf(place);
    if (level !== 'none') rights.set(place.id, level);
  }
  return rights;
}
