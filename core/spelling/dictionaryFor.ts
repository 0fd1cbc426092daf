import { isOfLanguage } from '#core/terms';

/**
 * Which of the dictionaries that there are (BCP 47 tags) is asked about words of a language: its own, else one of the same language
 * where none of the two says for which region; null where there is none. American words are not held against a British dictionary.
 */
export const dictionaryFor = (language: string, dictionaries: readonly string[]): string | null =>
  dictionaries.find((one) => one.toLowerCase() === language.toLowerCase()) ??
  dictionaries.find((one) => isOfLanguage(one, language)) ??
  null;
