/** What points back to a comment that said the same, by the language of its wording; the number is that of a paragraph. */
const WORDS: Record<string, (number: number) => string> = {
  en: (number) => `As in paragraph ${number}.`,
  cy: (number) => `Fel ym mharagraff ${number}.`,
  de: (number) => `Wie in Absatz ${number}.`,
  fr: (number) => `Comme au paragraphe ${number}.`,
  es: (number) => `Como en el párrafo ${number}.`,
  it: (number) => `Come al paragrafo ${number}.`,
  nl: (number) => `Zoals in alinea ${number}.`,
};

/** The words that point back to a comment in another paragraph; in English where the language is not known here. */
export function againWords(paragraph: number, language: string): string {
  const primary = language.toLowerCase().split('-')[0]!;
  return (WORDS[primary] ?? WORDS.en!)(paragraph);
}
