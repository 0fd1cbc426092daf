import { useMutation, useQuery } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { Bar, BarChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import type { Assignment, ClassCounts } from '#contracts';
import { call, ForPeople, inWords } from '#client/api';
import { entryIn } from '#core/bank';
import { KEYS, queryClient, useBankIndex } from '../../../api';
import { useShell } from '../../../shell';
import { counted } from '../../../show';
import { Button, Failed, Loading, Notice } from '../../../ui';
import { leafToClass } from './leafToClass';
import { slipsAgain, slipsByPerson, slipSums, type SlipSum } from './slipSums';

/** So many slips are drawn and listed; so many go to the class. */
const SHOWN = 10;
const TO_CLASS = 3;

const TICK = { fontSize: 12, fill: 'var(--color-soft)' };
const LINE_PX = 26;

const section = 'border-t border-hair px-9 py-5 max-[899px]:px-4';
const cell = 'border-b border-hair py-1.5 pr-4 align-baseline';

/** How a person is called: by name, or by a number where names are hidden. */
type NameOf = (person: string) => string;

/** Who met which criterion how well: a level where there are any, with praise and faults. */
function Criteria({ counts: { people, mostPoints }, nameOf }: { counts: ClassCounts; nameOf: NameOf }) {
  const criteria = people[0]?.criteria.map(({ criterion }) => criterion) ?? [];
  if (criteria.length === 0) return null;
  return (
    <section aria-labelledby="class-criteria" className={section}>
      <h2 id="class-criteria" className="font-book text-[19px]">
        By criterion
      </h2>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full text-[14px]">
          <thead>
            <tr className="eyebrow text-left">
              <th scope="col">Person</th>
              {criteria.map((name) => (
                <th key={name} scope="col" className="pr-4">
                  {name}
                </th>
              ))}
              {mostPoints !== null && (
                <th scope="col" className="text-right">
                  Points of {mostPoints.toLocaleString()}
                </th>
              )}
            </tr>
          </thead>
          <tbody>
            {people.map((one) => (
              <tr key={one.case}>
                <th scope="row" className={`${cell} text-left font-normal`}>
                  {nameOf(one.person)}
                </th>
                {one.criteria.map(({ criterion, praise, faults, level }) => (
                  <td key={criterion} className={cell}>
                    {level && <span className="block">{level}</span>}
                    <span className="text-[13px] text-soft">
                      {[
                        praise > 0 ? `${praise} praised` : '',
                        faults > 0 ? counted(faults, 'fault', 'faults') : '',
                      ]
                        .filter(Boolean)
                        .join(', ')}
                    </span>
                  </td>
                ))}
                {mostPoints !== null && (
                  <td className={`${cell} pr-0 text-right tabular-nums`}>{one.points?.toLocaleString()}</td>
                )}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  );
}

/** Slips as bars for those who look, and in a table for those who read. */
function SlipsChart({ caption, sums }: { caption: string; sums: readonly SlipSum[] }) {
  // Bars that are all of one length say nothing.
  const isDrawn = new Set(sums.map(({ count }) => count)).size > 1;
  return (
    <figure>
      <figcaption className="font-book text-[19px]">{caption}</figcaption>
      {isDrawn && (
        <div aria-hidden className="mt-2" style={{ height: sums.length * LINE_PX + 8 }}>
          <ResponsiveContainer width="100%" height="100%">
            <BarChart
              data={[...sums]}
              layout="vertical"
              accessibilityLayer={false}
              margin={{ left: 0, right: 28 }}
            >
              <XAxis type="number" hide allowDecimals={false} />
              <YAxis
                type="category"
                dataKey="title"
                width={190}
                tick={TICK}
                axisLine={false}
                tickLine={false}
              />
              <Bar
                dataKey="count"
                fill="var(--color-leaf)"
                isAnimationActive={false}
                maxBarSize={14}
                label={{ position: 'right', fontSize: 12, fill: 'var(--color-soft)' }}
              />
            </BarChart>
          </ResponsiveContainer>
        </div>
      )}
      <table className="mt-2 w-full text-[14px]">
        <caption className="sr-only">{caption}</caption>
        <thead className="text-left text-[12.5px] text-soft">
          <tr>
            <th scope="col" className="font-medium">
              Slip
            </th>
            <th scope="col" className="text-right font-medium">
              Told
            </th>
            <th scope="col" className="text-right font-medium">
              People
            </th>
          </tr>
        </thead>
        <tbody>
          {sums.map(({ entry, title, count, people }) => (
            <tr key={entry} className="border-t border-hair">
              <th scope="row" className="py-1 text-left font-normal break-words">
                {title}
              </th>
              <td className="text-right tabular-nums">{count.toLocaleString()}</td>
              <td className="text-right tabular-nums">{people.toLocaleString()}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </figure>
  );
}

/** Makes a leaf to the class of the commonest slips, and goes there. */
function useToClass(one: Assignment, sums: readonly SlipSum[]) {
  const index = useBankIndex();
  const { member } = useShell();
  const navigate = useNavigate();
  const make = useMutation({
    mutationFn: async () => {
      if (!index) throw new ForPeople('The bank is not there yet. Try again in a moment.');
      const entries = sums.slice(0, TO_CLASS).flatMap(({ entry }) => entryIn(index, entry) ?? []);
      if (entries.length === 0)
        throw new ForPeople('The entries of these slips are not in your bank any more. No leaf was made.');
      const find = (id: string) => entryIn(index, id)?.content;
      const body = leafToClass(`To the class: ${one.title}`.slice(0, 200), entries, member, find, () =>
        crypto.randomUUID(),
      );
      return call('makeCase', { body });
    },
    onSuccess: ({ id }) => {
      void queryClient.invalidateQueries({ queryKey: KEYS.cases });
      void navigate(`/cases/${id}`);
    },
  });
  return make;
}

function Term({ term, nameOf }: { term: ClassCounts['term']; nameOf: NameOf }) {
  const again = slipsAgain(term);
  const byPerson = slipsByPerson(term);
  return (
    <section aria-labelledby="class-term" className={section}>
      <h2 id="class-term" className="font-book text-[19px]">
        Over the term, by person
      </h2>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full text-[14px]">
          <thead>
            <tr className="eyebrow text-left align-bottom">
              <th scope="col">Person</th>
              {term.map(({ assignment, title }) => (
                <th key={assignment} scope="col" className="pr-4 text-right">
                  {title}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {byPerson.map(({ person, counts }) => (
              <tr key={person}>
                <th scope="row" className={`${cell} text-left font-normal`}>
                  {nameOf(person)}
                </th>
                {counts.map((count, at) => (
                  <td key={term[at]!.assignment} className={`${cell} text-right tabular-nums`}>
                    {count === null ? '–' : count.toLocaleString()}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {again.map(({ person, title, assignments }) => (
        <p key={`${person} ${title}`} className="mt-2 text-[14px]">
          {nameOf(person)}: “{title}” in {assignments.length} pieces of work, {assignments.join('; ')}.
        </p>
      ))}
    </section>
  );
}

/** The entries that brought most comments, faults and praise alike. */
function EntriesPlaced({ entries }: { entries: ClassCounts['entriesPlaced'] }) {
  return (
    <section aria-labelledby="class-entries" className={section}>
      <h2 id="class-entries" className="font-book text-[19px]">
        Entries that brought most
      </h2>
      <table className="mt-1 w-full text-[14px]">
        <thead>
          <tr className="eyebrow text-left">
            <th scope="col" className="pb-1">
              Entry
            </th>
            <th scope="col" className="pb-1 text-right">
              Comments
            </th>
            <th scope="col" className="pb-1 text-right">
              People
            </th>
          </tr>
        </thead>
        <tbody>
          {entries.slice(0, SHOWN).map(({ entry, title, comments, people }) => (
            <tr key={entry}>
              <th scope="row" className={`${cell} text-left font-normal`}>
                <Link to={`/bank/${entry}`} className="text-elder underline">
                  {title}
                </Link>
              </th>
              <td className={`${cell} text-right tabular-nums`}>{comments.toLocaleString()}</td>
              <td className={`${cell} text-right tabular-nums`}>{people.toLocaleString()}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

function Counts({ one, counts, nameOf }: { one: Assignment; counts: ClassCounts; nameOf: NameOf }) {
  const sums = slipSums(counts.term.slice(-1));
  const ofTerm = slipSums(counts.term);
  const make = useToClass(one, sums);
  return (
    <>
      <Criteria counts={counts} nameOf={nameOf} />
      {sums.length > 0 && (
        <section aria-label="Commonest slips" className={`${section} grid gap-6`}>
          <SlipsChart caption="Commonest slips" sums={sums.slice(0, SHOWN)} />
          <p>
            <Button disabled={make.isPending} onClick={() => make.mutate()}>
              Make a leaf to the class of {sums.length < TO_CLASS ? 'these' : 'the first three'}
            </Button>
          </p>
          {make.error && <Notice tone="warning" title={inWords(make.error)} />}
          {counts.term.length > 1 && (
            <SlipsChart caption="Commonest slips over the term" sums={ofTerm.slice(0, SHOWN)} />
          )}
        </section>
      )}
      {counts.term.length > 1 && <Term term={counts.term} nameOf={nameOf} />}
      {counts.entriesPlaced.length > 0 && <EntriesPlaced entries={counts.entriesPlaced} />}
      {counts.writtenOften.length > 0 && (
        <section aria-labelledby="class-written" className={section}>
          <h2 id="class-written" className="font-book text-[19px]">
            Written by hand for several people
          </h2>
          <p className="text-[13px] text-soft">
            Select one in a submission and press F4 to save it as an entry.
          </p>
          <ul className="mt-1 grid gap-1 text-[14px]">
            {counts.writtenOften.map(({ words, people }) => (
              <li key={words}>
                “{words}” <span className="text-soft">{people.map(nameOf).join(', ')}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

/** What the comments on an assignment come to: by criterion, the commonest slips, over the term. */
export function ClassCountsView({ one, nameOf }: { one: Assignment; nameOf: NameOf }) {
  const found = useQuery({
    queryKey: [...KEYS.assignments, one.id, 'counts'],
    queryFn: () => call('classCounts', { params: { assignment: one.id } }),
    staleTime: 0,
  });
  if (found.data) return <Counts one={one} counts={found.data} nameOf={nameOf} />;
  return found.isError ? (
    <Failed what="the counts" error={found.error} retry={() => void found.refetch()} />
  ) : (
    <Loading what="the counts" />
  );
}
