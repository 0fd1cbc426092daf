import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import { PERSONS, type SpokenPerson } from '#core/language';

/** Something that can be picked as an answer, instead of being typed. */
export interface Pickable {
  id: string;
  label: string;
}

const YES_NO: readonly Pickable[] = [
  { id: 'yes', label: 'yes' },
  { id: 'no', label: 'no' },
];

const PERSON_CHOICES: readonly Pickable[] = PERSONS.map((id) => ({ id, label: id }));
const isPerson = (id: string): id is SpokenPerson => (PERSONS as readonly string[]).includes(id);

/** Ids that no option can have, as options' ids hold no tilde: "none of these", and words of one's own. */
export const NONE = '~none';
/** What stands for words of one’s own among the options of a choice. */
export const OTHER = '~other';

/** What a field's answer is picked from; none for fields whose answer is typed. */
export function pickablesOf(field: Field): readonly Pickable[] {
  if (field.kind === 'yes-no') return YES_NO;
  if (field.kind === 'person') return PERSON_CHOICES;
  if (field.kind === 'alternates')
    return field.alternates.map(({ words }, index) => ({
      id: String(index),
      label: words.trim() || 'nothing',
    }));
  if (field.kind !== 'choice') return [];
  const none = field.none === undefined ? [] : [{ id: NONE, label: 'none of these' }];
  const other = field.other ? [{ id: OTHER, label: 'other words' }] : [];
  return [...field.options, ...none, ...other];
}

/** More than so many have no letters of their own to be picked by: they are looked for. */
export const MOST_BY_KEY = 26;

const folded = (text: string) => text.normalize('NFKD').replace(/\p{M}/gu, '').toLocaleLowerCase();

/** The pickables that hold every word asked for, accents and capitals aside; those that begin with what was asked first. */
export function matchingPickables(pickables: readonly Pickable[], asked: string): readonly Pickable[] {
  const whole = folded(asked.trim());
  if (whole === '') return pickables;
  const words = whole.split(/\s+/u);
  const held = pickables
    .map((one) => ({ one, label: folded(one.label) }))
    .filter(({ label }) => words.every((word) => label.includes(word)));
  const rank = (label: string) => (label.startsWith(whole) ? 0 : label.includes(` ${whole}`) ? 1 : 2);
  return held.sort((a, b) => rank(a.label) - rank(b.label)).map(({ one }) => one);
}

/** What of a choice was chosen. */
interface Chosen {
  options: readonly string[];
  other?: string;
}

/** True for the answer "none of these". */
export const isNone = ({ options, other }: Chosen): boolean => options.length === 0 && !other;

/** Ids of what an answer picks. */
export function pickedIn(answer: Answer | undefined): readonly string[] {
  if (answer?.kind === 'yes-no') return [answer.yes ? 'yes' : 'no'];
  if (answer?.kind === 'person') return [answer.person];
  if (answer?.kind === 'alternate') return [String(answer.index)];
  if (answer?.kind !== 'chosen') return [];
  if (isNone(answer)) return [NONE];
  return answer.other ? [...answer.options, OTHER] : answer.options;
}

/**
 * The answer when one more is picked, or the same one again to take it back; null when nothing is left. Words
 * of one's own are not picked but given, see `otherwise`; picking them again takes them back.
 */
export function picking(field: Field, answer: Answer | undefined, id: string): Answer | null {
  const has = pickedIn(answer).includes(id);
  if (field.kind === 'yes-no') return has ? null : { kind: 'yes-no', yes: id === 'yes' };
  if (field.kind === 'person') {
    return has || !isPerson(id) ? null : { kind: 'person', person: id, known: false };
  }
  // Of several alternates one always stands: it is turned, never taken back.
  if (field.kind === 'alternates') return { kind: 'alternate', index: Number(id) };
  if (field.kind !== 'choice') return null;
  if (id === NONE) return has ? null : { kind: 'chosen', options: [] };
  const before: Chosen = answer?.kind === 'chosen' ? answer : { options: [] };
  if (id === OTHER) return chosen(before.options, undefined);
  const others = field.many ? before.options.filter((one) => one !== id) : [];
  return chosen(has ? others : [...others, id], field.many ? before.other : undefined);
}

/** The answer with words of one's own: beside the options where several may be chosen, else instead of one. */
export function otherwise(field: Field, answer: Answer | undefined, words: string): Answer | null {
  const options = field.kind === 'choice' && field.many && answer?.kind === 'chosen' ? answer.options : [];
  return chosen(options, words.trim() === '' ? undefined : words);
}

function chosen(options: readonly string[], other: string | undefined): Answer | null {
  if (options.length === 0 && other === undefined) return null;
  return { kind: 'chosen', options: [...options], ...(other === undefined ? {} : { other }) };
}
