import { numberLanguage } from './ownWords';

const separators = new Map<string, { group: string; decimal: string }>();

function separatorsOf(language: string) {
  let found = separators.get(language);
  if (!found) {
    const parts = new Intl.NumberFormat(numberLanguage(language)).formatToParts(12_345.6);
    const of = (type: string) => parts.find((part) => part.type === type)?.value ?? '';
    separators.set(language, (found = { group: of('group'), decimal: of('decimal') || '.' }));
  }
  return found;
}

/**
 * A number as people type one in a language: 12, 12.5, 1,234.5, -3, .5; with the language's own signs, and a
 * decimal point everywhere. A unit typed behind it is taken off when it is the one given. Null when it is none.
 */
export function readNumber(typed: string, language: string, unit = ''): number | null {
  let text = typed.trim().replace(/[−–]/g, '-');
  if (unit !== '' && text.toLowerCase().endsWith(unit.toLowerCase()))
    text = text.slice(0, -unit.length).trim();
  const { group, decimal } = separatorsOf(language);
  // A space as a separator is any kind of space: nobody types a narrow one.
  if (/\s/.test(group)) text = text.replace(/(?<=\d)\s(?=\d{3})/g, '');
  else text = text.replace(new RegExp(`(?<=\\d)\\${group}(?=\\d{3}(?!\\d))`, 'g'), '');
  if (decimal !== '.') text = text.replace(decimal, '.');
  return /^-?(?:\d{1,15}(?:\.\d{1,10})?|\.\d{1,10})$/.test(text) ? Number(text) : null;
}
