import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { pathFor, type Case, type CaseFile, type Deletion } from '#contracts';
import { call } from '#client/api';
import { instantInWords } from '#client/clock';
import { bytesInWords } from '#core/language';
import { KEYS, queryClient } from '../api';
import { AddFiles, Button, DropArea, Notice, Refused } from '../ui';
import { FilesOnTheirWay } from './FilesOnTheirWay';
import { mediaInWords } from './mediaInWords';
import { useSendFiles } from './useSendFiles';

const askAgain = ({ id }: Pick<Case, 'id'>) => {
  for (const queryKey of [KEYS.case(id), KEYS.wastebasket]) void queryClient.invalidateQueries({ queryKey });
};

/** Deletes a file of a case, and brings the one deleted last back. */
function useDeleteFile(one: Case, giveKeys: () => void) {
  const [deleted, setDeleted] = useState<Deletion | null>(null);
  const drop = useMutation({
    mutationFn: (file: CaseFile) => call('deleteCaseFile', { params: { case: one.id, file: file.id } }),
    onSuccess: (deletion) => {
      setDeleted(deletion);
      askAgain(one);
    },
  });
  const back = useMutation({
    mutationFn: ({ id }: Deletion) => call('restore', { params: { deletion: id }, body: { entries: null } }),
    onSuccess: () => {
      setDeleted(null);
      askAgain(one);
      giveKeys();
    },
  });
  return { deleted, drop, back };
}

/** The file that was deleted last, with its undo; or why it was not. */
function DeletedFile({ deleting: { deleted, drop, back } }: { deleting: ReturnType<typeof useDeleteFile> }) {
  const error = drop.error ?? back.error;
  return (
    <>
      {deleted && (
        <Notice title={`${deleted.title} is in the wastebasket.`}>
          <Button look="text" autoFocus disabled={back.isPending} onClick={() => back.mutate(deleted)}>
            Undo
          </Button>
        </Notice>
      )}
      {error && <Refused error={error} />}
    </>
  );
}

interface LineProps {
  of: string;
  file: CaseFile;
  drop: () => void;
  isBusy: boolean;
}

function FileLine({ of, file, drop, isBusy }: LineProps) {
  const told = `${mediaInWords(file.media)}, ${bytesInWords(file.bytes, navigator.language)}`;
  return (
    <li className="flex min-h-6 max-w-full flex-wrap items-baseline gap-x-3">
      <a
        href={pathFor('caseFile', { case: of, file: file.id })}
        target="_blank"
        rel="noreferrer"
        title={`Added by ${file.addedBy}, ${instantInWords(file.addedAt)}`}
        className="min-w-0 max-w-[24rem] truncate underline underline-offset-4"
      >
        {file.name}
        <span className="sr-only">, opens in another tab</span>
      </a>
      <span className="text-soft">{told}</span>
      <Button look="text" disabled={isBusy} onClick={drop}>
        Delete<span className="sr-only"> {file.name}</span>
      </Button>
    </li>
  );
}

interface Props {
  one: Case;
  /** Gives the keys back to the text once something is done here. */
  giveKeys: () => void;
}

/** The files kept with a case, folded to their number; where others are added, chosen or dropped. */
export function FilesOfCase({ one, giveKeys }: Props) {
  const [isOpen, setOpen] = useState(false);
  const sending = useSendFiles();
  const deleting = useDeleteFile(one, giveKeys);
  const take = (files: File[]) => {
    setOpen(true);
    void sending.send(one.id, files);
  };
  const count = one.files.length;
  return (
    <DropArea
      aria-label="Files of this case"
      data-print="no"
      take={take}
      className={`flex flex-wrap items-baseline gap-x-4 gap-y-1 ${isOpen ? 'basis-full' : ''}`}
    >
      {count > 0 && (
        <Button look="text" aria-expanded={isOpen} onClick={() => setOpen((now) => !now)}>
          Files, {count.toLocaleString()}
        </Button>
      )}
      <AddFiles label="Files for this case" take={take} />
      {isOpen && count > 0 && (
        <ul className="grid max-h-52 basis-full grid-cols-[minmax(0,1fr)] gap-0.5 overflow-y-auto">
          {one.files.map((file) => (
            <FileLine
              key={file.id}
              of={one.id}
              file={file}
              drop={() => deleting.drop.mutate(file)}
              isBusy={deleting.drop.isPending}
            />
          ))}
        </ul>
      )}
      <div className="grid basis-full gap-1 empty:hidden">
        <FilesOnTheirWay sending={sending} />
        <DeletedFile deleting={deleting} />
      </div>
    </DropArea>
  );
}
