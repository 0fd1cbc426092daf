import { useId, useRef, useState } from 'react';
import type { EntryContent } from '#core/entry';
import { notationErrorInWords, readEntry, writeEntry } from '#core/notation';
import { Button } from '../../ui';

interface Props {
  content: EntryContent;
  editable: boolean;
  /** Takes over what was written. */
  put: (content: EntryContent) => void;
  close: () => void;
}

/** The place of a line and column in a text, counted in characters from its start. */
function offsetOf(text: string, line: number, column: number): number {
  const before = text.split('\n').slice(0, line - 1);
  return before.reduce((length, one) => length + one.length + 1, 0) + column - 1;
}

/** The whole entry as text, for people who like typing: taken over as soon as it can be read. */
export function NotationEditor({ content, editable, put, close }: Props) {
  const id = useId();
  const area = useRef<HTMLTextAreaElement>(null);
  const [typed, setTyped] = useState(() => writeEntry(content));
  const read = readEntry(typed);
  const goTo = () => {
    if (read.ok || !area.current) return;
    const at = offsetOf(typed, read.error.line, read.error.column);
    area.current.focus();
    area.current.setSelectionRange(at, at + 1);
  };
  const type = (text: string) => {
    setTyped(text);
    const now = readEntry(text);
    if (now.ok) put(now.value);
  };
  return (
    <div>
      <div className="flex items-baseline justify-between gap-4">
        <label htmlFor={id} className="eyebrow">
          The entry as text
        </label>
        <Button look="text" onClick={close}>
          Back to the page
        </Button>
      </div>
      <textarea
        id={id}
        ref={area}
        readOnly={!editable}
        spellCheck={false}
        aria-invalid={!read.ok}
        aria-describedby={`${id}-said`}
        className="mt-1 field-sizing-content min-h-60 w-full resize-none border-l border-hair bg-transparent pl-3 font-cue text-[13px] leading-relaxed focus:border-elder focus:outline-none"
        value={typed}
        onChange={({ target }) => type(target.value)}
      />
      <p id={`${id}-said`} role={read.ok ? 'status' : 'alert'} className="mt-2 text-[13px] text-soft">
        {read.ok ? (
          'It reads correctly; the page shows it.'
        ) : (
          <span className="text-rust">
            <Button look="text" onClick={goTo}>
              Line {read.error.line}, column {read.error.column}
            </Button>
            : {notationErrorInWords(read.error)} The page shows the last text that could be read.
          </span>
        )}
      </p>
    </div>
  );
}
