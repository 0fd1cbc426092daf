import type { FormatName } from '#core/exchange';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import type { Case, LineChange, Tray, TrayLine } from '#contracts';
import { inWords } from '#client/api';
import { offerAs } from '#client/files';
import {
  FolderNames,
  nameFaultInWords,
  nameFaults,
  posixScript,
  powerShellScript,
  type FolderRenamings,
  type WayRenamed,
} from '#core/naming';
import { Figure } from '../../../shell';
import { Button, Notice } from '../../../ui';
import { calledFolder } from '../here/fileSystem';
import type { FilesHere, TrayFiles } from '../here/trayFiles';
import { TrayHead } from '../TrayHead';
import { changeLines } from '../useTray';
import { BecameList } from './BecameList';
import { packed } from './packed';
import { renameTable } from './renameTable';
import { useRenaming } from './useRenaming';

interface Props {
  one: Case;
  tray: Tray;
  files: TrayFiles;
  here: FilesHere;
}

/** Lines whose names can be given, and those that cannot as they are, with why not. */
function useReady({ lines, setup }: Tray) {
  return useMemo(() => {
    const names = new FolderNames(lines, setup.folder);
    const waiting = lines.filter(({ newName, renamed }) => newName !== null && renamed === null);
    const faulty = waiting.flatMap((line) => {
      const [fault] = nameFaults(line.newName!, names.placeOf(line.id));
      return fault ? [{ line, why: nameFaultInWords(fault) }] : [];
    });
    const isFaulty = new Set(faulty.map(({ line }) => line.id));
    return { ready: waiting.filter(({ id }) => !isFaulty.has(id)), faulty };
  }, [lines, setup.folder]);
}

/** The renamings of lines, folder by folder. */
function foldersOf(lines: readonly TrayLine[]): FolderRenamings[] {
  const folders = new Map<string, { from: string; to: string }[]>();
  for (const { folder, name, newName } of lines)
    folders.set(folder, [...(folders.get(folder) ?? []), { from: name, to: newName! }]);
  return [...folders].map(([folder, renamings]) => ({ folder, renamings }));
}

const files = (count: number) => `${count.toLocaleString()} file${count === 1 ? '' : 's'}`;

/** In the folder that was opened, after asking. */
function InFolder({
  here,
  ready,
  renaming,
}: {
  here: FilesHere;
  ready: readonly TrayLine[];
  renaming: ReturnType<typeof useRenaming>;
}) {
  const [isAsked, ask] = useState(false);
  const { isBusy, done, of, left, failed } = renaming;
  if (!here.folder || here.mustAsk)
    return (
      <p className="text-[14px] text-soft">
        {here.mustAsk
          ? 'Open the folder again on the page of the files: then they can be renamed where they are.'
          : 'Where the browser can open folders, open theirs on the page of the files: then they can be renamed where they are.'}
      </p>
    );
  return (
    <div className="grid gap-2">
      <p className="text-[14px] text-soft">
        Each file is copied to its new name in {calledFolder(here.folder)}, the copy is compared with it, and
        only then is the old one taken away. The day that the folder shows as changed will be today’s. It can
        be undone.
      </p>
      {isBusy ? (
        <p role="status" className="text-[14px]">
          {done.toLocaleString()} of {of.toLocaleString()} …
        </p>
      ) : isAsked ? (
        <p className="flex flex-wrap items-baseline gap-3">
          <Button
            look="main"
            onClick={() => {
              ask(false);
              renaming.rename(ready);
            }}
          >
            Rename {files(ready.length)} now
          </Button>
          <Button onClick={() => ask(false)}>Leave them</Button>
        </p>
      ) : (
        <p>
          <Button look="main" disabled={ready.length === 0} onClick={() => ask(true)}>
            Rename {files(ready.length)} in {calledFolder(here.folder)}
          </Button>
        </p>
      )}
      {failed && <Notice tone="warning" title={failed} />}
      {left.length > 0 && (
        <Notice
          tone="warning"
          title={`${files(left.length)} could not be renamed, and ${left.length === 1 ? 'is' : 'are'} as before.`}
        >
          <ul>
            {left.map(({ from, problem }) => (
              <li key={from}>
                {from}: {problem}.
              </li>
            ))}
          </ul>
        </Notice>
      )}
    </div>
  );
}

