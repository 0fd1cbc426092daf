import { useState } from 'react';
import { Link } from 'react-router';
import { KEYS, queryClient } from '../api';
import { FileDrop, Notice, Refused } from '../ui';
import { filesPacked } from '../documents';
import {
  useDocumentWorks,
  type Arrival,
  type Arrived,
  type ArrivedCase,
  type DocumentWork,
  type Dropped,
} from '../work';
import { knownArrival, type KnownFile } from './arrivals';
import { KeepWithCase } from './KeepWithCase';
import { WhatToDo } from './WhatToDo';

/** What became of a file of the last drop, or of several that belong together; or that it is to be asked. */
type Result = { file: File } & ({ arrived: Arrived | null } | { error: unknown } | { asked: KnownFile });

/** Whether no kind of work takes a file. */
const isOnlyKept = (result: Result) => 'arrived' in result && result.arrived === null;

type Told = (result: Result) => void;

/** Does what makes something of a file, and tells what became of it. */
const tried = (file: File, taking: Promise<Arrived>, tell: Told): Promise<void> =>
  taking.then(
    (arrived) => tell({ file, arrived }),
    (error: unknown) => tell({ file, error }),
  );

/** Takes files of which each is one thing, one after another, and gives back those of which several belong together. */
async function takeSingly(
  files: readonly File[],
  works: readonly DocumentWork[],
  tell: Told,
): Promise<Map<Arrival, Dropped[]>> {
  const together = new Map<Arrival, Dropped[]>();
  for (const file of files) {
    try {
      const known = await knownArrival(file, works);
      const { arrival, works: own, dropped } = known;
      const [work] = own;
      if (work && (arrival || own.length > 1 || work.asksAlways)) tell({ file, asked: known });
      else if (work) await tried(file, work.take([dropped]), tell);
      else if (arrival === null) tell({ file, arrived: null });
      else if (arrival.areOne) together.set(arrival, [...(together.get(arrival) ?? []), dropped]);
      else await tried(file, arrival.take([dropped]), tell);
    } catch (error) {
      tell({ file, error });
    }
  }
  return together;
}

/** Takes all files of one drop and tells of each as it is done: one that cannot be read keeps no other out. */
async function takeFiles(files: readonly File[], works: readonly DocumentWork[], tell: Told): Promise<void> {
  const unpacked: File[] = [];
  for (const file of files) {
    try {
      // An archive is taken file by file; what it holds of archives is kept as it is.
      unpacked.push(...((await filesPacked(file)) ?? [file]));
    } catch (error) {
      tell({ file, error });
    }
  }
  for (const [arrival, dropped] of await takeSingly(unpacked, works, tell))
    await tried(dropped[0]!.file, arrival.take(dropped), tell);
}

function useArrivals() {
  const [results, setResults] = useState<readonly Result[]>([]);
  const [isReading, setReading] = useState(false);
  const works = useDocumentWorks();
  const tell: Told = (result) => setResults((now) => [...now, result]);
  const busy = async (work: () => Promise<void>) => {
    setReading(true);
    await work();
    setReading(false);
    await queryClient.invalidateQueries({ queryKey: KEYS.cases });
  };
  const take = (files: readonly File[]) => {
    setResults([]);
    return busy(() => takeFiles(files, works, tell));
  };
  const without = (isGone: (result: Result) => boolean) =>
    setResults((now) => now.filter((one) => !isGone(one)));
  /** Does something with files that were asked about: with one after another, or with all at once. */
  const settle = (
    asked: readonly KnownFile[],
    how: (all: readonly KnownFile[]) => Promise<Arrived | null>,
    areOne = false,
  ) =>
    busy(async () => {
      for (const some of areOne ? [asked] : asked.map((known) => [known])) {
        const { file } = some[0]!.dropped;
        await how(some).then(
          (arrived) =>
            arrived
              ? tell({ file, arrived })
              : some.forEach((one) => tell({ file: one.dropped.file, arrived })),
          (error: unknown) => tell({ file, error }),
        );
        without((one) => 'asked' in one && some.includes(one.asked));
      }
    });
  return { results, isReading, take, settle, without };
}

