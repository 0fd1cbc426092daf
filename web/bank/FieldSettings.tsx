import type { Field, NumberField, YesNoField } from '#core/entry';
import { DETAILS } from '#core/record';
import { SelectField, TextField } from '../ui';

interface Props<F extends Field = Field> {
  field: F;
  change: (field: Field) => void;
}

const optional = (text: string) => (text.trim() === '' || Number.isNaN(Number(text)) ? null : Number(text));

function NumberSettings({ field, change }: Props<NumberField>) {
  const wrong = field.min !== null && field.max !== null && field.min > field.max;
  return (
    <div className="grid grid-cols-4 gap-5">
      <TextField
        label="Unit"
        value={field.unit}
        maxLength={40}
        onChange={(event) => change({ ...field, unit: event.target.value })}
      />
      <TextField
        label="At least"
        type="number"
        step="any"
        value={field.min ?? ''}
        error={wrong ? 'over the most' : undefined}
        onChange={(event) => change({ ...field, min: optional(event.target.value) })}
      />
      <TextField
        label="At most"
        type="number"
        step="any"
        value={field.max ?? ''}
        onChange={(event) => change({ ...field, max: optional(event.target.value) })}
      />
      <SelectField
        label="Decimals"
        value={field.decimals ?? ''}
        onChange={(event) => change({ ...field, decimals: optional(event.target.value) })}
      >
        <option value="">as typed</option>
        {[0, 1, 2, 3].map((count) => (
          <option key={count} value={count}>
            {count}
          </option>
        ))}
      </SelectField>
    </div>
  );
}

function YesNoSettings({ field, change }: Props<YesNoField>) {
  return (
    <div className="grid grid-cols-2 gap-5">
      <TextField
        label="Words for yes"
        value={field.yes}
        onChange={(event) => change({ ...field, yes: event.target.value })}
      />
      <TextField
        label="Words for no"
        value={field.no}
        onChange={(event) => change({ ...field, no: event.target.value })}
      />
    </div>
  );
}

/** What a field has to settle by its kind, apart from its options. */
export function FieldSettings({ field, change }: Props) {
  switch (field.kind) {
    case 'number':
      return <NumberSettings field={field} change={change} />;
    case 'yes-no':
      return <YesNoSettings field={field} change={change} />;
    case 'date':
      return field.required ? null : (
        <label className="flex items-center gap-2 text-[14px]">
          <input
            type="checkbox"
            className="accent-elder"
            checked={field.starting === 'today'}
            onChange={() => change({ ...field, starting: field.starting === 'today' ? 'none' : 'today' })}
          />
          today until another is given
        </label>
      );
    case 'text':
      return (
        <div className="grid gap-3">
          <label className="flex items-center gap-2 text-[14px]">
            <input
              type="checkbox"
              className="accent-elder"
              checked={field.long ?? false}
              onChange={() => change({ ...field, long: !field.long })}
            />
            several lines
          </label>
          {!field.required && (
            <TextField
              label="Words until others are given"
              value={field.starting}
              onChange={(event) => change({ ...field, starting: event.target.value })}
            />
          )}
        </div>
      );
    case 'detail':
      return (
        <SelectField
          label="Which detail"
          value={field.path}
          onChange={(event) => change({ ...field, path: event.target.value })}
        >
          {DETAILS.map(({ path, label }) => (
            <option key={path} value={path}>
              {label}
            </option>
          ))}
          {!DETAILS.some(({ path }) => path === field.path) && (
            <option value={field.path}>{field.path}</option>
          )}
        </SelectField>
      );
    case 'person':
    case 'time':
    case 'choice':
      return null;
  }
}
