import { useId } from 'react';
import type { Field } from '#core/entry';
import {
  DETAILS,
  isAskedAsMeasured,
  pathOfAsk,
  readMeasuredAsk,
  WHICH,
  type MeasuredAsk,
  type Which,
} from '#core/record';
import { NumericField, SelectField, TextField, Tick } from '../../ui';

type DetailField = Extract<Field, { kind: 'detail' }>;

interface Props {
  field: DetailField;
  change: (field: Field) => void;
}

/** Stands in the list of details for what is measured and has no name there. */
const MEASURED = 'measured';

/** What is often measured, to pick from: anything else is typed. */
const OFTEN = [
  ...['weight', 'temperature', 'heart rate', 'breathing rate', 'systolic', 'diastolic'],
  ...['oxygen saturation', 'height', 'body mass index', 'weight, temperature, heart rate'],
];

const STEPS = ['days', 'weeks', 'months'] as const;

/** Which of the measurements of what, and of how long back. */
function MeasuredSettings({ path, put }: { path: string; put: (path: string) => void }) {
  const names = useId();
  const ask = readMeasuredAsk(path);
  const set = (change: Partial<MeasuredAsk>) => put(pathOfAsk({ ...ask, ...change }));
  return (
    <>
      <div className="grid grid-cols-2 gap-5">
        <SelectField
          label="Which one"
          value={ask.which}
          onChange={({ target }) => set({ which: target.value as Which })}
        >
          {Object.entries(WHICH).map(([which, words]) => (
            <option key={which} value={which}>
              {words}
            </option>
          ))}
        </SelectField>
        <TextField
          label="Of what"
          list={names}
          maxLength={40}
          defaultValue={ask.codes.join(', ')}
          key={ask.codes.join(', ')}
          hint="Several with commas between are told together."
          onBlur={({ target }) => {
            const codes = target.value
              .toLowerCase()
              .split(',')
              .map((code) => code.trim())
              .filter(Boolean);
            if (codes.length > 0) set({ codes });
          }}
        />
        <datalist id={names}>
          {OFTEN.map((code) => (
            <option key={code} value={code} />
          ))}
        </datalist>
      </div>
      <Within within={ask.within} set={(within) => set({ within })} />
    </>
  );
}

/** Whether only what was measured lately counts, and how lately. */
function Within({
  within,
  set,
}: {
  within: MeasuredAsk['within'];
  set: (within: MeasuredAsk['within']) => void;
}) {
  return (
    <div className="flex flex-wrap items-end gap-5">
      <Tick on={within !== null} toggle={() => set(within ? null : { count: 7, step: 'days' })}>
        only the last ones
      </Tick>
      {within && (
        <>
          <NumericField
            label="Of the last"
            least={1}
            most={1000}
            isWhole
            className="w-20"
            value={within.count}
            change={(count) => set({ ...within, count })}
          />
          <SelectField
            label="Counted in"
            value={within.step}
            onChange={({ target }) => set({ ...within, step: target.value as (typeof STEPS)[number] })}
          >
            {STEPS.map((step) => (
              <option key={step}>{step}</option>
            ))}
          </SelectField>
        </>
      )}
    </div>
  );
}

/** Which detail of the record answers a field: one that every record may have, or anything measured. */
export function DetailSettings({ field, change }: Props) {
  const isMeasured = isAskedAsMeasured(field.path);
  const put = (path: string) => change({ ...field, path });
  const isNamed = isMeasured || DETAILS.some(({ path }) => path === field.path);
  return (
    <>
      <SelectField
        label="Which detail"
        value={isMeasured ? MEASURED : field.path}
        onChange={({ target }) => put(target.value === MEASURED ? 'highest weight' : target.value)}
      >
        {DETAILS.map(({ path, label }) => (
          <option key={path} value={path}>
            {label}
          </option>
        ))}
        <option value={MEASURED}>Something measured: first, highest, mean, change ...</option>
        {!isNamed && <option value={field.path}>{field.path}</option>}
      </SelectField>
      {isMeasured && <MeasuredSettings path={field.path} put={put} />}
    </>
  );
}
