import { useState } from 'react';
import type { BankIndex } from '#core/bank';
import { Button, SelectField } from '../ui';
import { AlikeGroup } from './AlikeGroup';
import { LongWork, useLongWork } from '../longWork';

const LEAST = [
  { value: 0.95, label: 'nearly identical' },
  { value: 0.8, label: 'mostly the same' },
  { value: 0.65, label: 'similar' },
] as const;

const inNumber = (count: number, one: string, many: string) =>
  count === 1 ? one : `${count.toLocaleString()} ${many}`;

/** Entries that say nearly the same, found over the whole bank and merged. */
export function AlikeSection({ index }: { index: BankIndex }) {
  const [least, setLeast] = useState<number>(0.8);
  const { working, start, stop } = useLongWork('alike');
  return (
    <section aria-label="Entries that say nearly the same" className="border-t border-hair py-5">
      <form
        className="flex flex-wrap items-end gap-x-4 gap-y-2 px-9 max-[899px]:px-4"
        onSubmit={(event) => {
          event.preventDefault();
          start({ least });
        }}
      >
        <div className="grow">
          <h2 className="font-book text-[19px]">Entries that say nearly the same</h2>
          <p className="text-[13.5px] text-soft">
            Blanks, dates, numbers and names do not count as differences.
          </p>
        </div>
        <SelectField
          label="How alike"
          value={least}
          onChange={({ target }) => setLeast(Number(target.value))}
        >
          {LEAST.map(({ value, label }) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </SelectField>
        <Button type="submit" disabled={working.state === 'working'}>
          Check the bank
        </Button>
      </form>
      <LongWork what="Reading the bank" working={working} stop={stop}>
        {({ groups, count, read, uses }) => (
          <>
            <p role="status" className="px-9 pt-2 text-[14px] text-soft max-[899px]:px-4">
              {count === 0
                ? `No two of ${inNumber(read, 'one entry', 'entries')} say nearly the same.`
                : `${inNumber(count, 'One group', 'groups')} among ${inNumber(read, 'one entry', 'entries')}${
                    count > groups.length ? `; the largest ${groups.length} are shown` : ''
                  }.`}
            </p>
            <ul>
              {groups.map((group) => (
                <AlikeGroup
                  key={group.entries.map(({ id }) => id).join()}
                  index={index}
                  entries={group.entries}
                  count={group.count}
                  uses={uses}
                />
              ))}
            </ul>
          </>
        )}
      </LongWork>
    </section>
  );
}
