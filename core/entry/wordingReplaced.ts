import { mapLines, type Passage } from '#core/passage';
import { withoutUnusedConditions } from './conditionsInUse';
import type { EntryContent, Wording } from './entry';
import type { Field } from './field';
import { fieldUses } from './fieldUses';
import { renameField } from './renameField';

/** The wordings that stand by themselves: all but those for what was said before, and for pages of others; all where there is no other. */
export function fullWordings({ wordings }: Pick<EntryContent, 'wordings'>): readonly Wording[] {
  const full = wordings.filter(({ short, onPage }) => !short && onPage === undefined);
  return full.length > 0 ? full : wordings;
}

/** Which wording words in a language take the place of: the first in that language, else the first. */
export const wordingFor = (content: EntryContent, language: string): Wording =>
  fullWordings(content).find((one) => one.language === language) ?? fullWordings(content)[0]!;

/** The wording that an entry has for what was said before, in a language or one of another region; null where it has none. */
export function shortWording({ wordings }: EntryContent, language: string): Wording | null {
  const primary = (tag: string) => tag.split('-')[0];
  const short = wordings.filter(
    (one) => one.short && one.onPage === undefined && primary(one.language) === primary(language),
  );
  return short.find((one) => one.language === language) ?? short[0] ?? null;
}

/** A name with the first number that makes it unlike those taken. */
function free(name: string, joined: string, taken: readonly string[]): string {
  const isTaken = (one: string) => taken.some((other) => other.toLowerCase() === one.toLowerCase());
  let number = 2;
  let found = name;
  for (; isTaken(found); number += 1) found = `${name}${joined}${number}`;
  return found;
}

/** The fields of an entry with others beside them: what is there already by name and kind is used as it is. */
function joined(own: readonly Field[], others: readonly Field[]) {
  const fields = [...own];
  let named = [...others];
  const idOf = new Map<string, string>();
  for (const { id } of others) {
    const field = named.find((one) => one.id === id)!;
    const alike = own.find(
      ({ name, kind }) => kind === field.kind && name.toLowerCase() === field.name.toLowerCase(),
    );
    if (alike) {
      idOf.set(id, alike.id);
      continue;
    }
    const ids = fields.map((one) => one.id);
    const names = [...fields, ...named.filter((one) => one.id !== id)].map(({ name }) => name);
    named = renameField(named, id, free(field.name, ' ', names));
    idOf.set(id, free(id, '-', ids));
    fields.push({ ...named.find((one) => one.id === id)!, id: idOf.get(id)! });
  }
  return { fields, idOf };
}

/**
 * An entry with words captured anew in place of the last part of one of its wordings: its title, cues, tags, other wordings and
 * other parts stay, and so do fields and conditions that something still uses. `gone` names the fields that nothing uses any more.
 */
export function wordingReplaced(
  content: EntryContent,
  wording: string,
  captured: { passage: Passage; fields: readonly Field[] },
): { content: EntryContent; gone: string[] } {
  const { fields, idOf } = joined(content.fields, captured.fields);
  const passage = mapLines(captured.passage, (line) =>
    line.map((inline) =>
      inline.type === 'blank'
        ? { ...inline, attrs: { ...inline.attrs, field: idOf.get(inline.attrs.field) ?? inline.attrs.field } }
        : inline,
    ),
  );
  const wordings = content.wordings.map((one) =>
    one.id === wording
      ? {
          ...one,
          parts: one.parts.map((part, at) => (at === one.parts.length - 1 ? { ...part, passage } : part)),
        }
      : one,
  );
  const isUsed = (uses: ReturnType<typeof fieldUses>, id: string) => {
    const { blanks, elsewhere } = uses.get(id) ?? { blanks: 0, elsewhere: 0 };
    return blanks + elsewhere > 0;
  };
  const before = fieldUses(content);
  let next = withoutUnusedConditions({ ...content, wordings, fields });
  // What one field alone asked for goes with it.
  for (;;) {
    const uses = fieldUses(next);
    const left = next.fields.filter(({ id }) => isUsed(uses, id) || !isUsed(before, id));
    if (left.length === next.fields.length) break;
    next = { ...next, fields: left };
  }
  const gone = content.fields.filter(({ id }) => !next.fields.some((one) => one.id === id));
  return { content: next, gone: gone.map(({ name }) => name) };
}
