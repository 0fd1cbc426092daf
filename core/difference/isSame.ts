import { canonical, type Passage } from '#core/passage';

const isPassage = (value: object): value is Passage => 'type' in value && value.type === 'doc';

/** As JSON whose keys stand in one order, its passages in canonical form: the same for all that are the same. */
export const writtenAlike = (value: unknown): string =>
  JSON.stringify(value, (_, one: unknown) => {
    if (one === null || typeof one !== 'object' || Array.isArray(one)) return one;
    // A draft says more than its words: what was answered, who it goes to.
    const plain = isPassage(one) ? { ...one, ...canonical(one) } : one;
    return Object.fromEntries(Object.entries(plain).sort(([a], [b]) => (a < b ? -1 : 1)));
  }) ?? '';

/** Whether two parts of an entry, or two drafts, are the same, whatever the order of their keys and wherever their passages come from. */
export const isSame = (one: unknown, other: unknown): boolean => writtenAlike(one) === writtenAlike(other);
