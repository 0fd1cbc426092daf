import { useState } from 'react';
import type { BatchRow } from '#contracts';
import { calendarToday } from '#client/clock';
import { columnFields, conditionsOfColumn, type BatchSetup } from '#core/batch';
import type { Condition } from '#core/entry';
import { firstTest } from '../../entry';
import { ActingSelect, Button } from '../../ui';

interface Props {
  setup: BatchSetup;
  rows: readonly BatchRow[];
  isFirst: boolean;
  add: (conditions: readonly Condition[]) => void;
}

/** What is told where a column has more values than rules were added for. */
const leftInWords = (head: string, added: number, left: number): string =>
  `“${head}” has ${(added + left).toLocaleString()} different values. ${
    added === 0
      ? 'None is short enough for a rule.'
      : `There are rules now for ${added === 1 ? 'one of them' : `the ${added} that most rows have`}.`
  } Rows with another wait to be decided by hand.`;

/** Adds rules: one for each value of a column, or one that is picked. */
export function AddRules({ setup, rows, isFirst, add }: Props) {
  const [told, tell] = useState('');
  const byColumn = (id: string) => {
    const column = setup.columns.find((each) => each.id === id);
    if (!column) return;
    const cells = rows.map((row) => row.cells);
    const { conditions, left } = conditionsOfColumn(setup, column, cells);
    add(conditions);
    tell(left > 0 ? leftInWords(column.head, conditions.length, left) : '');
  };
  return (
    <>
      <div className="mt-4 flex flex-wrap items-end gap-4">
        <div className="w-64">
          <ActingSelect
            label={isFirst ? 'A column decides' : 'Add rules for each value of a column'}
            value=""
            act={byColumn}
          >
            <option value="">Choose a column</option>
            {setup.columns.map(({ id, head }) => (
              <option key={id} value={id}>
                {head}
              </option>
            ))}
          </ActingSelect>
        </div>
        {setup.columns.length > 0 && (
          <Button onClick={() => add([firstTest(columnFields(setup.columns)[0]!, calendarToday())])}>
            Add a rule
          </Button>
        )}
      </div>
      <p role="status" className="mt-3 text-[14px] text-soft">
        {told}
      </p>
      {isFirst && (
        <p className="mt-4 text-[14px] text-soft">
          Choose the column that says who gets which letter, such as one called “Decision”. For one letter to
          all, add a rule that fits every row: “{setup.columns[0]?.head ?? 'Name'} is answered”.
        </p>
      )}
    </>
  );
}
