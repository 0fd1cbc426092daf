import { Fragment, useMemo } from 'react';
import { entryDifference, type EntryChange, type Piece } from '#core/difference';
import type { EntryContent } from '#core/entry';

/** Of what is the same in a long text, so much is shown before and after a change. */
const SHOWN_BESIDE = 90;

/** What each part of an entry is called where a change of it is told, by the name of the field or wording. */
const TITLES: Record<EntryChange['about'], (name: string) => string> = {
  title: () => 'Title',
  state: () => 'In use',
  purpose: () => 'When to use it',
  note: () => 'Note',
  tags: () => 'Tags',
  cues: () => 'Cues',
  files: () => 'Files',
  comment: () => 'As a comment',
  field: (name) => `Field ${name}`,
  order: () => 'Order of the fields',
  condition: () => 'When a passage appears',
  short: (name) => `${name} is the short wording`,
  page: (name) => `The page that ${name} is for`,
  joins: (name) => `How ${name} joins`,
  language: (name) => `Language of ${name}`,
  wording: (name) => (name === 'Main' ? 'Wording' : `Wording ${name}`),
};

/** What a part of an entry is called where a change of it is told. */
export const titleOf = ({ about, name }: Pick<EntryChange, 'about' | 'name'>): string => TITLES[about](name);

/**
 * Words with their blanks ruled, by name, as the wording shows them. How a blank is written, and what is bold, is told only
 * where it has changed.
 */
function WithBlanks({ text, changed = false }: { text: string; changed?: boolean }) {
  const plain = text.replace(/(?<!\\)\*\*/g, '');
  const shown = changed && plain.trim() === '' ? text : plain;
  return shown.split(/(\{[^{}\n]*\})/).map((part, at) => {
    if (!part.startsWith('{')) return <Fragment key={at}>{part}</Fragment>;
    const [name, ...forms] = part.slice(1, -1).split('|');
    return (
      <span key={at} className="border-b border-rule px-1 text-[0.9em] text-leaf">
        {changed ? [name, ...forms].join(', ') : name}
      </span>
    );
  });
}

/** What stays of a text, shortened where it is long and nothing changes. */
function shortened(text: string, isFirst: boolean, isLast: boolean): string {
  const [head, tail] = [isFirst ? 0 : SHOWN_BESIDE, isLast ? 0 : SHOWN_BESIDE];
  if (text.length <= head + tail + SHOWN_BESIDE) return text;
  return `${text.slice(0, head)} … ${tail === 0 ? '' : text.slice(-tail)}`;
}

export function Pieces({ pieces }: { pieces: readonly Piece[] }) {
  return pieces.map(({ kind, text }, at) => {
    if (kind === 'added')
      return (
        <ins key={at} className="bg-leaf/15 decoration-leaf underline-offset-4">
          <WithBlanks text={text} changed />
        </ins>
      );
    if (kind === 'dropped')
      return (
        <del key={at} className="text-rust">
          <WithBlanks text={text} changed />
        </del>
      );
    return <WithBlanks key={at} text={shortened(text, at === 0, at === pieces.length - 1)} />;
  });
}

const SAID = { changed: '', added: ', new', dropped: ', taken out' };

interface Props {
  before: EntryContent;
  after: EntryContent;
  /** What of it is told elsewhere. */
  without?: readonly EntryChange['about'][];
}

const ALL: readonly EntryChange['about'][] = [];

/** In what two contents of an entry differ, in the text itself: words added underlined, words dropped struck out. */
export function DifferenceView({ before, after, without = ALL }: Props) {
  const changes = useMemo(
    () => entryDifference(before, after).filter(({ about }) => !without.includes(about)),
    [before, after, without],
  );
  if (changes.length === 0) return <p className="text-[14px] text-soft">They read the same.</p>;
  return (
    <dl className="grid gap-2">
      {changes.map((change) => (
        <div key={`${change.about} ${change.name} ${change.kind}`}>
          <dt className="text-[12.5px] text-soft">
            {titleOf(change)}
            {SAID[change.kind]}
          </dt>
          <dd
            className={`break-words whitespace-pre-wrap text-[15px] leading-[1.7] ${change.about === 'cues' ? 'font-cue text-[13px]' : 'font-book'}`}
          >
            <Pieces pieces={change.pieces} />
          </dd>
        </div>
      ))}
    </dl>
  );
}
