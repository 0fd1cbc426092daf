const ONES =
  'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
    ' ',
  );
const TENS = 'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ');

function belowThousand(value: number): string {
  if (value < 20) return ONES[value]!;
  if (value < 100) {
    const rest = value % 10;
    return TENS[Math.floor(value / 10) - 2]! + (rest ? `-${ONES[rest]}` : '');
  }
  const rest = value % 100;
  return `${ONES[Math.floor(value / 100)]} hundred${rest ? ` and ${belowThousand(rest)}` : ''}`;
}

/**
 * A whole number below a million in English words: "twelve", "one hundred and five". Null for others, and in
 * other languages: figures are right everywhere.
 */
export function numberWords(value: number, language: string): string | null {
  if (!/^en\b/.test(language) || !Number.isInteger(value) || Math.abs(value) >= 1_000_000) return null;
  if (value < 0) return `minus ${numberWords(-value, language)}`;
  if (value < 1000) return belowThousand(value);
  const rest = value % 1000;
  const thousands = `${belowThousand(Math.floor(value / 1000))} thousand`;
  if (rest === 0) return thousands;
  return `${thousands}${rest < 100 ? ' and' : ''} ${belowThousand(rest)}`;
}
