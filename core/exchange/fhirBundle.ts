import type { z } from 'zod';
import type { Fault } from './fault';
import {
  BundleSchema,
  RESOURCES,
  type AnyResource,
  type Concept,
  type HumanName,
  type Reference,
  type Resource,
  type ResourceType,
} from './fhirResources';

/** A resource of a Bundle that had the right shape, with its place for messages. */
export interface Placed<T extends ResourceType = ResourceType> {
  place: string;
  fullUrl: string | undefined;
  resource: Resource<T>;
}

/** A Bundle taken apart: its resources by type, what was wrong and what was passed over. */
export interface TakenApart {
  all: Placed[];
  faults: Fault[];
  skipped: Map<string, number>;
}

const dotted = (path: PropertyKey[]) =>
  path.map((key) => (typeof key === 'number' ? `[${key}]` : `.${String(key)}`)).join('');

function faultsOf(error: z.ZodError, place: string): Fault[] {
  return error.issues.map((issue) => ({ place: place + dotted(issue.path), message: issue.message }));
}

/** Takes an unchecked value apart into resources of known types; never throws. */
export function takeApart(value: unknown): TakenApart {
  const taken: TakenApart = { all: [], faults: [], skipped: new Map() };
  const bundle = BundleSchema.safeParse(value);
  if (!bundle.success) return { ...taken, faults: faultsOf(bundle.error, 'Bundle') };
  bundle.data.entry.forEach(({ fullUrl, resource }, index) => {
    const type = resource.resourceType;
    const place = `Bundle.entry[${index}].resource`;
    if (!Object.hasOwn(RESOURCES, type)) {
      taken.skipped.set(type, (taken.skipped.get(type) ?? 0) + 1);
      return;
    }
    const parsed = RESOURCES[type as ResourceType].safeParse(resource);
    if (parsed.success) taken.all.push({ place, fullUrl, resource: parsed.data });
    else taken.faults.push(...faultsOf(parsed.error, `${place} (${type})`));
  });
  return taken;
}

/** The resources of one type, in the Bundle's order. */
export function ofType<T extends ResourceType>(taken: TakenApart, type: T): Placed<T>[] {
  return taken.all.filter((placed) => placed.resource.resourceType === type);
}

/** The resource a reference leads to within the Bundle: by full URL, or by type and id. Null when it leads out. */
export function follow(taken: TakenApart, reference: Reference | undefined): AnyResource | null {
  const target = reference?.reference;
  if (!target) return null;
  const found = taken.all.find(({ fullUrl, resource }) => {
    const local = resource.id ? `${resource.resourceType}/${resource.id}` : null;
    return fullUrl === target || local === target || (local !== null && target.endsWith(`/${local}`));
  });
  return found?.resource ?? null;
}

/** The words for a coded concept: its text, else a display, else a code. */
export function wordsFor(concept: Concept | undefined): string | null {
  const coded = concept?.coding?.find((coding) => coding.display) ?? concept?.coding?.[0];
  return concept?.text ?? coded?.display ?? coded?.code ?? null;
}

/** A person's or animal's name in one line, or null when there is none. */
export function nameInWords(names: HumanName[] | undefined): string | null {
  const name = names?.[0];
  const parts = [...(name?.prefix ?? []), ...(name?.given ?? []), name?.family ?? ''];
  return name?.text ?? (parts.filter(Boolean).join(' ') || null);
}
