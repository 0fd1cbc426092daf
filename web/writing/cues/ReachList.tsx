import { useMemo, useState } from 'react';
import type { Entry, OwnUses } from '#contracts';
import type { KindId } from '#core/work';
import { useOwnUses, useUsual } from '../../api';
import { Link } from 'react-router';
import type { BankIndex, Reach } from '#core/bank';
import { Button, Key } from '../../ui';
import { ReachByCollection } from './ReachByCollection';
import { ReachEntry } from './ReachEntry';

const SHOWN = 12;
const USUAL_SHOWN = 4;

/** What this person brings most in this kind of work first; the others by title, as they come. */
function byUse(entries: readonly Entry[], used: OwnUses['used'], kind: string): Entry[] {
  const times = new Map(
    used.flatMap((one) =>
      one.source === 'entry' && one.kind === kind ? [[one.list, one.times] as const] : [],
    ),
  );
  return [...entries].sort((a, b) => (times.get(b.id) ?? 0) - (times.get(a.id) ?? 0));
}

interface Props {
  kind: KindId;
  index: BankIndex | null;
  reach: Reach | null;
  /** The entry placed last before the caret; '' for none. */
  before: string;
  /** The entries that the leaf has already. */
  placed: ReadonlySet<string>;
  place: (entry: string) => void;
}

/** Of a large bank: what is not at hand, and how it comes to be. */
export function Away({ index: { away } }: { index: BankIndex }) {
  if (away.size === 0) return null;
  return (
    <p className="mt-2 border-l-2 border-flower pl-3 text-[13px]">
      {away.size === 1 ? 'One collection is' : `${away.size.toLocaleString()} collections are`} not loaded:
      the bank is large. Their cues do not fire. <Key>F2</Key> finds and places their wording all the same;{' '}
      <Key>Alt</Key> <Key>R</Key>switches a collection on.
    </p>
  );
}

interface UsualProps {
  usual: readonly string[];
  index: BankIndex;
  reach: Reach;
  place: (entry: string) => void;
}

/** What came next in finished texts of this kind of work; nothing where nothing is usual. */
function UsualHere({ usual, index, reach, place }: UsualProps) {
  const inReach = new Set(reach.entries.map(({ id }) => id));
  const entries = usual.filter((id) => inReach.has(id)).flatMap((id) => index.entries.get(id) ?? []);
  if (entries.length === 0) return null;
  return (
    <>
      <h2 className="section-head">Usual here</h2>
      <ul aria-label="Usual here" className="mt-1 mb-5">
        {entries.slice(0, USUAL_SHOWN).map((entry) => (
          <ReachEntry key={entry.id} entry={entry} index={index} place={place} />
        ))}
      </ul>
    </>
  );
}

/** While the caret is in nothing in particular: what can be brought here, each with its cue. */
export function ReachList({ kind, index, reach, before, placed, place }: Props) {
  const [all, setAll] = useState(false);
  const told = useUsual(kind).data;
  const usual = [...new Set([...(told?.after[before] ?? []), ...(told?.often ?? [])])].filter(
    (id) => !placed.has(id),
  );
  const used = useOwnUses().data?.used;
  const usualFirst = useMemo(() => byUse(reach?.entries ?? [], used ?? [], kind), [reach, used, kind]);
  if (!index || !reach) return null;
  if (reach.entries.length === 0) {
    if (index.away.size > 0) return <Away index={index} />;
    return (
      <p className="text-[14px] text-soft">
        No wording is in reach here yet. Write a sentence worth keeping, select it and press <Key>F4</Key>, or{' '}
        <Link to="/bank/new" className="text-elder underline">
          write an entry
        </Link>
        .
      </p>
    );
  }
  const shown = usualFirst.slice(0, SHOWN);
  return (
    <section aria-label="Wording in reach">
      <UsualHere {...{ usual, index, reach, place }} />
      <h2 className="section-head">Type one of these to place it</h2>
      <ul className="mt-1">
        {shown.map((entry) => (
          <ReachEntry key={entry.id} entry={entry} index={index} place={place} />
        ))}
      </ul>
      {reach.entries.length > SHOWN && (
        <Button
          look="text"
          className="mt-1 text-[13px]"
          aria-expanded={all}
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => setAll(!all)}
        >
          {all ? 'Fewer' : `All ${reach.entries.length.toLocaleString()}, by collection`}
        </Button>
      )}
      {all && <ReachByCollection index={index} reach={reach} place={place} />}
      <Away index={index} />
      <p className="mt-2 text-[13px] text-soft">
        <Key>F2</Key> finds any of it by its words. <Key>F4</Key> keeps words you select.
      </p>
    </section>
  );
}
