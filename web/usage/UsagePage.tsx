import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Usage } from '#contracts';
import { call, inWords } from '#client/api';
import { useBankIndex, useKinds, usePreferences } from '../api';
import { useSavePreferences } from '../offers';
import { Figure } from '../shell';
import { Failed, Loading, Notice, Tick } from '../ui';
import { SaveUsage } from './SaveUsage';
import { SumsTable } from './SumsTable';
import { WaysTable } from './WaysTable';
import { usageInWords } from './usageInWords';
import { usageTables, type UsageTable } from './usageTables';

const locale = navigator.language;
const MOST_ENTRIES = 40;

function Figures({ usage, tables }: { usage: Usage; tables: readonly UsageTable[] }) {
  const { entries, ways, never, neverCount } = usage;
  if (entries.length === 0)
    return (
      <p className="px-9 py-6 text-soft max-[899px]:px-4">
        Nothing has been placed yet. Counting begins with the first entry placed on a leaf.
      </p>
    );
  return (
    <>
      <p className="book px-9 pt-3 max-[899px]:px-4">{usageInWords(usage, locale)}</p>
      <WaysTable ways={ways} />
      {tables.map(({ caption, rows }) => (
        <SumsTable
          key={caption}
          caption={caption}
          rows={caption === 'By entry' ? rows.slice(0, MOST_ENTRIES) : rows}
        />
      ))}
      <section aria-label="Never placed" className="px-9 py-4 max-[899px]:px-4">
        <h2 className="font-book text-[19px]">Never placed</h2>
        <p className="text-[14px] text-soft">
          {neverCount === 0
            ? 'Every entry in use has been placed.'
            : `${neverCount.toLocaleString()} in use${neverCount > never.length ? `; the first ${never.length}` : ''}.`}
        </p>
        <ul className="mt-1 columns-2 gap-6 text-[14px]">
          {never.map(({ entry, title }) => (
            <li key={entry} className="break-inside-avoid py-0.5">
              <Link to={`/bank/${entry}`} className="text-elder underline">
                {title}
              </Link>
            </li>
          ))}
        </ul>
      </section>
    </>
  );
}

/** Whether colleagues see one's figures by name; of all others they see totals alone. */
function ShownToColleagues({ changed }: { changed: () => void }) {
  const preferences = usePreferences();
  const save = useSavePreferences();
  const isShown = preferences.data?.showsUsage === true;
  return (
    <div>
      <Tick
        on={isShown}
        toggle={() => save.mutate((before) => ({ ...before, showsUsage: !isShown }), { onSuccess: changed })}
      >
        Show my figures to colleagues by name
      </Tick>
      <p>Otherwise they are only part of the totals.</p>
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
    </div>
  );
}

/** What is used of the bank, and what it saves: counts alone. */
export function UsagePage() {
  const index = useBankIndex();
  const { workOf } = useKinds();
  const usage = useQuery({ queryKey: ['usage'], queryFn: () => call('usage'), staleTime: 0 });
  const tables = usage.data && index && usageTables(usage.data, index, workOf, locale);
  return (
    <Figure
      marginLabel="About usage"
      margin={
        <div className="grid gap-3 pt-6 text-[14px] text-soft">
          <p>
            Counted on leaves: how often entries are placed. Saved are the characters that came from the bank,
            less every key pressed to place, fill and change them.
          </p>
          <p>No text of any case is stored for this.</p>
          <ShownToColleagues changed={() => void usage.refetch()} />
          {tables && <SaveUsage tables={tables} />}
        </div>
      }
    >
      <h1 className="px-9 pt-6 font-book text-[26px] leading-tight max-[899px]:px-4">Usage</h1>
      {usage.isError && <Failed what="the figures" error={usage.error} retry={() => void usage.refetch()} />}
      {(usage.isPending || !index) && !usage.isError && <Loading what="the figures" />}
      {usage.data && tables && <Figures usage={usage.data} tables={tables} />}
    </Figure>
  );
}
