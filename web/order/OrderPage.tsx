import { useState } from 'react';
import { useBank } from '../api/bank';
import { useBankIndex } from '../bank/bankIndex';
import { Figure } from '../shell/Figure';
import { inWords } from '../api/client';
import { Button, Failed, Loading, Notice, SelectField } from '../ui';
import { AlikeGroup } from './AlikeGroup';
import { useAlike, type Looking } from './useAlike';

const LEAST = [
  { value: 0.95, label: 'the same but for a word' },
  { value: 0.8, label: 'four words of five' },
  { value: 0.65, label: 'two words of three' },
] as const;

const entriesInWords = (count: number) => (count === 1 ? 'one entry' : `${count.toLocaleString()} entries`);

function Progress({ looking, stop }: { looking: Extract<Looking, { state: 'looking' }>; stop: () => void }) {
  return (
    <div className="flex items-center gap-3 px-9 py-4 max-[899px]:px-4">
      <progress aria-label="Reading the bank" value={looking.progress} className="h-1.5 grow accent-leaf" />
      <Button onClick={stop}>Stop</Button>
    </div>
  );
}

/** The bank kept in order: entries that say nearly the same. */
export function OrderPage() {
  const bank = useBank();
  const index = useBankIndex();
  const [least, setLeast] = useState<number>(0.8);
  const { looking, look, stop } = useAlike();
  return (
    <Figure
      marginLabel="About order"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>
            Blanks, dates, numbers and names of cases do not count, nor do capitals and punctuation. Entries
            out of use and your own variations are left out.
          </p>
          <p>
            Merged, the others’ cues, tags, notes and history go with the one that is left. Drafts that hold
            them say so, and take it over when their writer wants it. The others lie in the wastebasket.
          </p>
        </div>
      }
    >
      <header className="grid gap-4 px-9 pt-6 pb-4 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">The bank in order</h1>
        <form
          className="flex flex-wrap items-end gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            look(least);
          }}
        >
          <SelectField
            label="Entries that share"
            value={least}
            onChange={({ target }) => setLeast(Number(target.value))}
          >
            {LEAST.map(({ value, label }) => (
              <option key={value} value={value}>
                {label}
              </option>
            ))}
          </SelectField>
          <Button type="submit" disabled={looking.state === 'looking'}>
            Look through the bank
          </Button>
        </form>
      </header>
      {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      {!index && !bank.isError && <Loading what="the bank" />}
      {looking.state === 'looking' && <Progress looking={looking} stop={stop} />}
      {looking.state === 'failed' && (
        <div className="px-9 max-[899px]:px-4">
          <Notice tone="warning" title="The bank was not looked through.">
            <p>{inWords(looking.error)} Nothing was changed.</p>
          </Notice>
        </div>
      )}
      {looking.state === 'found' && index && (
        <section aria-label="Entries that say nearly the same">
          <p role="status" className="border-b border-hair px-9 pb-2 text-[14px] text-soft max-[899px]:px-4">
            {looking.found.count === 0
              ? `Of ${entriesInWords(looking.found.read)} no two say nearly the same.`
              : `${looking.found.count === 1 ? 'One group' : `${looking.found.count.toLocaleString()} groups`} among ${entriesInWords(looking.found.read)}${
                  looking.found.count > looking.found.groups.length
                    ? `; the largest ${looking.found.groups.length} are shown`
                    : ''
                }.`}
          </p>
          <ul>
            {looking.found.groups.map(({ entries, count }) => (
              <AlikeGroup
                key={entries.map(({ id }) => id).join()}
                index={index}
                entries={entries}
                count={count}
                uses={looking.found.uses}
              />
            ))}
          </ul>
        </section>
      )}
    </Figure>
  );
}
