import { useState } from 'react';
import { Link } from 'react-router';
import { KEYS, queryClient } from '../api';
import { FileDrop, Notice, Refused } from '../ui';
import { filesPacked } from './archive';
import type { Arrived } from '../work';
import { takeArrival } from './arrivals';
import { KeepWithCase } from './KeepWithCase';

/** What became of each file of the last drop. */
type Result = { file: File } & ({ arrived: Arrived | null } | { error: unknown });

/** Whether no kind of work takes a file. */
const isOnlyKept = (result: Result) => 'arrived' in result && result.arrived === null;

/** Takes files one after another, and tells of each as it is done: one that cannot be read keeps no other out. */
function useArrivals() {
  const [results, setResults] = useState<readonly Result[]>([]);
  const [isReading, setReading] = useState(false);
  const take = async (files: readonly File[]) => {
    setReading(true);
    setResults([]);
    const tell = (result: Result) => setResults((now) => [...now, result]);
    const takeOne = async (file: File) =>
      takeArrival(file).then(
        (arrived) => tell({ file, arrived }),
        (error: unknown) => tell({ file, error }),
      );
    for (const file of files) {
      try {
        // An archive is taken file by file; what it holds of archives is kept as it is.
        for (const one of (await filesPacked(file)) ?? [file]) await takeOne(one);
      } catch (error) {
        tell({ file, error });
      }
    }
    setReading(false);
    await queryClient.invalidateQueries({ queryKey: KEYS.cases });
  };
  const leave = () => setResults((now) => now.filter((one) => !isOnlyKept(one)));
  return { results, isReading, take, leave };
}

function Taken({ arrived }: { arrived: Arrived }) {
  const what = arrived.case.kind === 'leaf' ? 'A leaf was begun' : 'A case was made';
  return (
    <Notice title={`${what}: ${arrived.case.title}.`}>
      <Link to={`/cases/${arrived.case.id}`} className="text-elder underline">
        Open it
      </Link>
      {arrived.remarks.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
    </Notice>
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
          hint="Drop files here. A document (Word, Markdown, text) begins a leaf; a file of a record system (HL7 FHIR R4) becomes a case; any other file is saved with a case. A zip is taken file by file."
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
