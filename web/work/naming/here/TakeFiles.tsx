import { useRef, useState, type ChangeEvent, type DragEvent } from 'react';
import type { TrayLine } from '#contracts';
import { inWords } from '#client/api';
import { Button, Notice } from '../../../ui';
import { calledFolder, canOpenFolders, pickFolder } from './fileSystem';
import { SaveCopies } from './SaveCopies';
import type { FilesHere, TrayFiles } from './trayFiles';

/** A file or folder that was dropped, where the browser gives hold of it. */
type Held = { getAsFileSystemHandle?: () => Promise<FileSystemHandle | null> };

/** What was dropped: files with what holds them, or a folder. To be asked for while the event is told. */
async function dropped(event: DragEvent): Promise<{
  files: { file: File; folder: string; handle: FileSystemFileHandle | null }[];
  folder: FileSystemDirectoryHandle | null;
}> {
  const items = [...event.dataTransfer.items].filter(({ kind }) => kind === 'file');
  const plain = [...event.dataTransfer.files];
  const asked = items.map((item) => (item as Held).getAsFileSystemHandle?.() ?? Promise.resolve(null));
  const held = await Promise.all(asked.map((one) => one.catch(() => null)));
  const folder = held.find((one): one is FileSystemDirectoryHandle => one?.kind === 'directory') ?? null;
  const files = plain.flatMap((file, at) => {
    const handle = held[at]?.kind === 'file' ? (held[at] as FileSystemFileHandle) : null;
    return held[at]?.kind === 'directory' ? [] : [{ file, folder: '', handle }];
  });
  return { files, folder };
}

const counted = (count: number) =>
  count === 0 ? 'Nothing new.' : `${count.toLocaleString()} file${count === 1 ? ' is' : 's are'} new.`;

interface Props {
  of: string;
  files: TrayFiles;
  here: FilesHere;
  lines: readonly TrayLine[];
}

/** Does something with files, and says what came of it. */
function useTaking() {
  const [said, say] = useState<string | null>(null);
  const [failed, fail] = useState<string | null>(null);
  const [isBusy, setBusy] = useState(false);
  const run = async (act: () => Promise<number | null>) => {
    setBusy(true);
    fail(null);
    try {
      const count = await act();
      say(count === null ? null : counted(count));
    } catch (error) {
      fail(inWords(error));
    } finally {
      setBusy(false);
    }
  };
  return { said, failed, isBusy, run };
}

type Taking = ReturnType<typeof useTaking>;

/** The ways in which files come: a folder, files that are chosen, a folder looked into again. */
function Ways({
  files,
  here,
  taking,
  isEmpty,
}: Pick<Props, 'files' | 'here'> & { taking: Taking; isEmpty: boolean }) {
  const picker = useRef<HTMLInputElement>(null);
  const { said, isBusy, run } = taking;
  const folders = canOpenFolders();
  const openFolder = () =>
    run(async () => {
      const folder = await pickFolder();
      return folder ? files.openFolder(folder) : null;
    });
  const choose = (event: ChangeEvent<HTMLInputElement>) => {
    const chosen = [...(event.target.files ?? [])];
    event.target.value = '';
    if (chosen.length > 0)
      void run(() => files.take(chosen.map((file) => ({ file, folder: '', handle: null }))));
  };
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1 text-[14px]">
      {here.mustAsk && (
        <Button disabled={isBusy} onClick={() => void run(async () => (await files.ask(), null))}>
          Open {here.folder ? calledFolder(here.folder) : 'the files'} again
        </Button>
      )}
      {folders && (
        <Button look={isEmpty ? undefined : 'text'} disabled={isBusy} onClick={() => void openFolder()}>
          {here.folder ? 'Open another folder' : 'Open a folder'}
        </Button>
      )}
      <Button
        look={isEmpty && !folders ? undefined : 'text'}
        disabled={isBusy}
        onClick={() => picker.current?.click()}
      >
        {isEmpty ? 'Choose files' : 'Add files'}
      </Button>
      {here.folder && !here.mustAsk && (
        <Button look="text" disabled={isBusy} onClick={() => void run(() => files.look())}>
          Look into {calledFolder(here.folder)} again
        </Button>
      )}
      {isBusy && <span className="text-soft">Reading …</span>}
      {said && !isBusy && (
        <span role="status" className="text-soft">
          {said}
        </span>
      )}
      <input
        ref={picker}
        type="file"
        multiple
        className="sr-only"
        tabIndex={-1}
        aria-label="Files to be named"
        onChange={choose}
      />
    </div>
  );
}

/** How many files of the tray are not open here, and how they come to be. */
function Missing({ count, here }: { count: number; here: FilesHere }) {
  if (count === 0 || here.mustAsk) return null;
  const [are, them] = count === 1 ? ['One file is', 'it'] : [`${count.toLocaleString()} files are`, 'them'];
  return (
    <p className="mt-1 text-[13px] text-soft">
      {are} not open on this computer. Open {here.folder ? 'their folder' : 'the folder, or choose them,'} to
      see {them}: files are known again by name and size.
    </p>
  );
}

/** How files come into a tray: a folder is opened, or files are chosen or dropped. They stay on this computer. */
export function TakeFiles({ of, files, here, lines }: Props) {
  const [isOver, setOver] = useState(false);
  const taking = useTaking();
  const drop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    void taking.run(async () => {
      const { files: taken, folder } = await dropped(event);
      const opened = folder ? await files.openFolder(folder) : 0;
      return opened + (taken.length > 0 ? await files.take(taken) : 0);
    });
  };
  const isEmpty = lines.length === 0;
  const away = lines.filter(({ id, file }) => file === null && !here.open.has(id));
  const hereAlone = lines.filter(({ id, file }) => file === null && here.open.has(id));
  return (
    <div
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
      className={`mx-9 my-3 max-[899px]:mx-4 ${isEmpty ? 'border border-dashed border-rule/60 p-5' : ''} ${isOver ? 'bg-flower' : ''}`}
    >
      {isEmpty && (
        <p className="mb-3 text-[15px]">
          Drop scanned files here, {canOpenFolders() ? 'open a folder, ' : ''}or choose files. They stay on
          this computer: only their names, and what you type, are saved with the tray.
        </p>
      )}
      <Ways {...{ files, here, taking, isEmpty }} />
      <Missing count={away.length} here={here} />
      <SaveCopies {...{ of, files }} lines={hereAlone} />
      {taking.failed && (
        <div className="mt-2">
          <Notice tone="warning" title={taking.failed} />
        </div>
      )}
    </div>
  );
}
