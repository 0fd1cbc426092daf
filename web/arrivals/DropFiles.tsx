import { useState } from 'react';
import { Link } from 'react-router';
import { KEYS, queryClient } from '../api';
import { FileDrop, Notice, Refused } from '../ui';
import { filesPacked } from '../documents';
import type { Arrival, Arrived, ArrivedCase, Dropped } from '../work';
import { knownArrival } from './arrivals';
import { KeepWithCase } from './KeepWithCase';

/** What became of a file of the last drop, or of several that belong together. */
type Result = { file: File } & ({ arrived: Arrived | null } | { error: unknown });

/** Whether no kind of work takes a file. */
const isOnlyKept = (result: Result) => 'arrived' in result && result.arrived === null;

type Told = (result: Result) => void;

/** Takes files of which each is one thing, one after another, and gives back those of which several belong together. */
async function takeSingly(files: readonly File[], tell: Told): Promise<Map<Arrival, Dropped[]>> {
  const together = new Map<Arrival, Dropped[]>();
  for (const file of files) {
    try {
      const known = await knownArrival(file);
      if (known.arrival === null) tell({ file, arrived: null });
      else if (known.arrival.areOne)
        together.set(known.arrival, [...(together.get(known.arrival) ?? []), known.dropped]);
      else tell({ file, arrived: await known.arrival.take([known.dropped]) });
    } catch (error) {
      tell({ file, error });
    }
  }
  return together;
}

/** Takes all files of one drop and tells of each as it is done: one that cannot be read keeps no other out. */
async function takeFiles(files: readonly File[], tell: Told): Promise<void> {
  const unpacked: File[] = [];
  for (const file of files) {
    try {
      // An archive is taken file by file; what it holds of archives is kept as it is.
      unpacked.push(...((await filesPacked(file)) ?? [file]));
    } catch (error) {
      tell({ file, error });
    }
  }
  for (const [arrival, dropped] of await takeSingly(unpacked, tell)) {
    const { file } = dropped[0]!;
    await arrival.take(dropped).then(
      (arrived) => tell({ file, arrived }),
      (error: unknown) => tell({ file, error }),
    );
  }
}

function useArrivals() {
  const [results, setResults] = useState<readonly Result[]>([]);
  const [isReading, setReading] = useState(false);
  const take = async (files: readonly File[]) => {
    setReading(true);
    setResults([]);
    await takeFiles(files, (result) => setResults((now) => [...now, result]));
    setReading(false);
    await queryClient.invalidateQueries({ queryKey: KEYS.cases });
  };
  const leave = () => setResults((now) => now.filter((one) => !isOnlyKept(one)));
  return { results, isReading, take, leave };
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
  const { results, isReading, take, leave } = useArrivals();
  const onlyKept = results.filter(isOnlyKept).map(({ file }) => file);
  return (
    <section aria-labelledby="drop-title" className="mt-6">
      <h2 id="drop-title" className="eyebrow">
        From a file
      </h2>
      <div className="mt-2">
        <FileDrop
          label="Files"
          hint="Drop files here. A document (Word, Markdown, text) begins a leaf; files of a record system (HL7 FHIR R4) become cases; any other file is saved with a case. A zip is taken file by file."
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
            result.arrived && <Taken key={at} arrived={result.arrived} />
          ),
        )}
        {onlyKept.length > 0 && !isReading && (
          // Dropped anew, they are asked for anew.
          <KeepWithCase key={results.length} files={onlyKept} done={leave} />
        )}
      </div>
    </section>
  );
}
