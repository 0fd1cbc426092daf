import { STEPS, type AmountRef, type DayRef, type Field } from '#core/entry';
import { kindOfDetail } from '#core/record';
import { NumericInput, SelectField } from '../../ui';

const kindOf = (field: Field): string => (field.kind === 'detail' ? kindOfDetail(field.path) : field.kind);

/** True for a field that may hold a day, or a number; of what is worked out that is known only later. */
export const holdsDay = (field: Field) => ['date', 'computed'].includes(kindOf(field));
export const holdsNumber = (field: Field) => ['number', 'quantity', 'computed'].includes(kindOf(field));

/** A day: today, or another field's. */
export function DaySelect({
  label,
  value,
  fields,
  change,
}: {
  label: string;
  value: DayRef;
  fields: readonly Field[];
  change: (value: DayRef) => void;
}) {
  return (
    <SelectField
      label={label}
      value={value === 'today' ? '' : value.field}
      onChange={({ target }) => change(target.value === '' ? 'today' : { field: target.value })}
    >
      <option value="">today</option>
      {fields.filter(holdsDay).map(({ id, name }) => (
        <option key={id} value={id}>
          {name}
        </option>
      ))}
    </SelectField>
  );
}

/** A number, typed or another field's; a field is picked from the list, and the list goes back to a number. */
export function AmountSelect({
  label,
  value,
  fields,
  change,
}: {
  label: string;
  value: AmountRef;
  fields: readonly Field[];
  change: (value: AmountRef) => void;
}) {
  const choices = fields.filter(holdsNumber);
  const typed = typeof value === 'number';
  return (
    <div className="grid grid-cols-[1fr_auto] items-end gap-2">
      <SelectField
        label={label}
        value={typed ? '' : value.field}
        onChange={({ target }) => change(target.value === '' ? 1 : { field: target.value })}
      >
        <option value="">a number</option>
        {choices.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      {typed && <NumericInput label={`${label}, the number`} className="input w-20" {...{ value, change }} />}
    </div>
  );
}

/** What is counted: days, working days, weeks ... */
export function StepSelect({
  value,
  change,
}: {
  value: (typeof STEPS)[number];
  change: (step: (typeof STEPS)[number]) => void;
}) {
  return (
    <SelectField
      label="Counted in"
      value={value}
      onChange={({ target }) => change(target.value as (typeof STEPS)[number])}
    >
      {STEPS.map((step) => (
        <option key={step} value={step}>
          {step === 'workdays' ? 'working days' : step}
        </option>
      ))}
    </SelectField>
  );
}
