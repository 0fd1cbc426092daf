import type { Node } from '@tiptap/pm/model';
import { useEditorState, type Editor } from '@tiptap/react';
import { useState, type KeyboardEvent } from 'react';
import { Button, Key, TextField, Tick } from '../../ui';
import { useFinding } from './useFinding';

interface Props {
  editor: Editor;
  /** What is looked for to begin with, as whole words in these capitals, and what it is changed to; else what is selected. */
  begin?: { words: string; put: string };
  close: () => void;
}

/** Selected words to begin with: those of one line. */
function wordsSelected({ state }: Editor): string {
  const { from, to, $from, $to } = state.selection;
  return $from.sameParent($to) ? state.doc.textBetween(from, to) : '';
}

/** What was found, in words. */
function foundInWords({ count, at, answered }: ReturnType<typeof useFinding>): string {
  if (count === 0) return 'Not in this draft.';
  const inAnswers = answered === 0 ? '' : `, ${answered} of them in answers, which stay as they are`;
  return `${at + 1} of ${count}${inAnswers}.`;
}

interface ActsProps {
  editor: Editor;
  finding: ReturnType<typeof useFinding>;
  put: string;
  /** Whether what was done last to the draft is that all were changed. */
  canUndo: boolean;
  /** Hears how many were changed at once; null once they are as before. */
  setChanged: (count: number | null) => void;
}

/** The ways through what was found, and what changes it. */
function Acts({ editor, finding, put, canUndo, setChanged }: ActsProps) {
  const isNone = finding.count === 0;
  return (
    <div className="flex flex-wrap gap-2">
      <Button onClick={() => finding.step(1)} disabled={isNone}>
        Next
      </Button>
      <Button onClick={() => finding.step(-1)} disabled={isNone}>
        Previous
      </Button>
      <Button onClick={() => finding.changeOne(put)} disabled={isNone || finding.isAnswered}>
        Change
      </Button>
      {canUndo ? (
        <Button
          onClick={() => {
            editor.commands.undo();
            setChanged(null);
          }}
        >
          Undo
        </Button>
      ) : (
        <Button
          onClick={() => setChanged(finding.changeAll(put))}
          disabled={finding.count === finding.answered}
        >
          Change all
        </Button>
      )}
    </div>
  );
}

/** How many were changed at once, and the draft as it was then. */
interface Changed {
  count: number;
  doc: Node;
}

/** Finds words in a draft as they are read, and changes those that are written; answers are stepped to and changed in their blank. */
export function FindSlip({ editor, begin, close }: Props) {
  const [words, setWords] = useState(() => begin?.words ?? wordsSelected(editor));
  const [put, setPut] = useState(begin?.put ?? '');
  const [as, setAs] = useState({ wholeWords: !!begin, sameCase: !!begin });
  const [changed, setChanged] = useState<Changed | null>(null);
  const doc = useEditorState({
    editor,
    selector: ({ editor: { state } }) => state.doc,
    equalityFn: Object.is,
  });
  const finding = useFinding(editor, { words, ...as });
  const lookedFor = (now: () => void) => {
    now();
    setChanged(null);
  };
  const keys = (onEnter: () => void) => (event: KeyboardEvent) => {
    if (event.nativeEvent.isComposing) return;
    if (event.key === 'Escape') {
      finding.stay();
      close();
    } else if (event.key !== 'Enter') return;
    else if (event.shiftKey) finding.step(-1);
    else onEnter();
    event.preventDefault();
  };
  const toggle = (one: keyof typeof as) => () => lookedFor(() => setAs({ ...as, [one]: !as[one] }));
  const toldIsWanted = words.trim() !== '' && (changed === null || finding.count > 0);
  return (
    <section aria-label="Find and change" className="slip grid gap-2">
      <TextField
        autoFocus
        label="Find"
        value={words}
        spellCheck={false}
        onChange={({ target }) => lookedFor(() => setWords(target.value))}
        onKeyDown={keys(() => finding.step(1))}
      />
      <TextField
        label="Change to"
        value={put}
        onChange={({ target }) => lookedFor(() => setPut(target.value))}
        onKeyDown={keys(() => finding.changeOne(put))}
      />
      <div className="flex flex-wrap gap-x-5">
        <Tick on={as.wholeWords} toggle={toggle('wholeWords')}>
          Whole words
        </Tick>
        <Tick on={as.sameCase} toggle={toggle('sameCase')}>
          Same capitals
        </Tick>
      </div>
      <p role="status" className="min-h-5 text-[13px] text-soft">
        {changed !== null && `Changed: ${changed.count}. `}
        {toldIsWanted && foundInWords(finding)}
      </p>
      <Acts
        {...{ editor, finding, put }}
        // Once something else was written, undo would take that back.
        canUndo={changed !== null && changed.doc === doc}
        setChanged={(count) => setChanged(count === null ? null : { count, doc: editor.state.doc })}
      />
      <p className="text-[12.5px] text-soft">
        <Key>Enter</Key> goes to the next, or changes; <Key>Shift + Enter</Key> goes back; <Key>Esc</Key>{' '}
        closes
      </p>
    </section>
  );
}
