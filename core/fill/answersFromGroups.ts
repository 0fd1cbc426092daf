import type { Answers } from '#core/draft';
import type { Field } from '#core/entry';
import { folded } from '#core/glossary';
import { pickablesOf, picking } from './picking';
import { readAnswer, type Clock } from './readAnswer';

/** What a group of a pattern holds. A name is that of a field, its spaces as underscores. */
export interface PatternGroup {
  name: string | null;
  text: string | null;
}

const named = (name: string) => folded(name).replaceAll(' ', '_');

const ASKED = ['text', 'choice', 'date', 'time', 'number', 'yes-no'];

/**
 * The answers that the groups of a pattern give to an entry's fields: by name, or the groups without a name in order to
 * the fields that are asked, in theirs. What a field cannot take is left to be asked.
 */
export function answersFromGroups(
  fields: readonly Field[],
  groups: readonly PatternGroup[],
  clock: Clock,
  language: string,
): Answers {
  const asked = fields.filter(({ kind }) => ASKED.includes(kind));
  const answers: Answers = {};
  let next = 0;
  for (const { name, text } of groups) {
    const field = name === null ? asked[next++] : fields.find((one) => named(one.name) === named(name));
    if (!field || text === null || text.trim() === '') continue;
    const option = pickablesOf(field).find(({ label }) => folded(label) === folded(text.trim()));
    const { answer, problem } = readAnswer(field, text, clock, language);
    const given = option ? picking(field, undefined, option.id) : problem?.unread ? null : answer;
    if (given) answers[field.id] = given;
  }
  return answers;
}
