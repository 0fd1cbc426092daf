import { NEW_ROWS, type CareRow } from '#core/record';
import { TextField, Tick } from '../ui';
import type { FaultOf } from './faultOf';
import { RuleList } from './RuleList';

type TextKey = Exclude<keyof CareRow, 'isImmunisation'>;

/** What is asked of a rule, with an example of each. */
const FIELDS: readonly [field: TextKey, label: string, example: string][] = [
  ['label', 'What is due', 'Bowel screening'],
  ['every', 'Again after', '2 years'],
  ['from', 'From age', '50 years'],
  ['to', 'To age', '75 years'],
  ['sex', 'Sex', 'any'],
  ['species', 'Species', 'any'],
  ['problem', 'With the problem', 'any'],
  ['doneBy', 'Also done as', 'Stool test, Colonoscopy'],
];

interface Props {
  rows: readonly CareRow[];
  put: (rows: CareRow[]) => void;
  faultOf: FaultOf;
}

/** Care that comes round for all whom a rule fits. */
export function CareRows({ rows, put, faultOf }: Props) {
  return (
    <RuleList
      title="Care due"
      about="Screening, vaccinations, checks. A field left empty is for all."
      {...{ rows, put, fresh: NEW_ROWS.care, add: 'Add a rule', nameOf: (row: CareRow) => row.label }}
    >
      {(row, at, change) => (
        <div className="grid grid-cols-4 gap-x-5 gap-y-2 max-[899px]:grid-cols-2">
          {FIELDS.map(([field, label, example]) => (
            <TextField
              key={field}
              label={label}
              placeholder={example}
              maxLength={field === 'doneBy' ? 1000 : 120}
              value={row[field]}
              error={faultOf('care', at, field)}
              onChange={({ target }) => change({ [field]: target.value })}
            />
          ))}
          <Tick on={row.isImmunisation} toggle={() => change({ isImmunisation: !row.isImmunisation })}>
            a vaccination
          </Tick>
        </div>
      )}
    </RuleList>
  );
}
