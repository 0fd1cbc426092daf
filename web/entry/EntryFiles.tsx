import { useRef, useState } from 'react';
import { pathFor } from '#contracts';
import { MOST_ENTRY_FILES, notYetIn, type EntryFile } from '#core/entry';
import { FilesAlong, FilesOnTheirWay, useSendEntryFiles } from '../files';
import { counted } from '../show';
import { AddFiles, Button, DropArea } from '../ui';
import type { EntryEditing } from './useEntryEditing';

/** The files of the entry that is being changed: added once they are sent, each once, and removed. */
function useFilesOfEntry({ put, latest }: EntryEditing) {
  const filesNow = () => latest().files ?? [];
  const set = (now: readonly EntryFile[]) => put({ files: now.length > 0 ? [...now] : undefined });
  const sending = useSendEntryFiles((file) => set([...filesNow(), ...notYetIn(filesNow(), [file])]));
  const [notAdded, setNotAdded] = useState(0);
  const add = (files: File[]) => {
    const room = MOST_ENTRY_FILES - filesNow().length;
    setNotAdded(Math.max(0, files.length - room));
    void sending.send(files.slice(0, room));
  };
  const remove = (file: EntryFile) => set(filesNow().filter(({ hash }) => hash !== file.hash));
  return { sending, notAdded, add, remove };
}

/** The files that go along with the entry wherever it is placed. */
export function EntryFiles({ editing }: { editing: EntryEditing }) {
  const { entry, changing, editable } = editing;
  const { files = [] } = changing.content;
  const { sending, notAdded, add, remove } = useFilesOfEntry(editing);
  const adding = useRef<HTMLButtonElement>(null);
  if (files.length === 0 && !editable) return null;
  const addressOf = ({ hash }: EntryFile) =>
    entry?.content.files?.some((one) => one.hash === hash)
      ? pathFor('entryFile', { entry: entry.id, hash })
      : null;
  const removing = (file: EntryFile) => (
    <Button
      look="text"
      onClick={() => {
        remove(file);
        // Its own button is gone with it.
        adding.current?.focus();
      }}
    >
      Remove<span className="sr-only"> {file.name}</span>
    </Button>
  );
  return (
    <DropArea
      aria-labelledby="files-title"
      className="border-t border-hair px-9 py-4 max-[899px]:px-4"
      take={editable ? add : null}
    >
      <h2 id="files-title" className="eyebrow">
        Files
      </h2>
      <FilesAlong label="Files of this entry" files={files} addressOf={addressOf}>
        {editable ? removing : undefined}
      </FilesAlong>
      {editable && (
        <p className="flex flex-wrap items-baseline gap-x-3 text-[13px] text-soft">
          <AddFiles
            ref={adding}
            label="Files for this entry"
            disabled={files.length >= MOST_ENTRY_FILES}
            take={add}
          />
          They are attached wherever this entry is placed.
        </p>
      )}
      {notAdded > 0 && (
        <p role="alert" className="text-[13px] text-rust">
          An entry has {MOST_ENTRY_FILES} files at the most:{' '}
          {counted(notAdded, 'file was not added', 'files were not added')}.
        </p>
      )}
      <FilesOnTheirWay sending={sending} />
    </DropArea>
  );
}
