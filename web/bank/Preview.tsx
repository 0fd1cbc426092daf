import { useMemo, useState } from 'react';
import type { CaseSummary } from '#contracts';
import type { EntryContent } from '#core/entry';
import { place } from '#core/fill';
import { emptyRecord } from '#core/record';
import { useCase, useCases } from '../api/queries';
import { calendarToday } from '../clock/calendarToday';
import { SelectField } from '../ui';
import { PassageView } from './PassageView';

interface Props {
  content: EntryContent;
  kindsOfWork: readonly string[];
}

const fits = (kinds: readonly string[]) => (one: CaseSummary) => kinds.includes(one.kind);

/** How the entry reads for a real case, all the while it is changed: the record's details in place, the rest as blanks. */
export function Preview({ content, kindsOfWork }: Props) {
  const cases = useCases();
  const [picked, setPicked] = useState<string | null>(null);
  const all = cases.data ?? [];
  const id = picked ?? all.find(fits(kindsOfWork))?.id ?? all[0]?.id ?? null;
  const found = useCase(id);
  const record = found.data?.record;
  const passage = useMemo(
    () =>
      place({
        entry: { id: 'preview', revision: 1, content },
        cue: null,
        record: record ?? emptyRecord(),
        today: calendarToday(),
        id: 'preview',
      }).passage,
    [content, record],
  );
  return (
    <section aria-label="How it reads">
      {all.length > 0 ? (
        <SelectField
          label="How it reads for"
          value={id ?? ''}
          onChange={(event) => setPicked(event.target.value)}
        >
          {all.map((one) => (
            <option key={one.id} value={one.id}>
              {one.title}
            </option>
          ))}
        </SelectField>
      ) : (
        <p className="eyebrow">How it reads while no case is known</p>
      )}
      <div className="book mt-3 text-[16px] leading-[1.95]">
        <PassageView
          passage={passage}
          nameOf={(field) => content.fields.find((one) => one.id === field)?.name ?? field}
        />
      </div>
    </section>
  );
}
