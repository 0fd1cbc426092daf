import type { Fault } from './fault';
import { isRead, issuesOf, LeftOut } from './leftOut';
import { BundleSchema, RESOURCES, type Reference, type Resource, type ResourceType } from './resources';

/** A file of a record system: its name, for messages, and what it holds: Bundles, or resources one by one. */
export interface FhirFile {
  name: string;
  values: readonly unknown[];
}

/** A resource that had the right shape, with its place for messages and the bundle it came in. */
export interface PlacedResource<T extends ResourceType = ResourceType> {
  place: string;
  fullUrl: string | undefined;
  bundle: number;
  resource: Resource<T>;
}

/** Files taken apart: their resources, what was wrong and what was left out. */
export interface TakenApart {
  all: PlacedResource[];
  faults: Fault[];
  leftOut: LeftOut;
  /** When each bundle was put together, where it says. */
  stamps: ReadonlyMap<number, string>;
  /** By full URL and by "Type/id", as references name them. */
  named: ReadonlyMap<string, readonly PlacedResource[]>;
}

type Loose = { resourceType: string; id?: string | undefined };

const isResource = (value: unknown): value is Loose =>
  typeof value === 'object' &&
  value !== null &&
  typeof (value as { resourceType?: unknown }).resourceType === 'string';

const NO_RESOURCE = 'this is not a FHIR resource: it has no resourceType';
/** After so many resources others get their turn. */
const A_TURN = 200;

class Taking {
  readonly all: PlacedResource[] = [];
  readonly faults: Fault[] = [];
  readonly leftOut = new LeftOut();
  readonly stamps = new Map<number, string>();
  private bundles = 0;

  *file({ name, values }: FhirFile): Generator<void> {
    const loose = this.bundles++;
    for (const [at, value] of values.entries()) {
      const place = name + (values.length > 1 ? `, line ${at + 1}` : '');
      if (!isResource(value)) this.faults.push({ place, message: NO_RESOURCE });
      else if (value.resourceType === 'Bundle') yield* this.bundle(value, place);
      else this.resource(value, { place, fullUrl: undefined, bundle: loose });
      if (at % A_TURN === 0) yield;
    }
  }

  private *bundle(value: unknown, place: string): Generator<void> {
    const bundle = this.bundles++;
    const read = BundleSchema.safeParse(value);
    if (!read.success) return void this.faults.push(...issuesOf(read.error, value, `${place}, Bundle`));
    if (read.data.timestamp) this.stamps.set(bundle, read.data.timestamp);
    for (const [at, { fullUrl, resource }] of read.data.entry.entries()) {
      const within = `${place}, Bundle.entry[${at}].resource`;
      if (resource?.resourceType === 'Bundle') yield* this.bundle(resource, within);
      else if (resource) this.resource(resource, { place: within, fullUrl, bundle });
      if (at % A_TURN === 0) yield;
    }
  }

  private resource(value: Loose, where: Omit<PlacedResource, 'resource'>): void {
    const { resourceType: type } = value;
    if (!isRead(type, RESOURCES)) return this.leftOut.add(type, 'not-read');
    const read = RESOURCES[type].safeParse(value);
    if (read.success) this.all.push({ ...where, resource: read.data });
    else this.faults.push(...issuesOf(read.error, value, `${where.place} (${type})`));
  }
}

const idOf = ({ resource }: PlacedResource): string | null =>
  resource.id ? `${resource.resourceType}/${resource.id}` : null;

/** By what a reference may name a resource. */
const namesOf = (placed: PlacedResource): string[] =>
  [placed.fullUrl, idOf(placed)].filter((name) => typeof name === 'string');

/** Of several versions of one resource, as a history holds them, the newest; where they tell no time, the first. */
function newestOnly(all: readonly PlacedResource[], leftOut: LeftOut): PlacedResource[] {
  const newest = new Map<string, PlacedResource>();
  const isNewer = (a: PlacedResource, b: PlacedResource) =>
    (a.resource.meta?.lastUpdated ?? '') > (b.resource.meta?.lastUpdated ?? '');
  for (const placed of all) {
    const name = `${placed.bundle} ${idOf(placed) ?? placed.place}`;
    const other = newest.get(name);
    if (other) leftOut.add(placed.resource.resourceType, 'older');
    if (!other || isNewer(placed, other)) newest.set(name, placed);
  }
  return [...newest.values()];
}

/** Takes unchecked files apart into resources of known types, and yields now and then; never throws. */
export function* takingApart(files: readonly FhirFile[]): Generator<void, TakenApart> {
  const taking = new Taking();
  for (const file of files) yield* taking.file(file);
  const all = newestOnly(taking.all, taking.leftOut);
  const named = new Map<string, PlacedResource[]>();
  for (const placed of all)
    for (const name of namesOf(placed)) {
      const others = named.get(name);
      if (others) others.push(placed);
      else named.set(name, [placed]);
    }
  const { faults, leftOut, stamps } = taking;
  return { all, faults, leftOut, stamps, named };
}

/** The resources of one type, in the order of the files. */
export function ofType<T extends ResourceType>(
  { all }: Pick<TakenApart, 'all'>,
  type: T,
): PlacedResource<T>[] {
  return all.filter((placed): placed is PlacedResource<T> => placed.resource.resourceType === type);
}

/** The part of a URL that names a resource on any server: "Patient/12" of "https://…/Patient/12". */
const localName = (target: string): string | undefined => /[A-Za-z]+\/[^/]+$/.exec(target)?.[0];

/**
 * The resource a reference leads to: by full URL, by type and id, or within the resource itself (`#id`). In the same Bundle first: two
 * record systems may both have a Patient/1. Null when it leads out, or could mean two.
 */
export function follow(
  { named }: Pick<TakenApart, 'named'>,
  reference: Reference | undefined,
  from: PlacedResource,
): PlacedResource | null {
  const target = reference?.reference;
  if (!target) return null;
  if (target.startsWith('#')) return containedIn(from, target.slice(1));
  const found = named.get(target) ?? named.get(localName(target) ?? '') ?? [];
  const near = found.filter(({ bundle }) => bundle === from.bundle);
  const [only, ...others] = near.length > 0 ? near : found;
  return only && others.length === 0 ? only : null;
}

/** A resource within another, by its id there. */
function containedIn(from: PlacedResource, id: string): PlacedResource | null {
  const inside = from.resource.contained?.find((one) => one.id === id);
  if (!inside || !isRead(inside.resourceType, RESOURCES)) return null;
  const read = RESOURCES[inside.resourceType].safeParse(inside);
  if (!read.success) return null;
  return { ...from, fullUrl: undefined, resource: read.data };
}
