/** Names of languages that browsers bring no data for. */
const OWN_NAMES: Readonly<Record<string, string>> = { cymraeg: 'cy', gaeilge: 'ga' };

const primary = (tag: string) => tag.toLowerCase().split('-')[0]!;

// A table asks for the same few once for each of its rows.
const known = new Map<string, readonly string[]>();

/** What a language is called by itself and in English, in lower case. */
function namesOf(tag: string): readonly string[] {
  const before = known.get(tag);
  if (before) return before;
  const names = ['en', tag].flatMap((speaker) => {
    try {
      const name = new Intl.DisplayNames(speaker, { type: 'language' }).of(primary(tag));
      return name ? [name.toLocaleLowerCase()] : [];
    } catch {
      // A tag that is none has no name.
      return [];
    }
  });
  known.set(tag, names);
  return names;
}

/**
 * The tag (BCP 47) of a language as a table names it: by its tag, or in words ("Welsh", "Deutsch"). What is not known is given back as it is.
 * @param tags those that wordings are in
 */
export function tagOfLanguage(words: string, tags: readonly string[]): string {
  const said = words.trim().toLocaleLowerCase();
  const wanted = OWN_NAMES[said] ?? said;
  return (
    tags.find((tag) => tag.toLowerCase() === wanted || primary(tag) === primary(wanted)) ??
    tags.find((tag) => namesOf(tag).includes(wanted)) ??
    wanted
  );
}
