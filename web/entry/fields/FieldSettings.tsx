import { WRITER_DETAILS, type Field, type YesNoField } from '#core/entry';
import { NumericField, SelectField, TextField, Tick } from '../../ui';
import { CalculationSettings } from './CalculationSettings';
import { OptionsEditor } from './OptionsEditor';
import { AlternatesSettings } from './AlternatesSettings';
import { DetailSettings } from './DetailSettings';

interface Props<F extends Field = Field> {
  field: F;
  change: (field: Field) => void;
}

function NumberSettings({ field, change }: Props<Extract<Field, { kind: 'number' }>>) {
  const wrong = field.min !== null && field.max !== null && field.min > field.max;
  return (
    <div className="grid grid-cols-4 gap-5">
      <TextField
        label="Unit"
        value={field.unit}
        maxLength={40}
        onChange={(event) => change({ ...field, unit: event.target.value })}
      />
      <NumericField
        label="At least"
        isOptional
        value={field.min}
        error={wrong ? 'over the most' : undefined}
        change={(min) => change({ ...field, min })}
      />
      <NumericField
        label="At most"
        isOptional
        value={field.max}
        change={(max) => change({ ...field, max })}
      />
      <SelectField
        label="Decimals"
        value={field.decimals ?? ''}
        onChange={({ target }) =>
          change({ ...field, decimals: target.value === '' ? null : Number(target.value) })
        }
      >
        <option value="">as typed</option>
        {[0, 1, 2, 3].map((count) => (
          <option key={count} value={count}>
            {count}
          </option>
        ))}
      </SelectField>
      {!field.required && (
        <NumericField
          label="Starting answer"
          isOptional
          value={field.starting ?? null}
          change={(starting) => change({ ...field, starting })}
        />
      )}
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
      {!field.required && (
        <SelectField
          label="Starting answer"
          value={field.starting === undefined ? '' : String(field.starting)}
          onChange={({ target }) =>
            change({ ...field, starting: target.value === '' ? undefined : target.value === 'true' })
          }
        >
          <option value="">nothing</option>
          <option value="true">yes</option>
          <option value="false">no</option>
        </SelectField>
      )}
    </div>
  );
}

function TextSettings({ field, change }: Props<Extract<Field, { kind: 'text' }>>) {
  return (
    <div className="grid gap-3">
      <Tick on={field.long ?? false} toggle={() => change({ ...field, long: !field.long })}>
        several lines
      </Tick>
      {!field.required && (
        <TextField
          label="Starting words"
          value={field.starting}
          onChange={(event) => change({ ...field, starting: event.target.value })}
        />
      )}
    </div>
  );
}

function WriterSettings({ field, change }: Props<Extract<Field, { kind: 'writer' }>>) {
  return (
    <SelectField
      label="Which of the writer's details"
      value={field.detail}
      onChange={(event) => change({ ...field, detail: event.target.value as typeof field.detail })}
    >
      {WRITER_DETAILS.map((detail) => (
        <option key={detail} value={detail}>
          {detail}
        </option>
      ))}
    </SelectField>
  );
}

/** The day or the time of placing, until another is given. */
function ClockSettings({ field, change }: Props<Extract<Field, { kind: 'date' | 'time' }>>) {
  if (field.required) return null;
  if (field.kind === 'date') {
    const on = field.starting === 'today';
    return (
      <Tick on={on} toggle={() => change({ ...field, starting: on ? 'none' : 'today' })}>
        Start with today
      </Tick>
    );
  }
  return (
    <Tick
      on={field.starting !== undefined}
      toggle={() => change({ ...field, starting: field.starting ? undefined : 'now' })}
    >
      Start with the time of placing
    </Tick>
  );
}

/** What a field has to settle by its kind. */
export function FieldSettings({ field, fields, change }: Props & { fields: readonly Field[] }) {
  switch (field.kind) {
    case 'number':
      return <NumberSettings field={field} change={change} />;
    case 'yes-no':
      return <YesNoSettings field={field} change={change} />;
    case 'date':
    case 'time':
      return <ClockSettings field={field} change={change} />;
    case 'text':
      return <TextSettings field={field} change={change} />;
    case 'detail':
      return <DetailSettings field={field} change={change} />;
    case 'writer':
      return <WriterSettings field={field} change={change} />;
    case 'computed':
      return <CalculationSettings field={field} fields={fields} change={change} />;
    case 'alternates':
      return <AlternatesSettings field={field} change={change} />;
    case 'choice':
      return <OptionsEditor field={field} change={change} />;
    case 'person':
      return null;
  }
}
