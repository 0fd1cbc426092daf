/** Words whose first sound is not what their first letter promises; as beginnings, in lower case. */
const SILENT_H = /^(?:heir|hono|honest|hour|herb(?!iv))/;
const SOUNDS_LIKE_YOU = /^(?:eu|ew|one(?![a-z])|once|u(?:ni(?!n|m)|s[aeiu]|ri|te|ti|bi|ku|ro))/;
/** Letters whose own name begins with a vowel: an MRI, a UV lamp. */
const LETTER_NAMES = 'AEFHILMNORSX';

/**
 * Whether English puts "an" before these words: by the sound of the first one, be it a word, a number (an 8)
 * or letters said one by one (an MRI).
 */
function wantsAn(words: string): boolean {
  const first = /^[^\p{L}\p{N}]*([\p{L}\p{N}]+)/u.exec(words)?.[1] ?? '';
  if (/^\d/.test(first)) return /^(?:8|11(?!\d)|18(?!\d)|1[18]\d{3}(?!\d))/.test(first);
  if (first !== '' && first === first.toUpperCase()) return LETTER_NAMES.includes(first.charAt(0));
  const lower = first.toLowerCase();
  if (SILENT_H.test(lower)) return true;
  return /^[aeiou]/.test(lower) && !SOUNDS_LIKE_YOU.test(lower);
}

/** Words with "a" or "an" before them, in English; as they are in any other language, and when there are none. */
export function withArticle(words: string, language: string): string {
  if (words === '' || !/^en\b/.test(language)) return words;
  return `${wantsAn(words) ? 'an' : 'a'} ${words}`;
}