/** Documents of a drop that are asked about, with what can be done with them. */
function Asked({ arrivals: { results, settle, without } }: { arrivals: ReturnType<typeof useArrivals> }) {
  const asked = results.flatMap((one) => ('asked' in one ? [one.asked] : []));
  const [first] = asked;
  if (!first) return null;
  // Of files of several sorts each way is for those that it fits; the others are asked about again.
  const works = [...new Set(asked.flatMap((one) => one.works))];
  const waysOfWorks = works.map((work) => {
    const fit = asked.filter((one) => one.works.includes(work));
    return {
      label: fit.length === 1 ? work.label : work.labelOfMany,
      run: () => settle(fit, (all) => work.take(all.map(({ dropped }) => dropped)), work.areOne),
    };
  });
  const written = asked.filter(({ arrival }) => arrival !== null);
  const others = asked.filter(({ arrival }) => arrival === null);
  return (
    <WhatToDo
      names={asked.map(({ dropped }) => dropped.file.name)}
      ways={[
        ...waysOfWorks,
        ...(written.length > 0
          ? [
              {
                label: written.length === 1 ? 'Write on it' : 'Write on them',
                run: () => settle(written, ([one]) => one!.arrival!.take([one!.dropped])),
              },
            ]
          : []),
        ...(others.length > 0 && works.some(({ asksAlways }) => asksAlways)
          ? [
              {
                label: others.length === 1 ? 'Save it with a case' : 'Save them with a case',
                run: () => settle(others, () => Promise.resolve(null)),
              },
            ]
          : []),
      ]}
      leave={() => without((one) => 'asked' in one)}
    />
  );
}

const titleOf = ({ case: { kind, title }, news }: ArrivedCase): string => {
  if (news) return `${title} was here: it is up to date.`;
  return `${kind === 'leaf' ? 'A leaf was begun' : 'A case was made'}: ${title}.`;
};

/** So many sentences are shown at once. */
const SHOWN = 6;

/** Sentences; of many the first, and the rest folded. */
function Sentences({ all }: { all: readonly string[] }) {
  const line = (words: string) => <p key={words}>{words}</p>;
  return (
    <>
      {all.slice(0, SHOWN).map(line)}
      {all.length > SHOWN && (
        <details>
          <summary className="min-h-6 cursor-pointer">{(all.length - SHOWN).toLocaleString()} more</summary>
          {all.slice(SHOWN).map(line)}
        </details>
      )}
    </>
  );
}

function Taken({ arrived: { cases, remarks } }: { arrived: Arrived }) {
  return (
    <>
      {cases.map((one) => (
        <Notice key={one.case.id} title={titleOf(one)}>
          <Link to={`/cases/${one.case.id}`} className="text-elder underline">
            Open it
          </Link>
          <Sentences all={one.news ?? []} />
          {cases.length === 1 && <Sentences all={remarks} />}
        </Notice>
      ))}
      {cases.length > 1 && remarks.length > 0 && (
        <Notice title="Left out of these files">
          <Sentences all={remarks} />
        </Notice>
      )}
    </>
  );
}

/** Where files are dropped on the desk: each becomes a case or begins a leaf, or is told of with what is wrong with it. */
export function DropFiles() {
  const arrivals = useArrivals();
  const { results, isReading, take, without } = arrivals;
  const asksForWork = useDocumentWorks().length > 0;
  const onlyKept = results.filter(isOnlyKept).map(({ file }) => file);
  return (
    <section aria-labelledby="drop-title" className="mt-6">
      <h2 id="drop-title" className="eyebrow">
        From a file
      </h2>
      <div className="mt-2">
        <FileDrop
          label="Files"
          hint={`Drop files here. A document (Word, Markdown, text) begins a leaf${asksForWork ? '; Word, OpenDocument and PDF can be commented on' : ''}; email messages, and files of a record system (HL7 FHIR R4), become cases; any other file is saved with a case. A zip is taken file by file.`}
          isReading={isReading}
          isMany
          take={(files) => void take(files)}
        />
      </div>
      <div className="mt-3 grid grid-cols-[minmax(0,1fr)] gap-3">
        {results.map((result, at) =>
          'error' in result ? (
            <Refused key={at} error={result.error} withPlaces />
          ) : (
            'arrived' in result && result.arrived && <Taken key={at} arrived={result.arrived} />
          ),
        )}
        <Asked arrivals={arrivals} />
        {onlyKept.length > 0 && !isReading && (
          // Dropped anew, they are asked for anew.
          <KeepWithCase key={results.length} files={onlyKept} done={() => without(isOnlyKept)} />
        )}
      </div>
    </section>
  );
}
