import { KINDS } from '#core/work';
import { STARTERS } from '#core/starters';
import { SelectField, TextField, Tick } from '../ui';
import type { KindRow } from './beginTeam';

interface Props {
  rows: readonly KindRow[];
  change: (rows: KindRow[]) => void;
  /** Whether it is asked how long texts may be: not in the first minute of a team. */
  withLimits: boolean;
}

/** What the team does: each kind of work ticked or not, called as the team calls it, with a collection to begin with. */
export function KindsOfTeamFields({ rows, change, withLimits }: Props) {
  const put = (at: number, part: Partial<KindRow>) =>
    change(rows.map((row, index) => (index === at ? { ...row, ...part } : row)));
  return (
    <div className="grid gap-4">
      {rows.map(({ kind, on, work, caseName, most, mostOf, withStarter }, at) => (
        <fieldset key={kind} className="border-b border-hair pb-3">
          <legend className="sr-only">{KINDS[kind].work}</legend>
          <Tick on={on} toggle={() => put(at, { on: !on })}>
            <span className="font-book text-[17px]">{KINDS[kind].work}</span>
          </Tick>
          {on && (
            <div className="mt-2 grid grid-cols-2 gap-x-6 gap-y-2 pl-6 max-[899px]:grid-cols-1">
              <TextField
                label="You call this work"
                maxLength={40}
                value={work}
                onChange={({ target }) => put(at, { work: target.value })}
              />
              <TextField
                label="One of them is called"
                maxLength={40}
                value={caseName}
                onChange={({ target }) => put(at, { caseName: target.value })}
              />
              {withLimits && (
                <div className="flex items-end gap-3">
                  <TextField
                    label="A text has at most"
                    inputMode="numeric"
                    placeholder="any length"
                    maxLength={7}
                    value={most}
                    onChange={({ target }) => put(at, { most: target.value })}
                  />
                  <SelectField
                    label="Counted in"
                    value={mostOf}
                    onChange={({ target }) => put(at, { mostOf: target.value as KindRow['mostOf'] })}
                  >
                    <option value="words">words</option>
                    <option value="characters">characters</option>
                  </SelectField>
                </div>
              )}
              {STARTERS.some((starter) => starter.kind === kind) && (
                <Tick on={withStarter} toggle={() => put(at, { withStarter: !withStarter })}>
                  Add ten starter entries
                </Tick>
              )}
            </div>
          )}
        </fieldset>
      ))}
    </div>
  );
}
