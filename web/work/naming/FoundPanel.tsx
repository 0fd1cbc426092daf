import type { Editor } from '@tiptap/react';
import { OFFER_LABELS } from '#core/glossary';
import { Key } from '../../ui';
import { useTyped } from '../../writing';
import type { Found } from './foundEntries';

interface Props {
  editor: Editor;
  found: readonly Found[];
  isEmpty: boolean;
  /** The title of the entry that the line before was begun by. */
  before: string | null | undefined;
  take: (at: number) => boolean;
}

/** What was found in the file, for a name that is begun: entries that it names, and its days. */
export function FoundPanel({ editor, found, isEmpty, before, take }: Props) {
  const { offered, command, begun } = useTyped(editor, null);
  // What is typed has offers of its own, by the same keys.
  if (offered || command || begun || (found.length === 0 && !before)) return null;
  return (
    <section aria-label="Found in this file" className="slip">
      {isEmpty && before && (
        <p className="pb-1 text-[13.5px]">
          <Key>Tab</Key> begins as the name before: {before}
        </p>
      )}
      {found.length > 0 && <p className="eyebrow">Found in this file</p>}
      {found.map((one, at) => (
        <button
          key={`${one.kind} ${one.words}`}
          type="button"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => take(at)}
          className="flex w-full items-baseline gap-2 border-b border-hair py-1 pr-1 text-left hover:bg-flower"
        >
          <span className="w-14 shrink-0 text-[12.5px] whitespace-nowrap text-soft">
            <Key>{`Alt + ${OFFER_LABELS[at] ?? ''}`}</Key>
          </span>
          <span className="shrink-0">{one.words}</span>
          <span
            className={`min-w-0 truncate text-[12.5px] ${one.kind === 'entry' ? 'font-cue text-leaf' : 'text-soft'}`}
            title={one.context}
          >
            {one.context}
          </span>
        </button>
      ))}
    </section>
  );
}
