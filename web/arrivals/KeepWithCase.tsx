import { useState } from 'react';
import { Link } from 'react-router';
import { useMutation } from '@tanstack/react-query';
import { bytesInWords } from '#core/language';
import { call } from '#client/api';
import { newLeaf } from '#client/cases';
import { KEYS, queryClient, useCases } from '../api';
import { FilesOnTheirWay, mediaInWords, mustFit, useSendFiles } from '../files';
import { Button, Notice, Refused, SelectField } from '../ui';
import { titleFrom } from '../work';

/** Makes a case for files, called after the first of them. */
async function caseFor(files: readonly File[]): Promise<string> {
  const body = newLeaf({ title: titleFrom(files[0]!) || 'Files' });
  return (await call('makeCase', { body })).id;
}

/** Refuses files of which none is small enough, before a case is made for them. */
async function mustFitOne(files: readonly File[]): Promise<void> {
  const tried = await Promise.allSettled(files.map((file) => mustFit(file)));
  const [first] = tried;
  if (first?.status === 'rejected' && tried.every(({ status }) => status === 'rejected')) throw first.reason;
}

interface Kept {
  of: string;
  count: number;
}

/** Files that no kind of work reads: told what they are, and kept with a case that one names, or a new one. */
export function KeepWithCase({ files, done }: { files: readonly File[]; done: () => void }) {
  const cases = useCases().data ?? [];
  const [of, setOf] = useState('');
  const sending = useSendFiles();
  const keep = useMutation({
    mutationFn: async (): Promise<Kept> => {
      await mustFitOne(files);
      const to = of === '' ? await caseFor(files) : of;
      return { of: to, count: (await sending.send(to, files)).length };
    },
    onSettled: () => queryClient.invalidateQueries({ queryKey: KEYS.cases }),
  });
  const kept = keep.data;
  if (kept && !keep.isPending)
    return (
      <div className="grid gap-2">
        {kept.count > 0 && (
          <Notice title={kept.count === 1 ? '1 file saved.' : `${kept.count} files saved.`}>
            <Link to={`/cases/${kept.of}`} className="text-elder underline">
              Open the case
            </Link>
          </Notice>
        )}
        <FilesOnTheirWay sending={sending} />
      </div>
    );
  return (
    <form
      aria-label="Save files with a case"
      className="grid min-w-0 grid-cols-[minmax(0,1fr)] gap-3 border-l-2 border-leaf py-1 pl-3 text-[14px]"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <div>
        <p className="font-semibold">No work here reads these files yet. Save them with a case?</p>
        <ul className="text-soft">
          {files.map((file, at) => (
            <li key={at} className="truncate">
              {file.name}: {mediaInWords(file.type, file.name)}, {bytesInWords(file.size, navigator.language)}
            </li>
          ))}
        </ul>
      </div>
      <SelectField label="Save with" value={of} onChange={({ target }) => setOf(target.value)}>
        <option value="">a new case</option>
        {cases.map(({ id, title, number }) => (
          <option key={id} value={id}>
            {number ? `${title}, ${number}` : title}
          </option>
        ))}
      </SelectField>
      <div className="flex gap-4">
        <Button type="submit" disabled={keep.isPending}>
          {files.length === 1 ? 'Save it' : 'Save them'}
        </Button>
        <Button look="text" disabled={keep.isPending} onClick={done}>
          Cancel
        </Button>
      </div>
      <FilesOnTheirWay sending={sending} />
      {keep.error && <Refused error={keep.error} />}
    </form>
  );
}
