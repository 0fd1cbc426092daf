/** Languages that wordings are offered in, as BCP 47 tags; any other that an entry has is kept. */
export const LANGUAGES: readonly string[] = [
  'en-GB',
  'en-US',
  'cy',
  'ga',
  'de',
  'fr',
  'es',
  'it',
  'nl',
  'pl',
  'pt',
  'ro',
  'uk',
];

/** A language by its own name, with its tag where the browser has no name for it. */
export function languageName(tag: string): string {
  try {
    return new Intl.DisplayNames([tag], { type: 'language' }).of(tag) ?? tag;
  } catch {
    return tag;
  }
}
