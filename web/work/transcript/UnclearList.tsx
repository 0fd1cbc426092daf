import { useEditorState, type Editor } from '@tiptap/react';
import { clockTime, timeFaults } from '#core/transcript';
import { timesIn, turnsIn } from '../../editor';
import { Button, Key } from '../../ui';
import type { TurnActs } from './turnActs';

/** So many of each are listed; the next come once these are mended. */
const SHOWN = 60;
/** So many letters on either side are shown of the line that something unclear is in. */
const AROUND = 40;

/** The places of a text that are marked as unclear, each with the words around it. */
function unclearIn({ state: { doc } }: Editor) {
  return timesIn(doc).flatMap(({ pos, at, unclear }) => {
    if (!unclear) return [];
    const $pos = doc.resolve(pos);
    const around = (from: number, to: number) =>
      $pos.parent.textBetween(Math.max(0, from), Math.min($pos.parent.content.size, to), undefined, (node) =>
        String((node.attrs as { text?: string }).text ?? ''),
      );
    const [before, after] = [
      around($pos.parentOffset - AROUND, $pos.parentOffset),
      around($pos.parentOffset, $pos.parentOffset + AROUND),
    ];
    // From a word's beginning on, and to its end.
    const begun = before.length < AROUND ? before : `… ${before.replace(/^\S*\s/, '')}`;
    const ended = after.length < AROUND ? after : `${after.replace(/\s\S*$/, '')} …`;
    return [{ pos, at, words: `${begun}${ended}`.trim() }];
  });
}

/** Times in the order of the text that cannot be right: each with where it stands. */
function faultsIn({ state: { doc } }: Editor, length: number | null) {
  const all = [
    ...turnsIn(doc).map(({ pos, attrs }) => ({ pos: pos + 1, at: attrs.at })),
    ...timesIn(doc).map(({ pos, at }) => ({ pos, at })),
  ].sort((a, b) => a.pos - b.pos);
  return timeFaults(
    all.map(({ at }) => at),
    length,
  ).map(({ index, at, kind }) => ({ pos: all[index]!.pos, at, kind }));
}

interface Props {
  editor: Editor;
  acts: TurnActs;
  /** How long the recording is, in milliseconds; null where that is not known. */
  length: number | null;
}

/** What is still to be heard again, and times that cannot be right; nothing where all is clear. */
export function UnclearList({ editor, acts, length }: Props) {
  const { unclear, faults, ...count } = useEditorState({
    editor,
    selector: () => {
      const [allUnclear, allFaults] = [unclearIn(editor), faultsIn(editor, length)];
      return {
        unclear: allUnclear.slice(0, SHOWN),
        faults: allFaults.slice(0, SHOWN),
        unclearCount: allUnclear.length,
        more: Math.max(0, allUnclear.length - SHOWN) + Math.max(0, allFaults.length - SHOWN),
      };
    },
  });
  if (unclear.length === 0 && faults.length === 0) return null;
  return (
    <section aria-label="To hear again">
      <div className="flex items-baseline gap-3">
        <h2 className="section-head">To hear again</h2>
        <span className="text-[13px] text-soft">{count.unclearCount > 0 && count.unclearCount}</span>
        {unclear.length > 0 && (
          <Button look="text" className="ml-auto text-[13px]" onClick={() => acts.nextUnclear()}>
            Next <Key>Alt + '</Key>
          </Button>
        )}
      </div>
      <ul className="mt-1 grid max-h-56 gap-1 overflow-y-auto text-[14px]">
        {unclear.map(({ pos, at, words }, place) => (
          // By their order: with each letter typed before them all places change, and the rows stay.
          <li key={place}>
            <button
              type="button"
              className="flex w-full items-baseline gap-2 text-left hover:text-elder"
              onClick={() => acts.goToUnclear(pos, at)}
            >
              <span className="cue shrink-0 tabular-nums">{clockTime(at / 1000)}</span>
              <span className="truncate">{words}</span>
            </button>
          </li>
        ))}
        {faults.map(({ pos, at, kind }, place) => (
          <li key={`fault ${place}`}>
            <button
              type="button"
              className="flex w-full items-baseline gap-2 text-left text-rust"
              onClick={() => acts.goTo(pos)}
            >
              <span className="cue shrink-0 text-rust tabular-nums">{clockTime(at / 1000)}</span>
              <span>{kind === 'past-end' ? 'is past the end' : 'is before the time above it'}</span>
            </button>
          </li>
        ))}
      </ul>
      {count.more > 0 && (
        <p className="text-[13px] text-soft">{count.more} more follow once these are done.</p>
      )}
    </section>
  );
}
