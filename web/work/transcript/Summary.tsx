import { useEditorState, type Editor } from '@tiptap/react';
import { useDeferredValue, useMemo, useState } from 'react';
import { finishedPassage } from '#core/fill';
import { plainText } from '#core/passage';
import { clockTime, sharesOf, summaryOf, turnsOf } from '#core/transcript';
import { fromEditor, transcriptOf } from '../../editor';

interface Props {
  editor: Editor;
  /** How long the recording is, in milliseconds; null where that is not known. */
  length: number | null;
}

const figure = (value: number) => value.toLocaleString();
const sound = (at: number) => clockTime(at / 1000);

/** What the transcript comes to, counted when there is time: typing comes first. */
function Figures({ editor, length }: Props) {
  // Held against the one before as it is: to look through both would take longer than to count.
  const now = useEditorState({
    editor,
    selector: ({ editor: { state } }) => state.doc,
    equalityFn: Object.is,
  });
  const doc = useDeferredValue(now);
  const { summary, shares, names } = useMemo(() => {
    const document = fromEditor(doc);
    const turns = turnsOf(document);
    const { cast, labels, times } = transcriptOf(doc);
    const transcript = { cast, labels, times: { ...times, shown: 'none' as const } };
    const untimed = { ...document, attrs: { ...document.attrs, transcript } };
    return {
      summary: summaryOf(plainText(finishedPassage(untimed)), turns, length),
      shares: sharesOf(turns, null),
      names: new Map(cast.map(({ id, name }) => [id, name])),
    };
  }, [doc, length]);
  const { words, characters, lines, done, left, pace } = summary;
  const rows: (readonly [string, string])[] = [
    ['Words', figure(words)],
    ['Characters with spaces', figure(characters)],
    ['Lines of 65 characters', figure(lines)],
    ['Sound written down', sound(done)],
    ...(left === null ? [] : [['Sound to go', sound(left)] as const]),
    ...(pace === null ? [] : [['Words a minute', figure(pace)] as const]),
  ];
  return (
    <>
      <dl className="mt-1 grid grid-cols-[1fr_auto] gap-x-4 text-[14px] tabular-nums">
        {rows.map(([label, value]) => (
          <div key={label} className="contents">
            <dt className="text-soft">{label}</dt>
            <dd className="text-right">{value}</dd>
          </div>
        ))}
      </dl>
      {shares.length > 0 && (
        <table className="mt-2 w-full text-left text-[14px] tabular-nums">
          <thead className="text-[12px] text-soft">
            <tr>
              <th className="font-normal">Speaker</th>
              <th className="text-right font-normal">Turns</th>
              <th className="text-right font-normal">Words</th>
              <th className="text-right font-normal">Time</th>
            </tr>
          </thead>
          <tbody>
            {shares.map(({ speaker, turns, words: said, spoken }) => (
              <tr key={speaker}>
                <td className="max-w-32 truncate">{names.get(speaker) ?? 'Unknown speaker'}</td>
                <td className="text-right">{figure(turns)}</td>
                <td className="text-right">{figure(said)}</td>
                <td className="text-right">{sound(spoken)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** Words, lines, sound to go, and how much each speaks; counted only while it is looked at. */
export function Summary(props: Props) {
  const [isOpen, setOpen] = useState(false);
  return (
    <details onToggle={({ currentTarget }) => setOpen(currentTarget.open)}>
      <summary className="w-fit cursor-pointer text-[13px] text-elder underline">
        Figures of this transcript
      </summary>
      {isOpen && <Figures {...props} />}
    </details>
  );
}
