import { useMutation } from '@tanstack/react-query';
import { useRef, useState, type DragEvent } from 'react';
import { Link } from 'react-router';
import type { TakenOver } from '#contracts';
import { ApiProblem, call, inWords } from '../api/client';
import { KEYS, queryClient } from '../api/queries';
import { Button, Notice } from '../ui';

const LIMIT = 4_000_000;

/** A file that never reached the server, with why. */
class UnreadableFile extends Error {}

async function takeFile(file: File): Promise<TakenOver> {
  if (file.size > LIMIT) throw new UnreadableFile(`${file.name} is larger than 4 MB. No case was made.`);
  let bundle: unknown;
  try {
    bundle = JSON.parse(await file.text());
  } catch (error) {
    throw new UnreadableFile(`${file.name} is not JSON: ${(error as Error).message}. No case was made.`);
  }
  return call('takeBundle', { body: bundle });
}

function Faults({ error }: { error: unknown }) {
  const faults = error instanceof ApiProblem ? (error.problem.faults ?? []) : [];
  return (
    <Notice tone="warning" title={error instanceof UnreadableFile ? error.message : inWords(error)}>
      <ul className="mt-1 grid gap-1.5">
        {faults.map((fault) => (
          <li key={fault.place + fault.message}>
            <span className="block font-cue text-[12px] break-all text-ink">{fault.place}</span>
            {fault.message}
          </li>
        ))}
      </ul>
    </Notice>
  );
}

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
  const [over, setOver] = useState(false);
  const picker = useRef<HTMLInputElement>(null);
  const take = useMutation({
    mutationFn: takeFile,
    onSuccess: () => void queryClient.invalidateQueries({ queryKey: KEYS.cases }),
  });
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    const [file] = event.dataTransfer.files;
    if (file) take.mutate(file);
  };
  return (
    <section aria-labelledby="drop-title" className="mt-6">
      <h2 id="drop-title" className="eyebrow">
        A case from a record system
      </h2>
      <div
        onDragOver={(event) => {
          event.preventDefault();
          setOver(true);
        }}
        onDragLeave={() => setOver(false)}
        onDrop={drop}
        className={`mt-2 border border-dashed p-4 text-[14px] ${over ? 'border-elder bg-flower' : 'border-rule/60'}`}
      >
        <p className="text-soft">
          Drop an HL7 FHIR R4 Bundle here (a JSON file), and it becomes a case of yours.
        </p>
        <Button className="mt-3" onClick={() => picker.current?.click()} disabled={take.isPending}>
          {take.isPending ? 'Reading …' : 'Choose a file'}
        </Button>
        <input
          ref={picker}
          type="file"
          accept=".json,application/json,application/fhir+json"
          className="sr-only"
          tabIndex={-1}
          aria-label="FHIR Bundle"
          onChange={(event) => {
            const [file] = event.target.files ?? [];
            if (file) take.mutate(file);
            event.target.value = '';
          }}
        />
      </div>
      <div className="mt-3">
        {take.isError && <Faults error={take.error} />}
        {take.data && <Taken taken={take.data} />}
      </div>
    </section>
  );
}
