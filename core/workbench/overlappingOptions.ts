import type { ChoiceField } from '#core/entry';

const NOTHING_WORDS = new Set([
  'a',
  'an',
  'the',
  'of',
  'and',
  'or',
  'to',
  'in',
  'on',
  'with',
  'is',
  'was',
  'it',
]);

/** The words of a label that carry its meaning, in lower case and without accents. */
function meaning(label: string): Set<string> {
  const plain = label.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase();
  const words = plain.match(/[\p{L}\p{N}]+/gu) ?? [];
  const carrying = words.filter((word) => !NOTHING_WORDS.has(word));
  return new Set(carrying.length > 0 ? carrying : words);
}

const holds = (all: ReadonlySet<string>, some: ReadonlySet<string>) =>
  some.size > 0 && [...some].every((word) => all.has(word));

/**
 * Pairs of options of which one says all that the other says ("mild" and "mild or moderate", "Ticks" and "ticks"): whoever
 * answers cannot tell which is meant. By their words alone, so a pair it does not tell of may still overlap.
 */
export function overlappingOptions({ options: all }: Pick<ChoiceField, 'options'>): [string, string][] {
  // One that is still being written says nothing.
  const options = all.filter(({ label }) => label.trim() !== '');
  const meanings = options.map(({ label }) => meaning(label));
  return options.flatMap((one, at) =>
    options.slice(at + 1).flatMap((other, index): [string, string][] => {
      const [a, b] = [meanings[at]!, meanings[at + 1 + index]!];
      // "no wound" is no part of "wound": a denial says the opposite.
      if (a.has('no') !== b.has('no') || a.has('not') !== b.has('not')) return [];
      return holds(a, b) || holds(b, a) ? [[one.label, other.label]] : [];
    }),
  );
}
