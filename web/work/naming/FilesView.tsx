import { useCallback, useEffect, useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Case, Tray, TrayLine } from '#contracts';
import { inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import {
  FolderNames,
  type FileInFolder,
  nameFaultInWords,
  nameFaults,
  type Paper,
  type TraySetup,
} from '#core/naming';
import { KEYS, queryClient } from '../../api';
import { useLeafActions } from '../../leaf';
import { Figure, type Action } from '../../shell';
import { FileBeside } from './FileBeside';
import { foundIn } from './foundEntries';
import { TakeFiles } from './here/TakeFiles';
import type { FilesHere, TrayFiles } from './here/trayFiles';
import type { LineProps } from './lineProps';
import { LineText } from './LineText';
import type { PaperShelf } from './paperShelf';
import { proposerFor } from './proposedFor';
import { TrayHead } from './TrayHead';
import { TrayList } from './TrayList';
import { useTakenOut } from './TakenOut';
import { changeLines, lineNow, useSaidBefore } from './useTray';

const LANGUAGES: readonly string[] =
  navigator.languages.length > 0 ? navigator.languages.slice(0, 4) : ['en-GB'];

/** Which line is written on: the one of the address, else the first without a name. */
function useLineHere(lines: readonly TrayLine[]) {
  const [params, setParams] = useSearchParams();
  // Held here as well: the address follows later than the next key comes.
  const [wanted, want] = useState(params.get('line'));
  const line =
    lines.find(({ id }) => id === wanted) ?? lines.find(({ newName }) => newName === null) ?? lines[0];
  const go = useCallback(
    (id: string) => {
      want(id);
      setParams((now) => ({ ...Object.fromEntries(now), line: id }), { replace: true });
    },
    [setParams],
  );
  return { line, go };
}

/** The entry that a name was begun by; null for none. */
const begunBy = (line: TrayLine | undefined): string | null =>
  Object.values(line?.document?.attrs.placements ?? {})[0]?.entry ?? null;

interface FilesProps {
  one: Case;
  tray: Tray;
  files: TrayFiles;
  shelf: PaperShelf;
  here: FilesHere;
}

/** The names that the files have or are to have. With what is typed in one that has none yet they stay as they are. */
function useFolderNames(lines: readonly TrayLine[], root: string): FolderNames {
  const shape = JSON.stringify(
    lines.map(({ id, folder, name, newName, renamed }): FileInFolder => ({
      id,
      folder,
      name,
      newName,
      renamed,
    })),
  );
  return useMemo(() => new FolderNames(JSON.parse(shape) as FileInFolder[], root), [shape, root]);
}

/** What is wrong with the names that are done, found once for all. */
function useFaults(lines: readonly TrayLine[], names: FolderNames) {
  const found = useMemo(
    () =>
      new Map(
        lines.flatMap(({ id, newName, renamed }) => {
          const [fault] = newName !== null && renamed === null ? nameFaults(newName, names.placeOf(id)) : [];
          return fault ? [[id, nameFaultInWords(fault)] as const] : [];
        }),
      ),
    [lines, names],
  );
  return (line: TrayLine) => found.get(line.id) ?? null;
}

const NO_ACTIONS: Action[] = [];
/** With no file in the tray there is nothing to write on. */
function NothingToName() {
  useLeafActions(NO_ACTIONS, null, () => null);
  return null;
}

/** How far the files were read, while they are. */
function ReadingLine({ shelf, lines }: { shelf: PaperShelf; lines: readonly TrayLine[] }) {
  const { read, of } = shelf.progress(lines);
  if (read === 0 || read >= of) return null;
  return (
    <span className="text-[13px] text-soft">
      {read.toLocaleString()} of {of.toLocaleString()} read
    </span>
  );
}

/** What is offered for the blanks of a name, from its file and from earlier names; null as long as the file was not looked into. */
function useProposer(paper: Paper | null, { numbers }: TraySetup) {
  const before = useSaidBefore().data;
  return useMemo(
    () =>
      paper &&
      proposerFor(paper, { today: calendarToday(), languages: LANGUAGES, numbers, said: before ?? [] }),
    [paper, numbers, before],
  );
}

const found: LineProps['found'] = (paper, index, reach) =>
  foundIn(paper, { index, reach, languages: LANGUAGES, today: calendarToday() });

/** Has the files of a tray read: the one in hand first, then those that come after it. */
function useReadAhead(lines: readonly TrayLine[], at: number, { open }: FilesHere, shelf: PaperShelf): void {
  useEffect(() => {
    const here = Math.max(0, at);
    const ahead = [...lines.slice(here), ...lines.slice(0, here)];
    shelf.wanted(ahead.filter(({ id, file }) => open.has(id) || file !== null));
  }, [shelf, lines, at, open]);
}

/** From one line to another. */
function useSteps(
  lines: readonly TrayLine[],
  at: number,
  go: (line: string) => void,
  say: (words: string | null) => void,
) {
  const step = (by: 1 | -1) => {
    const next = lines[at + by];
    say(null);
    if (next) go(next.id);
  };
  const done = () => {
    const isOpen = ({ newName }: TrayLine) => newName === null;
    const next = lines.slice(at + 1).find(isOpen) ?? lines.slice(0, Math.max(0, at)).find(isOpen);
    void queryClient.invalidateQueries({ queryKey: KEYS.saidBefore });
    if (next) go(next.id);
    say(next ? null : 'Every file has its new name. Rename them on the page of that name.');
  };
  return { step, done };
}

/** What stands at the right of the head: how far reading and naming have come. */
const Progress = ({ shelf, lines }: { shelf: PaperShelf; lines: readonly TrayLine[] }) => (
  <>
    <ReadingLine {...{ shelf, lines }} />
    {lines.length > 0 && (
      <span className="text-[13px] text-soft">
        {lines.filter(({ newName }) => newName !== null).length.toLocaleString()} of{' '}
        {lines.length.toLocaleString()} named
      </span>
    )}
  </>
);

/** The files of a tray with their names, the one that is written on, and its file beside it. */
export function FilesView({ one, tray, files, shelf, here }: FilesProps) {
  const { lines, setup } = tray;
  const { line, go } = useLineHere(lines);
  const [said, say] = useState<string | null>(null);
  const [beside, setBeside] = useState<HTMLElement | null>(null);
  const names = useFolderNames(lines, setup.folder);
  const faultOf = useFaults(lines, names);
  const at = lines.findIndex(({ id }) => id === line?.id);
  const place = useMemo(() => names.placeOf(line?.id ?? ''), [names, line?.id]);
  const sorted = useMemo(() => names.sortedBeside(line?.id ?? ''), [names, line?.id]);
  useReadAhead(lines, at, here, shelf);
  const paper = line ? (shelf.of(line.id)?.paper ?? null) : null;
  const proposer = useProposer(paper, setup);
  const steps = useSteps(lines, at, go, say);
  const { open } = here;
  const [out, setOut] = useState<TrayLine | null>(null);
  const takenOut = useTakenOut(one.id, out, (id) => {
    setOut(null);
    go(id);
  });
  const takeOut = ({ id }: TrayLine) => {
    const next = lines[at + 1] ?? lines[at - 1];
    const now = lineNow(one.id, id) ?? null;
    changeLines(one.id, [{ line: id, drop: true }]).then(
      () => {
        if (next) go(next.id);
        say(null);
        setOut(now);
      },
      (error: unknown) => say(inWords(error)),
    );
  };
  const written = line && (
    <LineText
      key={line.id}
      {...{ one, line, setup, place, sorted, paper, proposer, found, said, say, beside }}
      {...steps}
      before={begunBy(lines[at - 1])}
      takeOut={() => takeOut(line)}
      putBack={takenOut.undo}
    />
  );
  const margin = (
    <div className="sticky top-4 grid max-h-[calc(100vh-2rem)] gap-3 overflow-y-auto pt-4">
      <div ref={setBeside} />
      {line && (
        <FileBeside key={line.id} {...{ line, files }} read={shelf.of(line.id)} isOpen={open.has(line.id)} />
      )}
    </div>
  );
  return (
    <Figure marginLabel="The file in hand" margin={margin}>
      <TrayHead one={one} view="names">
        <Progress {...{ shelf, lines }} />
      </TrayHead>
      <TakeFiles {...{ of: one.id, files, here, lines }} />
      {takenOut.notice}
      {line ? <TrayList {...{ lines, open, faultOf, go, written }} here={line.id} /> : <NothingToName />}
    </Figure>
  );
}
