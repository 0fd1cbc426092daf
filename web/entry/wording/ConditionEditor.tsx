import { X } from 'lucide-react';
import { DAY_WORDS, MEASURE_WORDS, MEASURES, type Condition, type Field, type Measure } from '#core/entry';
import { pickablesOf } from '#core/fill';
import { kindOfDetail } from '#core/record';
import { Button, NumericInput } from '../../ui';

type Group = Extract<Condition, { of: Condition[] }>;
type Simple = Exclude<Condition, Group>;
type Test = Simple['test'];

const kindOf = (field: Field): string => (field.kind === 'detail' ? kindOfDetail(field.path) : field.kind);

const ANSWERED: [Test, string][] = [
  ['answered', 'is answered'],
  ['unanswered', 'is not answered'],
];
const IS: [Test, string][] = [
  ['is', 'is'],
  ['is-not', 'is not'],
];

/** What can be asked of a field, by what it holds. */
function testsFor(field: Field): [Test, string][] {
  const measures = (words: Record<Measure, string>): [Test, string][] =>
    MEASURES.map((measure) => [measure, words[measure]]);
  switch (kindOf(field)) {
    case 'number':
    case 'quantity':
      return [...measures(MEASURE_WORDS), ...ANSWERED];
    case 'date':
      return [...measures(DAY_WORDS), ...ANSWERED];
    case 'computed':
      return [...measures(MEASURE_WORDS), ...IS, ...ANSWERED];
    default:
      return [...IS, ...ANSWERED];
  }
}

/** A test of a field to begin with: one that says something. */
export function firstTest(field: Field, today: string): Simple {
  const [first] = pickablesOf(field);
  if (first) return { test: 'is', field: field.id, value: first.id };
  switch (kindOf(field)) {
    case 'number':
    case 'quantity':
      return { test: 'over', field: field.id, value: 0 };
    case 'date':
      return { test: 'over', field: field.id, value: today };
    default:
      return { test: 'answered', field: field.id };
  }
}

/** The same condition with another test, its value kept where it still fits. */
function withTest(condition: Simple, test: Test, field: Field, today: string): Simple {
  const id = condition.field;
  if (test === 'answered' || test === 'unanswered') return { test, field: id };
  const value = 'value' in condition ? condition.value : null;
  if (test === 'is' || test === 'is-not') {
    const words = typeof value === 'string' ? value : (pickablesOf(field)[0]?.id ?? '');
    return { test, field: id, value: words };
  }
  const usual = kindOf(field) === 'date' ? today : 0;
  const fits = kindOf(field) === 'date' ? typeof value === 'string' : typeof value === 'number';
  return { test, field: id, value: fits && value !== null ? value : usual };
}

interface RowProps {
  condition: Simple;
  fields: readonly Field[];
  today: string;
  change: (condition: Condition) => void;
  remove: (() => void) | null;
}

function Value({ condition, field, change }: Pick<RowProps, 'condition' | 'change'> & { field: Field }) {
  if (!('value' in condition)) return null;
  const { value } = condition;
  const look = 'live-word';
  if (typeof value === 'number') {
    return (
      <NumericInput
        label="Limit"
        className={`${look} w-24`}
        value={value}
        change={(limit) => change({ ...condition, value: limit } as Condition)}
      />
    );
  }
  const put = (words: string) => change({ ...condition, value: words });
  const pickables = pickablesOf(field);
  if (pickables.length > 0) {
    return (
      <select aria-label="Answer" className={look} value={value} onChange={({ target }) => put(target.value)}>
        {pickables.map(({ id, label }) => (
          <option key={id} value={id}>
            {label}
          </option>
        ))}
      </select>
    );
  }
  const isDay = condition.test !== 'is' && condition.test !== 'is-not';
  return (
    <input
      type={isDay ? 'date' : 'text'}
      aria-label={isDay ? 'Day' : 'Words'}
      className={look}
      value={value}
      onChange={({ target }) => (!isDay || target.value !== '') && put(target.value)}
    />
  );
}

function Row({ condition, fields, today, change, remove }: RowProps) {
  const field = fields.find(({ id }) => id === condition.field);
  return (
    <div className="flex flex-wrap items-center gap-2">
      <select
        aria-label="Field"
        className="live-word"
        value={condition.field}
        onChange={({ target }) => {
          const next = fields.find(({ id }) => id === target.value);
          if (next) change(firstTest(next, today));
        }}
      >
        {!field && <option value={condition.field}>a deleted field</option>}
        {fields.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </select>
      {field && (
        <select
          aria-label="Test"
          className="live-word"
          value={condition.test}
          onChange={({ target }) => change(withTest(condition, target.value as Test, field, today))}
        >
          {testsFor(field).map(([test, words]) => (
            <option key={test} value={test}>
              {words}
            </option>
          ))}
        </select>
      )}
      {field && <Value condition={condition} field={field} change={change} />}
      {remove && (
        <button
          type="button"
          aria-label="Remove this test"
          className="rounded-[3px] p-1 hover:text-elder"
          onClick={remove}
        >
          <X size={14} aria-hidden />
        </button>
      )}
    </div>
  );
}

interface Props {
  condition: Condition;
  fields: readonly Field[];
  today: string;
  change: (condition: Condition) => void;
  remove?: (() => void) | null;
  depth?: number;
}

const DEEPEST = 4;

/** A condition made by picking: one test, or several of which all or any must hold, within each other too. */
export function ConditionEditor({ condition, fields, today, change, remove = null, depth = 0 }: Props) {
  const fresh = () => firstTest(fields[0]!, today);
  if (!('of' in condition)) {
    return (
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <Row {...{ condition, fields, today, change, remove }} />
        {depth < DEEPEST && (
          <Button look="text" onClick={() => change({ test: 'all', of: [condition, fresh()] })}>
            and …
          </Button>
        )}
        {depth < DEEPEST && (
          <Button look="text" onClick={() => change({ test: 'any', of: [condition, fresh()] })}>
            or …
          </Button>
        )}
      </div>
    );
  }
  const put = (of: Condition[]) => change(of.length === 1 ? of[0]! : { ...condition, of });
  return (
    <fieldset className="border-l border-leaf pl-3">
      <legend className="sr-only">Several tests</legend>
      <label className="flex items-center gap-2">
        <select
          aria-label="How many of them"
          className="live-word"
          value={condition.test}
          onChange={({ target }) => change({ ...condition, test: target.value as Group['test'] })}
        >
          <option value="all">all of these</option>
          <option value="any">any of these</option>
        </select>
        {remove && (
          <button
            type="button"
            aria-label="Remove these tests"
            className="rounded-[3px] p-1 hover:text-elder"
            onClick={remove}
          >
            <X size={14} aria-hidden />
          </button>
        )}
      </label>
      {condition.of.map((one, index) => (
        <ConditionEditor
          key={index}
          condition={one}
          fields={fields}
          today={today}
          depth={depth + 1}
          change={(changed) => put(condition.of.map((other, at) => (at === index ? changed : other)))}
          remove={() => put(condition.of.filter((_, at) => at !== index))}
        />
      ))}
      <Button look="text" onClick={() => put([...condition.of, fresh()])}>
        {condition.test === 'all' ? 'and …' : 'or …'}
      </Button>
    </fieldset>
  );
}
