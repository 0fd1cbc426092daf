import { useCallback, useEffect, useMemo, useRef, useState, useSyncExternalStore } from 'react';
import { useSearchParams } from 'react-router';
import type { Case, Tray, TrayLine } from '#contracts';
import { calendarToday } from '#client/clock';
import { FolderNames, nameFaultInWords, nameFaults } from '#core/naming';
import { KEYS, queryClient, useCase } from '../../api';
import { Figure, type Action } from '../../shell';
import { Failed, Loading } from '../../ui';
import { useLeafActions } from '../../leaf';
import { FileBeside } from './FileBeside';
import { foundIn } from './foundEntries';
import { TakeFiles } from './here/TakeFiles';
import { TrayFiles, type FilesHere } from './here/trayFiles';
import { HowView } from './HowView';
import { LineText, type LineHandle, type LineProps } from './LineText';
import { RenameView } from './out/RenameView';
import { PaperShelf } from './paperShelf';
import { proposerFor } from './proposedFor';
import { TrayHead, VIEWS, type View } from './TrayHead';
import { TrayList } from './TrayList';
import { useSaidBefore, useTray } from './useTray';

const LANGUAGES: readonly string[] =
  navigator.languages.length > 0 ? navigator.languages.slice(0, 4) : ['en-GB'];

