import {
  NEVER_ASKED,
  fieldsOfCondition,
  formulaOf,
  nestedBlanks,
  nestedWordsOf,
  type EntryContent,
  type Field,
} from '#core/entry';
import { namesIn, readFormula } from '#core/formula';
import { linesOf, mapLines, type BlankInline, type Inline, type Mark, type Passage } from '#core/passage';
import { findField } from './knowledge';

/** The fields that a computed field works with, through other computed ones too. */
export function workedFrom(field: Field, fields: readonly Field[], seen = new Set<string>()): Field[] {
  if (field.kind !== 'computed') return [field];
  if (seen.has(field.id)) return [];
  seen.add(field.id);
  const nameOf = (id: string) => findField(fields, id)?.name ?? id;
  const read = readFormula(formulaOf(field.calculation, nameOf));
  if (!read.ok) return [];
  return namesIn(read.value).flatMap(({ name }) => {
    const found = findField(fields, name);
    return found ? workedFrom(found, fields, seen) : [];
  });
}

const silent = (field: string, marks: Mark[]): BlankInline => ({
  type: 'blank',
  attrs: { field, form: 'silent', placement: null, text: '', state: 'gap', dropped: 'none' },
  ...(marks.length > 0 ? { marks } : {}),
});

/** Puts questions into a wording for what it needs but has no blank for. */
class Asking {
  private readonly asked: Set<string>;

  constructor(
    private readonly content: EntryContent,
    passages: readonly Passage[],
  ) {
    const inlines = passages.flatMap((passage) => linesOf(passage).flat());
    this.asked = new Set(
      inlines.flatMap((inline) =>
        inline.type === 'blank' && !this.waitsForItself(inline) ? [inline.attrs.field] : [],
      ),
    );
  }

  /** The fields that the optional passages around an inline depend on. */
  private conditionFields(inline: Inline): string[] {
    return (inline.marks ?? []).flatMap((mark) => {
      if (mark.type !== 'when') return [];
      const named = this.content.conditions?.find(({ id }) => id === mark.attrs.condition);
      return named ? fieldsOfCondition(named.when) : [];
    });
  }

  /** True for a blank that stands only once it is answered: it could never be asked where it stands. */
  private waitsForItself(inline: BlankInline): boolean {
    return this.conditionFields(inline).includes(inline.attrs.field);
  }

  /** Silent blanks for those fields, and what they are worked from, that nothing has asked for yet. */
  private questions(ids: readonly string[], marks: Mark[]): BlankInline[] {
    const { fields } = this.content;
    const found = ids.flatMap((id) => {
      const field = findField(fields, id);
      return field ? workedFrom(field, fields) : [];
    });
    return found.flatMap((field) => {
      if (this.asked.has(field.id) || NEVER_ASKED.has(field.kind)) return [];
      this.asked.add(field.id);
      return [silent(field.id, marks)];
    });
  }

  /** For the conditions of an inline: asked before it, by whoever sees the passage around it. */
  private beforePassage(inline: Inline): Inline[] {
    const marks = inline.marks ?? [];
    return marks.flatMap((mark, at) => {
      if (mark.type !== 'when') return [];
      const named = this.content.conditions?.find(({ id }) => id === mark.attrs.condition);
      const outer = marks.filter((other, index) => other.type === 'when' && index < at);
      return named ? this.questions(fieldsOfCondition(named.when), outer) : [];
    });
  }

  /** For a blank: what it is worked from before it; what its words hold, behind it, each with its own answer. */
  private aroundBlank(inline: BlankInline): Inline[] {
    const field = findField(this.content.fields, inline.attrs.field);
    if (!field) return [inline];
    const when = (inline.marks ?? []).filter(({ type }) => type === 'when');
    const before = field.kind === 'computed' ? this.questions([field.id], when) : [];
    const behind = nestedWordsOf(field).flatMap(({ answer, words }) => {
      const nested = nestedBlanks(words).flatMap((piece) => ('field' in piece ? [piece.field] : []));
      const only: Mark[] =
        answer === null || answer.startsWith('~')
          ? []
          : [{ type: 'when', attrs: { condition: `${field.id}~${answer}`, placement: null } }];
      return nested.length > 0 ? this.questions(nested, [...when, ...only]) : [];
    });
    return [...before, inline, ...behind];
  }

  in(passage: Passage): Passage {
    return mapLines(passage, (line) => {
      const asking = line.flatMap((inline) => [
        ...this.beforePassage(inline),
        ...(inline.type === 'blank' ? this.aroundBlank(inline) : [inline]),
      ]);
      return asking.length === line.length ? line : asking;
    });
  }
}

const asking = new WeakMap<EntryContent, EntryContent>();

/**
 * An entry whose wordings ask for all they need: a field that only a condition, a formula or the words of an option
 * use gets a silent blank beside it, so that it is asked in the order of the text like any other. The same content,
 * where there is nothing to add.
 */
export function withQuestions(content: EntryContent): EntryContent {
  let made = asking.get(content);
  if (made) return made;
  const wordings = content.wordings.map((wording) => {
    const questions = new Asking(
      content,
      wording.parts.map(({ passage }) => passage),
    );
    const parts = wording.parts.map((part) => {
      const passage = questions.in(part.passage);
      return passage === part.passage ? part : { ...part, passage };
    });
    return parts.every((part, at) => part === wording.parts[at]) ? wording : { ...wording, parts };
  });
  const same = wordings.every((wording, at) => wording === content.wordings[at]);
  made = same ? content : { ...content, wordings };
  asking.set(content, made);
  return made;
}
