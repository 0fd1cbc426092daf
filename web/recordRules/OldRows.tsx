import { NEW_ROWS, type OldRow, type RulesForm } from '#core/record';
import { TextField } from '../ui';
import type { FaultOf } from './faultOf';
import { RuleList } from './RuleList';

interface Props {
  form: RulesForm;
  put: (change: Partial<RulesForm>) => void;
  faultOf: FaultOf;
}

/** After how long a value is called old: in general, and where that differs. */
export function OldRows({ form, put, faultOf }: Props) {
  return (
    <>
      <div className="max-w-[14rem]">
        <TextField
          label="Values are old after, in days"
          inputMode="numeric"
          value={form.oldAfterDays}
          error={faultOf('oldAfterDays', 0, '')}
          onChange={({ target }) => put({ oldAfterDays: target.value })}
        />
      </div>
      <RuleList
        title="Values that keep longer or shorter"
        about="An old value says so at the head of the leaf, and beside the sentence it was placed in."
        {...{ rows: form.old, put: (old: OldRow[]) => put({ old }) }}
        {...{ fresh: NEW_ROWS.old, add: 'Add a value', nameOf: (row: OldRow) => row.code }}
      >
        {(row, at, change) => (
          <div className="grid grid-cols-4 gap-x-5 max-[899px]:grid-cols-2">
            <TextField
              label="What is measured"
              placeholder="height"
              maxLength={120}
              value={row.code}
              error={faultOf('old', at, 'code')}
              onChange={({ target }) => change({ code: target.value })}
            />
            <TextField
              label="Old after, in days"
              inputMode="numeric"
              value={row.days}
              error={faultOf('old', at, 'days')}
              onChange={({ target }) => change({ days: target.value })}
            />
          </div>
        )}
      </RuleList>
    </>
  );
}
