import type { TimeOfDay } from '#core/calendar';
import type { Answer, Answers } from '#core/draft';
import type { Field, AlternatesField } from '#core/entry';
import type { SpokenPerson } from '#core/language';
import { lookUp } from '#core/record';
import type { Writer } from '#core/signing';
import type { PlaceRequest } from './placeRequest';

/** What is known when a placement begins, with the language of the wording that is placed (BCP 47). */
export type PlacementBeginning = Pick<PlaceRequest, 'record' | 'today' | 'now' | 'writer' | 'last'> & {
  language: string;
};

/** How the record's sex is spoken of; null where it does not say, since then it must be asked. */
function personOf({ record, today }: PlacementBeginning): SpokenPerson | null {
  const sex = lookUp(record, 'sex', today)?.value;
  if (sex?.kind !== 'text') return null;
  if (/^female/i.test(sex.text)) return 'she';
  return /^male/i.test(sex.text) ? 'he' : null;
}

function alternateByTime({ alternates }: AlternatesField, now: TimeOfDay): number {
  const at = alternates.findIndex(({ until }) => until === undefined || now < until);
  return at < 0 ? alternates.length - 1 : at;
}

/** The alternate after the one taken last, so that nobody is given the same one twice running. */
const nextAlternate = ({ alternates }: AlternatesField, last: Answer | undefined): number =>
  last?.kind === 'alternate' ? (last.index + 1) % alternates.length : 0;

function writerAnswer(
  detail: Extract<Field, { kind: 'writer' }>['detail'],
  writer: Writer,
): Answer | undefined {
  const WORDS = {
    name: writer.name,
    'first name': writer.name.split(' ')[0] ?? '',
    job: writer.job,
    'e-mail': writer.email,
    phone: writer.phone,
    address: writer.address ?? '',
  };
  const text = WORDS[detail];
  return text === ''
    ? undefined
    : { kind: 'detail', value: { kind: 'text', text }, source: 'your own details', asOf: null };
}

/** The starting answer of a field that is not required. A required field never has an invented one. */
function startingAnswer(field: Field, { today, now }: PlacementBeginning): Answer | undefined {
  if (field.required) return undefined;
  switch (field.kind) {
    case 'text':
      return field.starting === '' ? undefined : { kind: 'text', text: field.starting };
    case 'date':
      return field.starting === 'today' ? { kind: 'date', date: today } : undefined;
    case 'time':
      return field.starting && now ? { kind: 'time', time: now } : undefined;
    case 'number':
      return typeof field.starting === 'number' ? { kind: 'number', value: field.starting } : undefined;
    case 'yes-no':
      return field.starting === undefined ? undefined : { kind: 'yes-no', yes: field.starting };
    case 'choice':
      return field.starting?.length ? { kind: 'chosen', options: field.starting } : undefined;
    default:
      return undefined;
  }
}

/**
 * The answer a field gets without being asked: a detail the record holds, how its sex is spoken of, the writer's own
 * details, an alternate whose turn it is, or the starting answer of a field that is not required.
 */
export function answerFromRecord(field: Field, beginning: PlacementBeginning): Answer | undefined {
  switch (field.kind) {
    case 'detail': {
      const detail = lookUp(beginning.record, field.path, beginning.today, beginning.language);
      return detail
        ? { kind: 'detail', value: detail.value, source: detail.source, asOf: detail.asOf }
        : undefined;
    }
    case 'person': {
      const person = personOf(beginning);
      return person ? { kind: 'person', person, known: true } : undefined;
    }
    case 'writer':
      return beginning.writer && writerAnswer(field.detail, beginning.writer);
    case 'alternates': {
      const index =
        field.by === 'time'
          ? alternateByTime(field, beginning.now ?? '12:00')
          : nextAlternate(field, beginning.last?.[field.id]);
      return { kind: 'alternate', index };
    }
    default:
      return startingAnswer(field, beginning);
  }
}

/** All answers that can be given without asking, by field. */
export function answersFromRecord(fields: readonly Field[], beginning: PlacementBeginning): Answers {
  const answers: Answers = {};
  for (const field of fields) {
    const answer = answerFromRecord(field, beginning);
    if (answer) answers[field.id] = answer;
  }
  return answers;
}
