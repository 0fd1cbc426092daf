import { emptyRecord, type CaseRecord, type HistoryItem, type HistoryListId } from '#core/record';
import { follow, ofType, type PlacedResource, type TakenApart } from './bundle';
import type { Fault } from './fault';
import type { LeftOut, WhyLeftOut } from './leftOut';
import type { Reference, ResourceType } from './resources';
import { nameInWords } from './words';

/** The record of one patient while it is read: what is known so far, and what is about this patient. */
export class RecordReading {
  readonly record: CaseRecord = emptyRecord();
  /** Keys of what its source says was entered in error. */
  readonly withdrawn: string[] = [];

  /** @param own what is about this patient, of all types */
  constructor(
    readonly taken: TakenApart,
    private readonly own: readonly PlacedResource[],
    readonly faults: Fault[],
    private readonly leftOut: LeftOut,
  ) {}

  /** This patient's resources of a type, in the order of the files. */
  ofType<T extends ResourceType>(type: T): PlacedResource<T>[] {
    return ofType({ all: this.own as PlacedResource[] }, type);
  }

  /**
   * What a source calls a resource, to know it again; undefined for one without an id. By its address where it has one: two systems may
   * both have an Observation/1. A `urn:uuid` is made anew for each Bundle, and names nothing.
   */
  keyOf({ resource, fullUrl }: PlacedResource): string | undefined {
    if (fullUrl && /^https?:/.test(fullUrl)) return fullUrl.slice(0, 280);
    return resource.id ? `${resource.resourceType}/${resource.id}`.slice(0, 280) : undefined;
  }

  /** Counts a resource of a type that is not taken. */
  readonly leaving =
    (type: string) =>
    (why: WhyLeftOut): void =>
      this.leftOut.add(type, why);

  /** Notes that a resource was entered in error: what came of it earlier is taken back. */
  withdraw(placed: PlacedResource): void {
    this.leftOut.add(placed.resource.resourceType, 'in-error');
    const key = this.keyOf(placed);
    if (key) this.withdrawn.push(key);
  }

  /** Adds an item to a list of the history. */
  add(list: HistoryListId, item: HistoryItem): void {
    (this.record[list] ??= []).push(item);
  }
}

/** Who is meant by a reference: the name of the practitioner it leads to, else what it displays; null for nobody. */
export function nameInPlace(
  { taken }: RecordReading,
  reference: Reference | undefined,
  from: PlacedResource,
): string | null {
  const resource = follow(taken, reference, from)?.resource;
  const named = resource?.resourceType === 'Practitioner' ? nameInWords(resource.name) : null;
  return named ?? reference?.display ?? null;
}
