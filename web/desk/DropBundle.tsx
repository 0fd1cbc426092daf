import { useMutation } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { TakenOver } from '#contracts';
import { call } from '../api/client';
import { readJson } from '../api/readJson';
import { KEYS, queryClient } from '../api/queries';
import { FileDrop, Notice, Refused } from '../ui';

const takeFile = async (file: File): Promise<TakenOver> =>
  call('takeBundle', { body: await readJson(file, 'No case was made.') });

function Taken({ taken }: { taken: TakenOver }) {
  return (
    <Notice title={`A case was made: ${taken.case.title}.`}>
      <Link to={`/cases/${taken.case.id}`} className="text-elder underline">
        Open it
      </Link>
      {taken.remarks.map((remark) => (
        <p key={remark}>{remark}</p>
      ))}
    </Notice>
  );
}

/** Where a person drops a FHIR Bundle and gets a case, or a list of what was wrong with it and where. */
export function DropBundle() {
  const take = useMutation({
    mutationFn: takeFile,
    onSuccess: () => void queryClient.invalidateQueries({ queryKey: KEYS.cases }),
  });
  return (
    <section aria-labelledby="drop-title" className="mt-6">
      <h2 id="drop-title" className="eyebrow">
        A case from a record system
      </h2>
      <div className="mt-2">
        <FileDrop
          label="FHIR Bundle"
          hint="Drop an HL7 FHIR R4 Bundle here (a JSON file), and it becomes a case of yours."
          accept=".json,application/json,application/fhir+json"
          isReading={take.isPending}
          take={take.mutate}
        />
      </div>
      <div className="mt-3">
        {take.isError && <Refused error={take.error} withPlaces />}
        {take.data && <Taken taken={take.data} />}
      </div>
    </section>
  );
}
