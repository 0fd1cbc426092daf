import { keyCueProblem, keyCueProblemInWords } from '#core/cue';
import { formulaErrorInWords } from '#core/formula';
import { isEmptyPassage, linesOf, type Passage } from '#core/passage';
import { fieldsOfCondition } from './condition';
import { fieldRing } from './fieldRing';
import { formulaProblem } from './formulaProblem';
import type { EntryContent } from './entry';

/** Something wrong with an entry: a code, the place as a path into its content, and the words for people. */
export interface EntryProblem {
  code:
    | 'wording-empty'
    | 'field-unknown'
    | 'field-name-twice'
    | 'field-id-twice'
    | 'cue-twice'
    | 'cue-unusable'
    | 'condition-unknown'
    | 'formula'
    | 'ring'
    | 'draft-only';
  place: (string | number)[];
  message: string;
}

function repeated(values: string[]): number[] {
  return values.flatMap((value, index) => (values.indexOf(value) < index ? [index] : []));
}

/** What only drafts hold has no meaning in a wording: boxes, and words folded away. */
function hasDraftOnly(passage: Passage): boolean {
  const hasFold = linesOf(passage).some((line) => line.some(({ type }) => type === 'folded'));
  return hasFold || passage.content.some(({ type }) => type === 'box');
}

function conditionProblems(content: EntryContent, known: ReadonlySet<string>): EntryProblem[] {
  return (content.conditions ?? []).flatMap(({ when }, index) =>
    fieldsOfCondition(when)
      .filter((field) => !known.has(field))
      .map((field): EntryProblem => ({
        code: 'field-unknown',
        place: ['conditions', index],
        message: `A condition asks for “${field}”, which is not among the fields of this entry.`,
      })),
  );
}

/** Formulas that cannot be read, and fields that need each other in a ring. */
function fieldProblems({ fields }: EntryContent): EntryProblem[] {
  const formulas = fields.flatMap((field, index): EntryProblem[] => {
    const error = field.kind === 'computed' ? formulaProblem(field, fields) : null;
    if (!error) return [];
    return [
      {
        code: 'formula',
        place: ['fields', index, 'calculation'],
        message: `How “${field.name}” is worked out: ${formulaErrorInWords(error)} (at character ${error.from + 1})`,
      },
    ];
  });
  const ring = fieldRing(fields);
  if (!ring) return formulas;
  const message = `These fields need each other, so that none of them can be filled: ${ring.join(' → ')}.`;
  return [...formulas, { code: 'ring', place: ['fields'], message }];
}

function wordingProblems(content: EntryContent): EntryProblem[] {
  const known = new Set(content.fields.map((field) => field.id));
  return content.wordings.flatMap((wording, w) => {
    const place = ['wordings', w];
    const blanks = wording.parts
      .flatMap((part) => linesOf(part.passage).flat())
      .filter((i) => i.type === 'blank');
    const conditions = new Set((content.conditions ?? []).map(({ id }) => id));
    const inlines = wording.parts.flatMap((part) => linesOf(part.passage).flat());
    const lost = inlines
      .flatMap(({ marks = [] }) => marks)
      .find(
        (mark) =>
          mark.type === 'when' &&
          !mark.attrs.condition.includes('~') &&
          !conditions.has(mark.attrs.condition),
      );
    const unknown = blanks.filter((blank) => !known.has(blank.attrs.field));
    const problems: EntryProblem[] = unknown.map((blank) => ({
      code: 'field-unknown',
      place,
      message: `A blank asks for “${blank.attrs.field}”, which is not among the fields of this entry.`,
    }));
    if (lost) {
      problems.push({
        code: 'condition-unknown',
        place,
        message: 'An optional passage has lost its condition: set it again.',
      });
    }
    if (wording.parts.some((part) => hasDraftOnly(part.passage))) {
      problems.push({
        code: 'draft-only',
        place,
        message: 'A wording cannot hold a box or folded words of a draft: copy the words themselves.',
      });
    }
    if (wording.parts.every((part) => isEmptyPassage(part.passage))) {
      problems.push({
        code: 'wording-empty',
        place,
        message: 'There is no wording yet: write what the entry should say.',
      });
    }
    return problems;
  });
}

/**
 * What is wrong with an entry beyond its shape: empty wordings, blanks without a field, names or cues said
 * twice, formulas and conditions that cannot work. An empty list when it may be kept.
 */
export function checkEntry(content: EntryContent): EntryProblem[] {
  const names = repeated(content.fields.map((field) => field.name.toLocaleLowerCase()));
  const ids = repeated(content.fields.map((field) => field.id));
  const cues = repeated(content.cues.map((cue) => cue.text));
  return [
    ...wordingProblems(content),
    ...conditionProblems(content, new Set(content.fields.map(({ id }) => id))),
    ...fieldProblems(content),
    ...names.map((index): EntryProblem => ({
      code: 'field-name-twice',
      place: ['fields', index, 'name'],
      message: `Two fields are called “${content.fields[index]!.name}”: give one of them another name.`,
    })),
    ...ids.map((index): EntryProblem => ({
      code: 'field-id-twice',
      place: ['fields', index, 'id'],
      message: `Two fields share the id ${content.fields[index]!.id}.`,
    })),
    ...content.cues.flatMap((cue, index): EntryProblem[] => {
      const keys = cue.as === 'keys' ? keyCueProblem(cue.text) : null;
      if (!keys) return [];
      const message = `The keys ${cue.text} cannot be a cue. ${keyCueProblemInWords(keys)}`;
      return [{ code: 'cue-unusable', place: ['cues', index, 'text'], message }];
    }),
    ...cues.map((index): EntryProblem => ({
      code: 'cue-twice',
      place: ['cues', index],
      message: `The cue ${content.cues[index]!.text} is in this entry twice.`,
    })),
  ];
}