/** The files of a tray on this computer, and what is read of them, for as long as its page is open. */
function useFilesHere(of: string) {
  const [{ files, shelf }] = useState(() => {
    const made = new TrayFiles(of, () => queryClient.getQueryData<Tray>(KEYS.tray(of))?.lines ?? []);
    return { files: made, shelf: new PaperShelf(made) };
  });
  const here = useSyncExternalStore(files.subscribe, files.snapshot);
  // Drawn again with each file that was read.
  useSyncExternalStore(shelf.subscribe, shelf.snapshot);
  useEffect(() => {
    void files.again();
    // Scans may have come while one was elsewhere.
    const look = () => void files.look().catch(() => 0);
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [files]);
  useEffect(() => () => shelf.end(), [shelf]);
  return { files, shelf, here };
}

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
  const shape = lines
    .map(({ id, folder, name, newName, renamed }) => `${id} ${folder}/${newName ?? name} ${renamed ?? ''}`)
    .join('\n');
  // eslint-disable-next-line react-hooks/exhaustive-deps -- what counts of the lines is in their shape
  return useMemo(() => new FolderNames(lines, root), [shape, root]);
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

const NO_LINE_ACTIONS: Action[] = [];
/** With no file in the tray there is nothing to write on. */
function NothingToName() {
  useLeafActions(NO_LINE_ACTIONS, null, () => null);
  return null;
}

/** How far the files were read, while they are. */
function ReadingLine({ shelf, lines }: { shelf: PaperShelf; lines: readonly TrayLine[] }) {
  const { read, of } = shelf.progress(lines);
  if (read === 0 || read >= of) return null;
  return (
    <span className="text-[13px] text-soft">
      {read.toLocaleString()} of {of.toLocaleString()} looked through
    </span>
  );
}

/** The files of a tray with their names, the one that is written on, and its file beside it. */
function FilesView({ one, tray, files, shelf, here }: FilesProps) {
  const { lines, setup } = tray;
  const { line, go } = useLineHere(lines);
  const [said, say] = useState<string | null>(null);
  const [turn, setTurn] = useState(0);
  const [beside, setBeside] = useState<HTMLElement | null>(null);
  const handleRef = useRef<LineHandle | null>(null);
  const names = useFolderNames(lines, setup.folder);
  const faultOf = useFaults(lines, names);
  const at = lines.findIndex(({ id }) => id === line?.id);
  const place = useMemo(() => names.placeOf(line?.id ?? ''), [names, line?.id]);
  const open = here.open;
  const isAtHand = (one: TrayLine) => open.has(one.id) || one.file !== null;
  useEffect(() => {
    // The one in hand first, then those that come after it.
    const ahead = [...lines.slice(Math.max(0, at)), ...lines.slice(0, Math.max(0, at))];
    shelf.wanted(ahead.filter((one) => open.has(one.id) || one.file !== null));
  }, [shelf, lines, at, open]);
  const paper = line ? (shelf.of(line.id)?.paper ?? null) : null;
  const said_before = useSaidBefore().data;
  const proposer = useMemo(
    () =>
      paper &&
      proposerFor(paper, {
        ...{ today: calendarToday(), languages: LANGUAGES },
        ...{ numbers: setup.numbers, said: said_before ?? [] },
      }),
    [paper, setup.numbers, said_before],
  );
  const sorted = useMemo(() => names.sortedBeside(line?.id ?? ''), [names, line?.id]);
  const step = (by: 1 | -1) => {
    const next = lines[at + by];
    say(null);
    if (next) go(next.id);
  };
  const done = () => {
    const isOpen = ({ newName, id }: TrayLine) => newName === null && id !== line?.id;
    const next = lines.slice(at + 1).find(isOpen) ?? lines.slice(0, Math.max(0, at)).find(isOpen);
    void queryClient.invalidateQueries({ queryKey: KEYS.saidBefore });
    if (next) go(next.id);
    say(next ? null : 'Every file has its new name. Rename them on the page of that name.');
  };
  const found: LineProps['found'] = ({ index, reach }) =>
    paper && index && reach
      ? foundIn(paper, { index, reach, languages: LANGUAGES, today: calendarToday() })
      : [];
  const named = lines.filter(({ newName }) => newName !== null).length;
  const missing = lines.filter((one) => !isAtHand(one)).length;
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
        <ReadingLine {...{ shelf, lines }} />
        {lines.length > 0 && (
          <span className="text-[13px] text-soft">
            {named.toLocaleString()} of {lines.length.toLocaleString()} named
          </span>
        )}
      </TrayHead>
      <TakeFiles
        {...{ of: one.id, files, here, missing }}
        isEmpty={lines.length === 0}
        hereAlone={lines.filter(({ id, file }) => file === null && open.has(id))}
      />
      {line ? (
        <TrayList
          {...{ lines, open, faultOf, go }}
          here={line.id}
          written={
            <LineText
              key={`${line.id} ${turn}`}
              {...{
                one,
                line,
                setup,
                sorted,
                paper,
                proposer,
                found,
                done,
                step,
                said,
                say,
                beside,
                handleRef,
              }}
              place={place}
              before={begunBy(lines[at - 1])}
              actions={NO_LINE_ACTIONS}
              renew={() => setTurn((now) => now + 1)}
            />
          }
        />
      ) : (
        <NothingToName />
      )}
    </Figure>
  );
}

function OpenTray({ one, tray }: { one: Case; tray: Tray }) {
  const [params] = useSearchParams();
  const held = useFilesHere(one.id);
  const asked = params.get('show') as View | null;
  const view = asked && VIEWS.includes(asked) ? asked : 'names';
  if (view === 'how') return <HowView {...{ one, tray }} />;
  if (view === 'out') return <RenameView {...{ one, tray }} files={held.files} here={held.here} />;
  return <FilesView {...{ one, tray }} {...held} />;
}

/** A tray of files: they are named one after the other, and get their names. */
export function TrayLeaf({ id }: { id: string }) {
  const found = useCase(id);
  const tray = useTray(id);
  if (found.data && tray.data) return <OpenTray one={found.data} tray={tray.data} />;
  const failed = found.isError ? found : tray.isError ? tray : null;
  return (
    <Figure marginLabel="Beside the tray" margin={null}>
      {failed ? (
        <Failed
          what="this tray"
          error={failed.error}
          retry={() => void Promise.all([found.refetch(), tray.refetch()])}
        />
      ) : (
        <Loading what="the tray" />
      )}
    </Figure>
  );
}