/** As an archive, a script or a table, for browsers and folders that cannot be changed from here. */
function Elsewhere({
  one,
  ready,
  files: held,
  tell,
}: Pick<Props, 'one' | 'files'> & {
  ready: readonly TrayLine[];
  tell: (way: WayRenamed) => void;
}) {
  const [count, setCount] = useState<number | null>(null);
  const pack = useMutation({
    mutationFn: () => packed(ready, held, setCount),
    onSuccess: (archive) => {
      offerAs('zip', archive, one.title);
      tell('zip');
    },
    onSettled: () => setCount(null),
  });
  const offer = (format: FormatName, content: string, title: string, way: WayRenamed) => {
    offerAs(format, content, title);
    tell(way);
  };
  const none = ready.length === 0;
  return (
    <div className="grid gap-2 text-[14px]">
      <p className="text-soft">
        Or take the new names away: the files with their new names in one archive, a script that renames them
        in their folder (and back, with the word undo), or a table.
      </p>
      <p className="flex flex-wrap gap-x-3 gap-y-2">
        <Button disabled={none || pack.isPending} onClick={() => pack.mutate()}>
          {count === null
            ? 'Archive (zip)'
            : `${count.toLocaleString()} of ${ready.length.toLocaleString()} …`}
        </Button>
        <Button
          disabled={none}
          onClick={() => offer('sh', posixScript(foldersOf(ready)), 'rename', 'script')}
        >
          Script for macOS and Linux
        </Button>
        <Button
          disabled={none}
          onClick={() => offer('ps1', powerShellScript(foldersOf(ready)), 'rename', 'script')}
        >
          Script for Windows
        </Button>
        <Button disabled={none} onClick={() => offer('csv', renameTable(ready), one.title, 'table')}>
          Table (CSV)
        </Button>
      </p>
      {pack.error && <Notice tone="warning" title={inWords(pack.error)} />}
    </div>
  );
}

/** How the files of a tray come to their new names, and what became what. */
export function RenameView({ one, tray, files: held, here }: Props) {
  const { ready, faulty } = useReady(tray);
  const renaming = useRenaming(one.id, held, here);
  const change = useMutation({
    mutationFn: (changes: readonly LineChange[]) => changeLines(one.id, changes),
  });
  const unnamed = tray.lines.filter(({ newName }) => newName === null).length;
  const done = tray.lines.filter(({ renamed }) => renamed !== null);
  const undo = (lines: readonly TrayLine[]) => {
    const inFolder = lines.filter(({ renamed }) => renamed === 'here');
    const taken = lines.filter(({ renamed }) => renamed !== 'here');
    if (inFolder.length > 0) renaming.giveBack(inFolder);
    if (taken.length > 0) change.mutate(taken.map(({ id }) => ({ line: id, renamed: null })));
  };
  return (
    <Figure
      marginLabel="What became what"
      margin={
        <div className="pt-6">
          <BecameList {...{ one, done, undo }} isBusy={renaming.isBusy || change.isPending} />
        </div>
      }
    >
      <TrayHead one={one} view="out" />
      <section aria-label="Rename" className="grid gap-5 px-9 py-5 max-[899px]:px-4">
        <p className="font-book text-[17px]">
          {ready.length === 0
            ? 'No file waits for its new name.'
            : `${files(ready.length)} ${ready.length === 1 ? 'has its' : 'have their'} new name ready.`}
          {unnamed > 0 && ` ${files(unnamed)} ${unnamed === 1 ? 'has' : 'have'} none yet.`}
        </p>
        {faulty.length > 0 && (
          <Notice tone="warning" title={`${files(faulty.length)} cannot be called so:`}>
            <ul className="grid gap-1">
              {faulty.slice(0, 20).map(({ line, why }) => (
                <li key={line.id} className="break-words">
                  <Link to={`?show=names&line=${line.id}`} className="underline">
                    {line.newName}
                  </Link>
                  : {why}
                </li>
              ))}
            </ul>
          </Notice>
        )}
        <InFolder {...{ here, ready, renaming }} />
        <Elsewhere
          {...{ one, ready, files: held }}
          tell={(way) => change.mutate(ready.map(({ id }) => ({ line: id, renamed: way })))}
        />
        {change.error && <Notice tone="warning" title={inWords(change.error)} />}
      </section>
    </Figure>
  );
}
