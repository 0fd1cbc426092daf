import { X } from 'lucide-react';
import type { AlternatesField } from '#core/entry';
import { Button, SelectField } from '../../ui';

interface Props {
  field: AlternatesField;
  change: (field: AlternatesField) => void;
}

/** By the time of day the last alternate has no end: it holds for the rest of the day. */
const settled = (field: AlternatesField): AlternatesField => ({
  ...field,
  alternates: field.alternates.map(({ words, until }, at) =>
    field.by === 'time' && at < field.alternates.length - 1 ? { words, until: until ?? '12:00' } : { words },
  ),
});

/** Alternates of the same words: which is taken, and when. */
export function AlternatesSettings({ field, change }: Props) {
  const put = (next: AlternatesField) => change(settled(next));
  const set = (index: number, alternate: AlternatesField['alternates'][number]) =>
    put({ ...field, alternates: field.alternates.map((one, at) => (at === index ? alternate : one)) });
  return (
    <div className="grid gap-3">
      <SelectField
        label="Which is taken"
        value={field.by}
        onChange={({ target }) => put({ ...field, by: target.value as AlternatesField['by'] })}
      >
        <option value="turn">by turns: never the same twice running for one person</option>
        <option value="time">by the time of day</option>
      </SelectField>
      <fieldset>
        <legend className="eyebrow">Alternates</legend>
        {field.alternates.map((alternate, index) => (
          <div key={index} className="flex items-end gap-3">
            <input
              aria-label={`Alternate ${index + 1}`}
              className="input grow"
              value={alternate.words}
              onChange={({ target }) => set(index, { ...alternate, words: target.value })}
            />
            {alternate.until && (
              <label className="flex items-baseline gap-2 text-[14px] text-soft">
                until
                <input
                  type="time"
                  aria-label={`Alternate ${index + 1} until`}
                  className="input w-28 text-ink"
                  value={alternate.until}
                  onChange={({ target }) => target.value && set(index, { ...alternate, until: target.value })}
                />
              </label>
            )}
            <button
              type="button"
              aria-label={`Remove alternate ${index + 1}`}
              disabled={field.alternates.length === 1}
              className="rounded-[3px] p-1 text-soft hover:text-elder disabled:opacity-30"
              onClick={() => put({ ...field, alternates: field.alternates.filter((_, at) => at !== index) })}
            >
              <X size={15} aria-hidden />
            </button>
          </div>
        ))}
        <Button
          className="mt-2 text-[14px]"
          onClick={() => put({ ...field, alternates: [...field.alternates, { words: '' }] })}
        >
          Add an alternate
        </Button>
      </fieldset>
    </div>
  );
}
