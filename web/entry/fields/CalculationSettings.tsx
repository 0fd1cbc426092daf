import {
  formulaOf,
  type AmountRef,
  type Calculation,
  type ComputedField,
  type DayRef,
  type Field,
} from '#core/entry';
import { NumericField, SelectField, TextField } from '../../ui';
import { AmountSelect, DaySelect, holdsDay, holdsNumber, StepSelect } from './CalculationParts';
import { FormulaField } from './FormulaField';

interface Props {
  field: ComputedField;
  fields: readonly Field[];
  change: (field: ComputedField) => void;
}

const WAYS: Record<Calculation['by'], string> = {
  moved: 'a day so many days, weeks ... away',
  between: 'the time between two days',
  age: 'an age',
  change: 'the change from one number to another',
  dose: 'a dose by weight',
  formula: 'a formula',
};

/** A calculation of another way, begun with the first fields that fit it. */
function asWay(by: Calculation['by'], field: ComputedField, fields: readonly Field[]): Calculation {
  const first = (fits: (field: Field) => boolean) => {
    const found = fields.find((one) => one.id !== field.id && fits(one));
    return found && { field: found.id };
  };
  const day = first(holdsDay) ?? 'today';
  const amount = first(holdsNumber) ?? 1;
  switch (by) {
    case 'moved':
      return { by, from: 'today', count: 7, step: 'days' };
    case 'between':
      return { by, from: day, to: 'today', step: 'days' };
    case 'age':
      return { by, born: day, at: 'today' };
    case 'change':
      return { by, first: amount, last: amount, as: 'amount' };
    case 'dose':
      return { by, weight: amount, perKilogram: 1, step: null, most: null };
    case 'formula':
      // What was picked, written out: a start for what picking cannot say.
      return {
        by,
        formula: formulaOf(field.calculation, (id) => fields.find((one) => one.id === id)?.name ?? id),
      };
  }
}

interface PickedProps {
  calculation: Exclude<Calculation, { by: 'formula' }>;
  others: readonly Field[];
  put: (calculation: Calculation) => void;
}

/** What a calculation of each way needs settled, save the formula. */
function Picks({ calculation, others, put }: PickedProps) {
  // A key of this way's calculation, with the value that it takes.
  const settle = (key: string) => (value: unknown) => put({ ...calculation, [key]: value });
  const day = (label: string, key: string, value: DayRef) => (
    <DaySelect label={label} value={value} fields={others} change={settle(key)} />
  );
  const amount = (label: string, key: string, value: AmountRef) => (
    <AmountSelect label={label} value={value} fields={others} change={settle(key)} />
  );
  const optional = (label: string, key: string, value: number | null) => (
    <NumericField
      label={label}
      least={0}
      isOptional
      value={value}
      // Nothing is rounded to nought, and no dose is nought at most: it is left open.
      change={(number) => settle(key)(number || null)}
    />
  );
  switch (calculation.by) {
    case 'moved':
      return (
        <>
          {amount('So many', 'count', calculation.count)}
          <StepSelect value={calculation.step} change={settle('step')} />
          {day('From', 'from', calculation.from)}
        </>
      );
    case 'between':
      return (
        <>
          <StepSelect value={calculation.step} change={settle('step')} />
          {day('From', 'from', calculation.from)}
          {day('To', 'to', calculation.to)}
        </>
      );
    case 'age':
      return (
        <>
          {day('Born', 'born', calculation.born)}
          {day('On', 'at', calculation.at)}
        </>
      );
    case 'change':
      return (
        <>
          {amount('From', 'first', calculation.first)}
          {amount('To', 'last', calculation.last)}
          <SelectField
            label="As"
            value={calculation.as}
            onChange={({ target }) => settle('as')(target.value)}
          >
            <option value="amount">an amount</option>
            <option value="percent">per cent of the first</option>
          </SelectField>
        </>
      );
    case 'dose':
      return (
        <>
          {amount('Weight', 'weight', calculation.weight)}
          {amount('For each kilogram', 'perKilogram', calculation.perKilogram)}
          {optional('Rounded to', 'step', calculation.step)}
          {optional('At most', 'most', calculation.most)}
        </>
      );
  }
}

/** What the way of working out needs settled. */
function Picked({ field, fields, change }: Props) {
  const { calculation } = field;
  const others = fields.filter(({ id }) => id !== field.id);
  const put = (next: Calculation) => change({ ...field, calculation: next });
  if (calculation.by === 'formula') {
    return (
      <FormulaField
        field={field}
        formula={calculation.formula}
        fields={fields}
        change={(formula) => put({ by: 'formula', formula })}
      />
    );
  }
  return (
    <div className={`grid gap-4 ${calculation.by === 'dose' ? 'grid-cols-4' : 'grid-cols-3'}`}>
      <Picks calculation={calculation} others={others} put={put} />
    </div>
  );
}

/** How a field is worked out: picked from what people usually need, or a formula. */
export function CalculationSettings({ field, fields, change }: Props) {
  return (
    <div className="grid gap-3">
      <SelectField
        label="Calculation"
        value={field.calculation.by}
        onChange={({ target }) =>
          change({ ...field, calculation: asWay(target.value as Calculation['by'], field, fields) })
        }
      >
        {Object.entries(WAYS).map(([by, words]) => (
          <option key={by} value={by}>
            {words}
          </option>
        ))}
      </SelectField>
      <Picked field={field} fields={fields} change={change} />
      <div className="grid grid-cols-3 gap-4">
        <TextField
          label="Unit"
          value={field.unit}
          maxLength={40}
          hint="“day|days” for one and several"
          onChange={({ target }) => change({ ...field, unit: target.value })}
        />
        <SelectField
          label="Decimals"
          value={field.decimals ?? ''}
          onChange={({ target }) =>
            change({ ...field, decimals: target.value === '' ? null : Number(target.value) })
          }
        >
          <option value="">as they come</option>
          {[0, 1, 2, 3].map((count) => (
            <option key={count} value={count}>
              {count}
            </option>
          ))}
        </SelectField>
      </div>
    </div>
  );
}
