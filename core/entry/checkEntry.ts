import { isEmptyPassage, linesOf } from '#core/passage';
import type { EntryContent } from './entry';

/** Something wrong with an entry: a code, the place as a path into its content, and the words for people. */
export interface EntryProblem {
  code: 'wording-empty' | 'field-unknown' | 'field-name-twice' | 'field-id-twice' | 'cue-twice';
  place: (string | number)[];
  message: string;
}

function repeated(values: string[]): number[] {
  return values.flatMap((value, index) => (values.indexOf(value) < index ? [index] : []));
}

function wordingProblems(content: EntryContent): EntryProblem[] {
  const known = new Set(content.fields.map((field) => field.id));
  return content.wordings.flatMap((wording, w) => {
    const place = ['wordings', w];
    const blanks = wording.parts
      .flatMap((part) => linesOf(part.passage).flat())
      .filter((i) => i.type === 'blank');
    const unknown = blanks.filter((blank) => !known.has(blank.attrs.field));
    const problems: EntryProblem[] = unknown.map((blank) => ({
      code: 'field-unknown',
      place,
      message: `A blank asks for “${blank.attrs.field}”, which is not among the fields of this entry.`,
    }));
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
 * twice. An empty list when it may be kept.
 */
export function checkEntry(content: EntryContent): EntryProblem[] {
  const names = repeated(content.fields.map((field) => field.name.toLocaleLowerCase()));
  const ids = repeated(content.fields.map((field) => field.id));
  const cues = repeated(content.cues.map((cue) => cue.text));
  return [
    ...wordingProblems(content),
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
    ...cues.map((index): EntryProblem => ({
      code: 'cue-twice',
      place: ['cues', index],
      message: `The cue ${content.cues[index]!.text} stands twice in this entry.`,
    })),
  ];
}
