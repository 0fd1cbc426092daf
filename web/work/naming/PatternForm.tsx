import { useMutation } from '@tanstack/react-query';
import { X } from 'lucide-react';
import { useState } from 'react';
import type { Collection, Tray } from '#contracts';
import { inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import { keepEntry } from '#client/waiting';
import { takenCues, type BankIndex } from '#core/bank';
import { addMonths, dateInWords, type DateForm } from '#core/calendar';
import { proposeCue } from '#core/cue';
import {
  entryOfPattern,
  NAME_DATE_FORMS,
  PIECE_NAMES,
  splitName,
  stemOf,
  type NamePiece,
  type PieceKind,
} from '#core/naming';
import { takeKept } from '../../api';
import { useShell } from '../../shell';
import {
  Button,
  moved,
  NeededInput,
  Notice,
  SelectField,
  Sortable,
  SortableRow,
  TextField,
  useLastingIds,
} from '../../ui';

const JOINERS = [
  [' ', 'a space'],
  ['_', 'an underscore'],
  ['-', 'a hyphen'],
  [' - ', 'a dash between spaces'],
  [', ', 'a comma'],
  ['', 'nothing'],
] as const;

const ADDED: readonly PieceKind[] = [
  'date',
  'month-before',
  'sender',
  'subject',
  'number',
  'person',
  'words',
];
const nameOf = (kind: PieceKind) => (kind === 'words' ? 'Words' : PIECE_NAMES[kind]);

interface Row {
  id: string;
  piece: NamePiece;
}

const newPiece = (kind: PieceKind): NamePiece => {
  if (kind === 'date' || kind === 'month-before') return { kind, form: 'iso' };
  return kind === 'words' ? { kind, words: 'HM' } : { kind };
};

const FIRST: readonly Row[] = (['date', 'sender', 'subject'] as const).map((kind) => ({
  id: kind,
  piece: newPiece(kind),
}));

/** What a piece reads, on a file of this day. */
function sampleOf(piece: NamePiece, today: string): string {
  switch (piece.kind) {
    case 'date':
      return dateInWords(today, piece.form, 'en-GB');
    case 'month-before':
      return dateInWords(addMonths(today, -1), piece.form, 'en-GB');
    case 'words':
      return piece.words;
    default:
      return `[${PIECE_NAMES[piece.kind].toLowerCase()}]`;
  }
}

interface PieceProps {
  row: Row;
  today: string;
  change: (piece: NamePiece) => void;
  drop: () => void;
}

/** One piece of a pattern, with the form that it is written in. */
function Piece({ row: { id, piece }, today, change, drop }: PieceProps) {
  const name = nameOf(piece.kind);
  return (
    <SortableRow id={id} label={`Move ${name}`} className="border-b border-hair py-1">
      <div className="flex flex-wrap items-baseline gap-3 text-[14px]">
        <span className="w-28 shrink-0">{name}</span>
        {'form' in piece && (
          <select
            aria-label={`Form of ${name}`}
            className="input w-auto text-[14px]"
            value={piece.form}
            onChange={(event) => change({ ...piece, form: event.target.value as DateForm })}
          >
            {NAME_DATE_FORMS.map((form) => (
              <option key={form} value={form}>
                {dateInWords(today, form, 'en-GB')}
              </option>
            ))}
          </select>
        )}
        {piece.kind === 'words' && (
          <NeededInput
            aria-label="Words of the pattern"
            className="input w-40 text-[14px]"
            value={piece.words}
            maxLength={100}
            change={(words) => change({ ...piece, words })}
          />
        )}
        <Button look="text" className="ml-auto" aria-label={`Take ${name} away`} onClick={drop}>
          <X size={14} aria-hidden />
        </Button>
      </div>
    </SortableRow>
  );
}

/** The pieces as they are picked. */
function usePieces() {
  const [rows, setRows] = useState<readonly Row[]>(FIRST);
  const [count, setCount] = useState(0);
  return {
    rows,
    ids: rows.map(({ id }) => id),
    pieces: rows.map(({ piece }) => piece),
    add: (kind: PieceKind) => {
      setCount(count + 1);
      setRows([...rows, { id: `${kind} ${count}`, piece: newPiece(kind) }]);
    },
    change: (id: string, piece: NamePiece) =>
      setRows(rows.map((row) => (row.id === id ? { ...row, piece } : row))),
    drop: (id: string) => setRows(rows.filter((row) => row.id !== id)),
    move: (from: number, to: number) => setRows(moved(rows, from, to)),
  };
}

/** The collection that a pattern goes into first: one that is meant for names. */
const homeOf = (keepable: readonly Collection[]) =>
  keepable.find(({ kindsOfWork }) => kindsOfWork.includes('naming')) ??
  keepable.find(({ own }) => own) ??
  keepable[0];

/** A pattern as it is made: its pieces, what joins them, what it is called, and where it goes. */
function usePattern(index: BankIndex) {
  const { member } = useShell();
  const [title, setTitle] = useState('');
  const [joiner, setJoiner] = useState<string>(' ');
  const [given, setCue] = useState<string | null>(null);
  const picked = usePieces();
  const keepable = index.bank.collections.filter(({ right }) => right === 'keep');
  const [place, setPlace] = useState(() => homeOf(keepable)?.id ?? '');
  const collection = index.collections.get(place);
  const leadIn = collection?.leadIn ?? '';
  const cue =
    given ??
    (title.trim() === '' ? '' : proposeCue(title, takenCues(index, leadIn), collection?.cuesBy, () => false));
  // The same until it is saved: sent again after an answer that was lost, it makes no second pattern.
  const ids = useLastingIds();
  const save = useMutation({
    mutationFn: async ({ title }: { title: string; given: string | null }) => {
      const content = entryOfPattern(title.trim(), collection?.language ?? 'en-GB', picked.pieces, joiner);
      const cues = cue === '' ? [] : [{ kind: 'typed' as const, text: cue }];
      const body = {
        ...{ collection: place, content: { ...content, cues }, reason: 'A pattern of names' },
        key: ids.of('pattern'),
      };
      return (await keepEntry(member.id, body)).entry;
    },
    onSuccess: (entry, sent) => {
      takeKept(entry);
      ids.renew();
      // What was typed meanwhile is for the next one.
      setTitle((now) => (now === sent.title ? '' : now));
      setCue((now) => (now === sent.given ? null : now));
    },
  });
  const isWhole = title.trim() !== '' && picked.pieces.length > 0 && place !== '';
  return {
    ...{
      title,
      setTitle,
      joiner,
      setJoiner,
      cue,
      setCue,
      leadIn,
      place,
      setPlace,
      keepable,
      picked,
      save,
      send: () => save.mutate({ title, given }),
      isWhole,
    },
  };
}

/** The pieces of a pattern in their order, and those that can be added. */
function Pieces({ picked, today }: { picked: ReturnType<typeof usePieces>; today: string }) {
  return (
    <div className="max-w-xl">
      <Sortable ids={picked.ids} move={picked.move}>
        {picked.rows.map((row) => (
          <Piece
            key={row.id}
            {...{ row, today }}
            change={(piece) => picked.change(row.id, piece)}
            drop={() => picked.drop(row.id)}
          />
        ))}
      </Sortable>
      <p className="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1 text-[13.5px]">
        <span className="text-soft">Add:</span>
        {ADDED.map((kind) => (
          <Button key={kind} look="text" onClick={() => picked.add(kind)}>
            {nameOf(kind)}
          </Button>
        ))}
      </p>
    </div>
  );
}

/** What joins the pieces, what the pattern is called, and where it goes. */
function PatternFields({ pattern }: { pattern: ReturnType<typeof usePattern> }) {
  const { title, setTitle, joiner, setJoiner, cue, setCue, leadIn, place, setPlace, keepable } = pattern;
  return (
    <div className="grid max-w-xl grid-cols-2 gap-4 max-[899px]:grid-cols-1">
      <SelectField
        label="Between two pieces"
        value={joiner}
        onChange={(event) => setJoiner(event.target.value)}
      >
        {JOINERS.map(([sign, words]) => (
          <option key={sign} value={sign}>
            {words}
          </option>
        ))}
      </SelectField>
      <SelectField label="Collection" value={place} onChange={(event) => setPlace(event.target.value)}>
        {keepable.map(({ id, name }) => (
          <option key={id} value={id}>
            {name}
          </option>
        ))}
      </SelectField>
      <TextField
        label="What it is called"
        value={title}
        maxLength={200}
        onChange={(event) => setTitle(event.target.value)}
      />
      <TextField
        label="Cue"
        lead={leadIn}
        className="cue"
        value={cue}
        maxLength={40}
        spellCheck={false}
        onChange={(event) => setCue(event.target.value.trim())}
      />
    </div>
  );
}

/** Makes a pattern of names by picking its pieces, and saves it in the bank. */
export function PatternForm({ index, tray }: { index: BankIndex; tray: Tray }) {
  const pattern = usePattern(index);
  const { picked, joiner, title, save, send, isWhole } = pattern;
  const today = calendarToday();
  const [first] = tray.lines;
  const { ending } = splitName(first?.name ?? 'scan.pdf');
  const sample = picked.pieces.map((piece) => sampleOf(piece, today)).join(joiner);
  return (
    <form
      aria-label="A pattern of names"
      className="grid gap-4 border-t border-hair px-9 py-5 max-[899px]:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (isWhole && !save.isPending) send();
      }}
    >
      <h2 className="section-head">A pattern for one kind of paper</h2>
      <Pieces {...{ picked, today }} />
      <p className="text-[14px] text-soft">
        {first ? `${first.name} becomes ` : 'A file becomes '}
        <span className="font-book text-[16px] break-words text-ink">
          {stemOf(sample, tray.setup.style)}
          {ending}
        </span>
      </p>
      <PatternFields pattern={pattern} />
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
      {save.isSuccess && title === '' && (
        <Notice title={`Saved: “${save.data.content.title}”. Type its cue on a file’s line.`} />
      )}
      <p>
        <Button look="main" type="submit" disabled={save.isPending || !isWhole}>
          Save the pattern
        </Button>
      </p>
    </form>
  );
}
