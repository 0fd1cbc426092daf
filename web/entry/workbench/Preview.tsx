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
  const { all, practice, id, record, pick } = reading;
  return (
    <section aria-label="How it reads">
      <SelectField label="How it reads for" value={id ?? ''} onChange={(event) => pick(event.target.value)}>
        {id === null && <option value="">no case</option>}
        {all.map((one) => (
          <option key={one.id} value={one.id}>
            {one.title}
          </option>
        ))}
        <optgroup label="Practice cases">
          {practice.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </optgroup>
      </SelectField>
      <LiveReading request={request} record={record} answers={answers} />
    </section>
  );
}
