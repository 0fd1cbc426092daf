import { NEW_ROWS, type UsualRow } from '#core/record';
import { TextField } from '../ui';
import type { FaultOf } from './faultOf';
import { RuleList } from './RuleList';

const FIELDS: readonly [field: keyof UsualRow, label: string, example: string][] = [
  ['code', 'What is measured', 'temperature'],
  ['species', 'Species', 'any'],
  ['low', 'At least', '34.5'],
  ['high', 'At most', '36.5'],
  ['unit', 'Unit', '°C'],
];

interface Props {
  rows: readonly UsualRow[];
  put: (rows: UsualRow[]) => void;
  faultOf: FaultOf;
}

/** What is usual of what is measured, where the record itself does not say. */
export function UsualRows({ rows, put, faultOf }: Props) {
  return (
    <RuleList
      title="Usual values"
      about="A value outside is marked high or low, unless its source gives a range of its own."
      {...{ rows, put, fresh: NEW_ROWS.usual, add: 'Add a range', nameOf: (row: UsualRow) => row.code }}
    >
      {(row, at, change) => (
        <div className="grid grid-cols-5 gap-x-5 gap-y-2 max-[899px]:grid-cols-2">
          {FIELDS.map(([field, label, example]) => (
            <TextField
              key={field}
              label={label}
              placeholder={example}
              maxLength={field === 'unit' ? 40 : 120}
              inputMode={field === 'low' || field === 'high' ? 'decimal' : undefined}
              value={row[field]}
              error={faultOf('usual', at, field)}
              onChange={({ target }) => change({ [field]: target.value })}
            />
          ))}
        </div>
      )}
    </RuleList>
  );
}
