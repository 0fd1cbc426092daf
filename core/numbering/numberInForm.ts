import { numberWords } from '#core/language';
import type { NumberForm } from '#core/passage';

const ROMAN: readonly [number, string][] = [
  [1000, 'm'],
  [900, 'cm'],
  [500, 'd'],
  [400, 'cd'],
  [100, 'c'],
  [90, 'xc'],
  [50, 'l'],
  [40, 'xl'],
  [10, 'x'],
  [9, 'ix'],
  [5, 'v'],
  [4, 'iv'],
  [1, 'i'],
];

/** Roman numerals reach to 3999; beyond, figures are clearer than any extension of them. */
function roman(value: number): string {
  if (value > 3999) return String(value);
  let left = value;
  let written = '';
  for (const [worth, letters] of ROMAN) {
    while (left >= worth) {
      written += letters;
      left -= worth;
    }
  }
  return written;
}

/** a to z, then aa, ab ...: figures of base 26 without a nought. */
function letters(value: number): string {
  let written = '';
  for (let left = value; left > 0; left = Math.floor((left - 1) / 26))
    written = String.fromCharCode(97 + ((left - 1) % 26)) + written;
  return written;
}

/** The number of an item in a list, from 1, as the list writes its numbers. Words are English. */
export function numberInForm(value: number, form: NumberForm): string {
  switch (form) {
    case '1':
      return String(value);
    case '01':
      return String(value).padStart(2, '0');
    case 'a':
      return letters(value);
    case 'A':
      return letters(value).toUpperCase();
    case 'i':
      return roman(value);
    case 'I':
      return roman(value).toUpperCase();
    case 'one':
      return numberWords(value, 'en') ?? String(value);
    case 'One':
      return (numberWords(value, 'en') ?? String(value)).replace(/^./, (first) => first.toUpperCase());
  }
}
