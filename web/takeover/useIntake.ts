import { useCallback, useMemo, useState } from 'react';
import { mainPassage, proposeTitle, type EntryContent } from '#core/entry';
import {
  entriesOfRows,
  intakeFile,
  rowKey,
  signsIn,
  withSignsTaken,
  type IntakeFile,
  type IntakeShape,
  type JoinedColumn,
  type LeftRow,
  type RowEntry,
  type Sign,
  type TakenSign,
} from '#core/intake';
import { plainPassage, plainText } from '#core/passage';
import { personalToFields, type personalFinder } from '#core/privacy';
import type { Intake } from '../documents';
import { rememberColumns, rememberedColumns } from './rememberedColumns';
import { newSettings } from './source';
import { useInTurns } from './useInTurns';

type Find = ReturnType<typeof personalFinder>;

/** What was changed by hand in a row. */
export interface RowEdit {
  title?: string;
  cue?: string;
  words?: string;
}

/** A sign, and what was decided about it. */
export interface SignDecided extends Sign {
  isTaken: boolean;
}

/** Somebody's detail in what comes in, however often it is there. */
export interface PersonalFound {
  words: string;
  places: number;
  isTaken: boolean;
}

/** All that is set about what comes in, and what it comes to. */
export interface IntakeState {
  shapes: IntakeShape[];
  at: number;
  pickShape: (at: number) => void;
  shape: IntakeShape;
  columns: JoinedColumn[];
  joinColumn: (at: number, joined: JoinedColumn) => void;
  language: string;
  setLanguage: (language: string) => void;
  groups: 'collections' | 'tags';
  setGroups: (groups: 'collections' | 'tags') => void;
  hasGroups: boolean;
  signs: SignDecided[];
  decideSign: (key: string, change: Partial<TakenSign & { isTaken: boolean }>) => void;
  /** Null while it is looked for. */
  personal: PersonalFound[] | null;
  togglePersonal: (words: string) => void;
  left: LeftRow[];
  /** Signs that stood before all cues and were taken off. */
  leadIn: string;
  edit: (row: number, change: RowEdit) => void;
  editMany: (changes: ReadonlyMap<number, RowEdit>) => void;
  /** The wording of a row as it is before signs become blanks, by the id of its entry. */
  wordsOf: (id: string) => string;
  file: IntakeFile;
}

const withEdit = (one: RowEntry, edit: RowEdit | undefined): RowEntry => {
  if (!edit) return one;
  const [first, ...others] = one.content.wordings;
  const parts = first!.parts.map((part, at, all) =>
    edit.words !== undefined && at === all.length - 1 ? { ...part, passage: plainPassage(edit.words) } : part,
  );
  const cue = edit.cue?.trim();
  const content: EntryContent = {
    ...one.content,
    ...(edit.title !== undefined && edit.title.trim() !== '' && { title: edit.title.trim() }),
    ...(cue !== undefined && { cues: cue === '' ? [] : [{ text: cue }, ...one.content.cues.slice(1)] }),
    wordings: [{ ...first!, parts }, ...others],
  };
  return { ...one, content, isTitled: one.isTitled && edit.title === undefined };
};

/** Rows that had no wording, with the one that was given by hand. */
const givenByHand = (
  left: readonly LeftRow[],
  edits: ReadonlyMap<number, RowEdit>,
  language: string,
): RowEntry[] =>
  left.flatMap(({ row, words }) => {
    const given = edits.get(row)?.words;
    if (given === undefined || given.trim() === '') return [];
    const content: EntryContent = {
      ...{ version: 1, title: words.slice(0, 200) || `Row ${row + 1}`, purpose: '', note: '', tags: [] },
      ...{ cues: [], fields: [] },
      wordings: [
        {
          id: 'main',
          name: 'Main',
          language,
          parts: [{ id: 'text', name: 'Text', passage: plainPassage(given) }],
        },
      ],
    };
    return [withEdit({ row, path: [], content, isTitled: false }, edits.get(row))];
  });

type Turned = ReturnType<typeof personalToFields>;

/**
 * Entries with somebody's details turned into fields, and those details, found some entries at a time. `known`: what was found before, by
 * contents that are the same still.
 */
function* personalIn(
  rows: readonly RowEntry[],
  find: Find | null,
  left: ReadonlySet<string>,
  known: WeakMap<EntryContent, Turned>,
) {
  const counts = new Map<string, { places: number; isPronoun: boolean }>();
  const done: RowEntry[] = [];
  for (const row of rows) {
    if (!find) {
      done.push(row);
      continue;
    }
    // He and she are left as they are unless somebody ticks them: they may well be meant of any.
    const before = known.get(row.content);
    const turned =
      before ??
      personalToFields(row.content, find, ({ kind, words }) => (kind === 'pronoun') === left.has(words));
    known.set(row.content, turned);
    const { content, found } = turned;
    for (const { words, kind } of found)
      counts.set(words, { places: (counts.get(words)?.places ?? 0) + 1, isPronoun: kind === 'pronoun' });
    done.push({ ...row, content });
    if (!before) yield;
  }
  const personal = [...counts].map(([words, { places, isPronoun }]): PersonalFound => ({
    ...{ words, places },
    isTaken: isPronoun === left.has(words),
  }));
  return { rows: done, personal: personal.sort((a, b) => b.places - a.places) };
}

