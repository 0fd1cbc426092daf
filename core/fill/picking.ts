import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';

/** Something that can be picked as an answer, instead of being typed. */
export interface Pickable {
  id: string;
  label: string;
}

const YES_NO: readonly Pickable[] = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no' },
];

/** What a field's answer is picked from; none for fields whose answer is typed. */
export function pickablesOf(field: Field): readonly Pickable[] {
  if (field.kind === 'choice') return field.options;
  return field.kind === 'yes-no' ? YES_NO : [];
}

/** Ids of what an answer picks. */
export function pickedIn(answer: Answer | undefined): readonly string[] {
  if (answer?.kind === 'chosen') return answer.options;
  return answer?.kind === 'yes-no' ? [answer.yes ? 'yes' : 'no'] : [];
}

/** The answer when one more is picked, or the same one again to take it back; null when none is left. */
export function picking(field: Field, answer: Answer | undefined, id: string): Answer | null {
  const picked = pickedIn(answer);
  const has = picked.includes(id);
  if (field.kind === 'yes-no') return has ? null : { kind: 'yes-no', yes: id === 'yes' };
  const others = field.kind === 'choice' && field.many ? picked.filter((one) => one !== id) : [];
  const options = has ? others : [...others, id];
  return options.length > 0 ? { kind: 'chosen', options: [...options] } : null;
}
