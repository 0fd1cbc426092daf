import type { Answers } from '#core/draft';
import type { PlaceRequest } from '#core/fill';
import { SelectField } from '../../ui';
import { LiveReading } from './LiveReading';
import type { EntryReading } from './useReading';

interface Props {
  reading: EntryReading;
  request: Omit<PlaceRequest, 'cue' | 'id' | 'answers'>;
  answers: Answers;
}

/** How the entry reads for a real case, all the while it is changed: answered in place like on a leaf. */
export function Preview({ reading, request, answers }: Props) {
  const { all, id, record, pick } = reading;
  return (
    <section aria-label="How it reads">
      {all.length > 0 ? (
        <SelectField label="How it reads for" value={id ?? ''} onChange={(event) => pick(event.target.value)}>
          {all.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </SelectField>
      ) : (
        <p className="eyebrow">How it reads without a case</p>
      )}
      <LiveReading request={request} record={record} answers={answers} />
    </section>
  );
}