/** What turns signs of entries into blanks; each entry once. */
function takingSigns(signs: readonly TakenSign[]): (content: EntryContent) => EntryContent {
  const all = new Map(signs.map((sign) => [sign.key, sign]));
  const known = new WeakMap<EntryContent, EntryContent>();
  return (content) => {
    const turned = known.get(content) ?? withSignsTaken(content, all);
    known.set(content, turned);
    return turned;
  };
}

/** The signs of entries as they were decided: those that are likely are taken until somebody says otherwise. */
function useSigns(rows: readonly RowEntry[]) {
  const [decided, setDecided] = useState<ReadonlyMap<string, Partial<TakenSign & { isTaken: boolean }>>>(
    new Map(),
  );
  const signs = useMemo(
    () =>
      signsIn(rows.map(({ content }) => content)).map((sign): SignDecided => ({
        ...sign,
        isTaken: sign.isLikely,
        ...decided.get(sign.key),
      })),
    [rows, decided],
  );
  // As long as the same signs are taken for the same, a row that nobody touched is the same too.
  const decision = JSON.stringify(
    signs
      .filter(({ isTaken }) => isTaken)
      .map(({ key, kind, name, options }) => ({ key, kind, name, options })),
  );
  const taken = useMemo(() => takingSigns(JSON.parse(decision) as TakenSign[]), [decision]);
  const turned = useMemo(
    () =>
      rows.map((one): RowEntry => {
        const content = taken(one.content);
        if (!one.isTitled || content === one.content) return { ...one, content };
        // A title that is made of the wording has no signs in it either.
        return {
          ...one,
          content: { ...content, title: proposeTitle(mainPassage(content)) || content.title },
        };
      }),
    [rows, taken],
  );
  const decideSign: IntakeState['decideSign'] = (key, change) =>
    setDecided((now) => new Map(now).set(key, { ...now.get(key), ...change }));
  return { signs, taken: turned, decideSign };
}

/** Which words of somebody's details are treated otherwise than usual, and what rows come to so. */
function usePersonal(rows: readonly RowEntry[], find: Find | null) {
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const known = useMemo(() => {
    // What was found is good for these decisions alone.
    void [find, left];
    return new WeakMap<EntryContent, Turned>();
  }, [find, left]);
  const begin = useMemo(() => () => personalIn(rows, find, left, known), [rows, find, left, known]);
  const done = useInTurns(begin);
  const togglePersonal = (words: string) =>
    setLeft((now) => {
      const next = new Set(now);
      if (!next.delete(words)) next.add(words);
      return next;
    });
  return { rows: done?.rows ?? rows, personal: find && done ? done.personal : null, togglePersonal };
}

/** What is brought in and how it is read, as far as it was changed by hand; and the file that it comes to. `find`: somebody's details. */
export function useIntake({ shapes }: Intake, name: string, find: Find | null): IntakeState {
  const [at, setAt] = useState(0);
  const [joined, setJoined] = useState<ReadonlyMap<number, JoinedColumn[]>>(new Map());
  const [language, setLanguage] = useState('en-GB');
  const [groups, setGroups] = useState<IntakeState['groups']>('collections');
  const [edits, setEdits] = useState<ReadonlyMap<number, RowEdit>>(new Map());
  const shape = shapes[at]!;
  const columns = useMemo(
    () => joined.get(at) ?? rememberedColumns(shape.table.heads) ?? shape.columns,
    [joined, at, shape],
  );
  const read = useMemo(() => entriesOfRows(shape.table, columns, language), [shape, columns, language]);
  const rows = useMemo(
    () => [
      ...read.entries.map((one) => withEdit(one, edits.get(one.row))),
      ...givenByHand(read.left, edits, language),
    ],
    [read, edits, language],
  );
  const { signs, taken, decideSign } = useSigns(rows);
  const personal = usePersonal(taken, find);
  const file = useMemo(
    () =>
      intakeFile(personal.rows, newSettings(shape.table.name || name, language, read.leadIn || ','), groups),
    [personal.rows, shape, name, language, read.leadIn, groups],
  );
  const editMany = useCallback(
    (changes: ReadonlyMap<number, RowEdit>) =>
      setEdits((now) => {
        const next = new Map(now);
        for (const [row, change] of changes) next.set(row, { ...next.get(row), ...change });
        return next;
      }),
    [],
  );
  return {
    ...{ shapes, at, shape, columns, language, setLanguage, groups, setGroups, signs, decideSign },
    pickShape: (next) => {
      setAt(next);
      // Rows of another layout are other rows.
      setEdits(new Map());
    },
    joinColumn: (column, to) => {
      const next = columns.map((one, index) => (index === column ? to : one));
      setJoined((now) => new Map(now).set(at, next));
      rememberColumns(shape.table.heads, next);
    },
    hasGroups: rows.some(({ path }) => path.length > 0),
    personal: personal.personal,
    togglePersonal: personal.togglePersonal,
    left: read.left.filter(({ row }) => (edits.get(row)?.words ?? '').trim() === ''),
    ...{ leadIn: read.leadIn, editMany, file },
    edit: (row, change) => editMany(new Map([[row, change]])),
    wordsOf: (id) => {
      const one = rows.find(({ row }) => rowKey(row) === id);
      return one ? plainText(mainPassage(one.content)) : '';
    },
  };
}
