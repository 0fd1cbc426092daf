import type { Field } from './field';
import { namesUsedBy } from './fieldUses';

/**
 * The first ring of fields that need each other, as names from one to itself again; null when there is none. Both
 * calculations and words of options count: neither could ever be filled.
 */
export function fieldRing(fields: readonly Field[]): string[] | null {
  const byName = new Map(fields.map((field) => [field.name.toLocaleLowerCase(), field]));
  const done = new Set<string>();
  const walk = (field: Field, trail: readonly Field[]): string[] | null => {
    const at = trail.indexOf(field);
    if (at >= 0) return [...trail.slice(at), field].map(({ name }) => name);
    if (done.has(field.id)) return null;
    for (const name of namesUsedBy(field, fields)) {
      const next = byName.get(name.toLocaleLowerCase());
      const ring = next && walk(next, [...trail, field]);
      if (ring) return ring;
    }
    done.add(field.id);
    return null;
  };
  for (const field of fields) {
    const ring = walk(field, []);
    if (ring) return ring;
  }
  return null;
}
