import { useMemo, type ReactNode } from 'react';
import { Button, SelectField, Tick } from '../ui';
import { type BankIndex, ALL, setFilters, type Narrowing } from '#core/bank';
import { languageName } from '#core/language';
import type { SheetLook } from './look';
import { useKinds } from '../api';
import { counted } from '../show';

const STATES: Record<Narrowing['state'], string> = {
  any: 'any',
  'in-use': 'in use',
  retired: 'out of use',
  'no-cue': 'without a cue',
  due: 'due for review',
  variation: 'a variation',
};
const USES: Record<Narrowing['used'], string> = {
  any: 'any',
  'by-me': 'placed by me',
  'not-by-me': 'not placed by me',
  never: 'never placed by anybody',
};
const OWNERS: Record<Narrowing['whose'], string> = {
  any: 'anybody’s',
  own: 'my own wording',
  'saved-by-me': 'saved last by me',
};
const LOOKS: Record<keyof SheetLook, string> = {
  dense: 'Close together',
  wording: 'Wording',
  purpose: 'When to use it',
  tags: 'Tags',
  times: 'How often it was placed',
  saved: 'When it was saved',
};

function Pick<T extends string>({
  label,
  value,
  words,
  pick,
}: {
  label: string;
  value: T;
  words: Readonly<Record<T, string>>;
  pick: (value: T) => void;
}) {
  return (
    <SelectField label={label} value={value} onChange={({ target }) => pick(target.value as T)}>
      {(Object.entries(words) as [T, string][]).map(([key, said]) => (
        <option key={key} value={key}>
          {said}
        </option>
      ))}
    </SelectField>
  );
}

/** What there is to narrow by, in the bank that is at hand. */
function choicesOf({ bank }: BankIndex) {
  const sorted = (all: Iterable<string>) => [...new Set(all)].sort((a, b) => a.localeCompare(b));
  return {
    tags: sorted(bank.entries.flatMap(({ content }) => content.tags)),
    languages: sorted(
      bank.entries.flatMap(({ content }) => content.wordings.map(({ language }) => language)),
    ),
    kinds: sorted(bank.collections.flatMap(({ kindsOfWork }) => kindsOfWork)),
  };
}

const asWords = (keys: readonly string[], every: string, words: (key: string) => string) => ({
  '': every,
  ...Object.fromEntries(keys.map((key) => [key, words(key)])),
});

interface Props {
  index: BankIndex;
  narrowing: Narrowing;
  narrow: (narrowing: Narrowing) => void;
  look: SheetLook;
  changeLook: (part: Partial<SheetLook>) => void;
  children: ReactNode;
}

/** Above the sheet: which entries, what is shown of them, and what can be done with the sheet as a whole. */
export function SheetTools({ index, narrowing, narrow, look, changeLook, children }: Props) {
  const { workOf } = useKinds();
  const { tags, languages, kinds } = useMemo(() => choicesOf(index), [index]);
  const put = (part: Partial<Narrowing>) => narrow({ ...narrowing, ...part });
  const set = setFilters(narrowing);
  return (
    <div
      data-print="no"
      className="flex flex-wrap items-start gap-x-6 gap-y-1 px-9 pb-2 text-[14px] max-[899px]:px-4"
    >
      <details className="open:w-full" name="sheet-tools">
        <summary className="cursor-pointer text-soft">
          {set === 0 ? 'Filter' : counted(set, 'filter', 'filters')}
        </summary>
        <div className="grid grid-cols-3 gap-x-5 gap-y-2 py-2 max-[899px]:grid-cols-1">
          <Pick
            label="Kind of work"
            value={narrowing.kind}
            words={asWords(kinds, 'any', workOf)}
            pick={(kind) => put({ kind })}
          />
          <Pick
            label="Language"
            value={narrowing.language}
            words={asWords(languages, 'any', languageName)}
            pick={(language) => put({ language })}
          />
          <Pick
            label="Tag"
            value={narrowing.tag}
            words={asWords(tags, 'any', (tag) => tag)}
            pick={(tag) => put({ tag })}
          />
          <Pick label="State" value={narrowing.state} words={STATES} pick={(state) => put({ state })} />
          <Pick label="Placed" value={narrowing.used} words={USES} pick={(used) => put({ used })} />
          <Pick label="Whose" value={narrowing.whose} words={OWNERS} pick={(whose) => put({ whose })} />
        </div>
      </details>
      {set > 0 && (
        <Button look="text" onClick={() => narrow(ALL)}>
          Clear filters
        </Button>
      )}
      <details className="open:w-full" name="sheet-tools">
        <summary className="cursor-pointer text-soft">Columns</summary>
        <div className="flex flex-wrap gap-x-5 gap-y-1 py-2">
          {(Object.keys(LOOKS) as (keyof SheetLook)[]).map((part) => (
            <Tick key={part} on={look[part]} toggle={() => changeLook({ [part]: !look[part] })}>
              {LOOKS[part]}
            </Tick>
          ))}
        </div>
      </details>
      {children}
    </div>
  );
}
