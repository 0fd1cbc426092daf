import { canonical, type Passage } from '#core/passage';

const isPassage = (value: object): value is Passage => 'type' in value && value.type === 'doc';

/** As JSON whose keys stand in one order, its passages in canonical form. */
const written = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) => {
    if (one === null || typeof one !== 'object' || Array.isArray(one)) return one;
    const plain = isPassage(one) ? canonical(one) : one;
    return Object.fromEntries(Object.entries(plain).sort(([a], [b]) => (a < b ? -1 : 1)));
  }) ?? '';

/** Whether two parts of an entry are the same, whatever the order of their keys and wherever their passages come from. */
export const isSame = (one: unknown, other: unknown): boolean => written(one) === written(other);
