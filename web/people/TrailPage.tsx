import { csvOf } from '#core/exchange';
import { useInfiniteQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { TrailAsked, TrailLine } from '#contracts';
import { call } from '#client/api';
import { offerAs } from '#client/files';
import { KEYS, useTeam } from '../api';
import { instantInWords } from '#client/clock';
import { Figure } from '../shell';
import { Button, Failed, Loading, SelectField, TextField } from '../ui';
import { ACT_WORDS } from './actWords';

interface Wanted {
  about: TrailAsked['about'];
  by: string | null;
  /** Days, both included; '' for no bound. */
  from: string;
  to: string;
}

const DAY_MS = 86_400_000;
/** A day's beginning where the member is, as an instant. */
const instantOf = (day: string, later = 0) =>
  day === '' ? null : new Date(new Date(`${day}T00:00`).getTime() + later).toISOString();

const asked = ({ about, by, from, to }: Wanted, before: number | null): TrailAsked => ({
  about,
  by,
  from: instantOf(from),
  until: instantOf(to, DAY_MS),
  before,
});

/** All lines that are wanted, page by page. */
async function allLines(wanted: Wanted): Promise<TrailLine[]> {
  const lines: TrailLine[] = [];
  for (let more = true; more;) {
    const page = await call('trail', { body: asked(wanted, lines.at(-1)?.id ?? null) });
    lines.push(...page.lines);
    more = page.more;
  }
  return lines;
}

async function exportCsv(wanted: Wanted): Promise<void> {
  const lines = await allLines(wanted);
  const rows = lines.map(({ at, by, act, subject, detail }) => [at, by, ACT_WORDS[act], subject, detail]);
  offerAs('csv', csvOf([['When', 'Who', 'What', 'To what', 'Detail'], ...rows]), 'Trail');
}

function Filters({ wanted, want }: { wanted: Wanted; want: (wanted: Wanted) => void }) {
  const team = useTeam();
  return (
    <div className="grid gap-3 pt-6">
      <SelectField
        label="About"
        value={wanted.about ?? ''}
        onChange={({ target }) => want({ ...wanted, about: (target.value || null) as Wanted['about'] })}
      >
        <option value="">everything</option>
        <option value="people">people</option>
        <option value="rights">rights</option>
        <option value="wording">wording</option>
        <option value="settings">settings</option>
        <option value="backups">backups</option>
      </SelectField>
      <SelectField
        label="Done by"
        value={wanted.by ?? ''}
        onChange={({ target }) => want({ ...wanted, by: target.value || null })}
      >
        <option value="">anyone</option>
        {team.data?.members.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      <TextField
        label="From"
        type="date"
        value={wanted.from}
        onChange={({ target }) => want({ ...wanted, from: target.value })}
      />
      <TextField
        label="To"
        type="date"
        value={wanted.to}
        onChange={({ target }) => want({ ...wanted, to: target.value })}
      />
      <Button className="justify-self-start" onClick={() => void exportCsv(wanted)}>
        Save as CSV
      </Button>
    </div>
  );
}

/** Who did what to people, rights, wording and settings; for owners. */
export function TrailPage() {
  const [wanted, want] = useState<Wanted>({ about: null, by: null, from: '', to: '' });
  const trail = useInfiniteQuery({
    queryKey: [...KEYS.trail, wanted],
    queryFn: ({ pageParam }) => call('trail', { body: asked(wanted, pageParam) }),
    initialPageParam: null as number | null,
    getNextPageParam: ({ lines, more }) => (more ? lines.at(-1)!.id : undefined),
    staleTime: 0,
  });
  const lines = trail.data?.pages.flatMap((page) => page.lines) ?? [];
  const isFiltered = wanted.about !== null || wanted.by !== null || wanted.from !== '' || wanted.to !== '';
  return (
    <Figure marginLabel="Filter the trail" margin={<Filters wanted={wanted} want={want} />}>
      <h1 className="px-9 pt-6 pb-3 font-book text-[26px] leading-tight max-[899px]:px-4">Trail</h1>
      {trail.isPending && <Loading what="the trail" />}
      {trail.isError && <Failed what="the trail" error={trail.error} retry={() => void trail.refetch()} />}
      {trail.data && lines.length === 0 && (
        <p className="px-9 py-4 text-soft max-[899px]:px-4">
          {isFiltered
            ? 'Nothing matches.'
            : 'Nothing yet. Who shares, saves or deletes something, and when, is listed here.'}
        </p>
      )}
      <ol aria-label="What was done">
        {lines.map(({ id, at, by, act, subject, detail }) => (
          <li
            key={id}
            className="sheet-row grid grid-cols-[9.5rem_minmax(0,1fr)] gap-x-4 px-9 py-1.5 text-[14px] max-[899px]:grid-cols-1 max-[899px]:px-4"
          >
            <span className="text-[13px] text-soft">{instantInWords(at)}</span>
            <span className="break-words">
              {by} {ACT_WORDS[act]} <span className="font-medium">{subject}</span>
              {detail && <span className="text-soft">: {detail}</span>}
            </span>
          </li>
        ))}
      </ol>
      {trail.hasNextPage && (
        <p className="px-9 py-4 max-[899px]:px-4">
          <Button disabled={trail.isFetchingNextPage} onClick={() => void trail.fetchNextPage()}>
            Show what was before
          </Button>
        </p>
      )}
    </Figure>
  );
}
