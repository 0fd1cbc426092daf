import { useState } from 'react';
import { inWords } from '#client/api';
import { Button, FileDrop, Notice } from '../../ui';
import { readFirstDraft } from './firstDraft';
import type { TurnActs } from './turnActs';

/** So many remarks are shown at once. */
const MOST_SHOWN = 5;

/** What was taken in, and what of it could not be read. */
interface Taken {
  words: string;
  remarks: readonly string[];
  failed: boolean;
}

/** Where a text is dropped that was written down already: it is put on the leaf as turns, to be corrected. */
export function TakeText({ acts, isAsked }: { acts: TurnActs; isAsked: boolean }) {
  const [isTaking, setTaking] = useState(isAsked);
  const [isReading, setReading] = useState(false);
  const [taken, setTaken] = useState<Taken | null>(null);
  const take = async (file: File) => {
    setReading(true);
    try {
      const { lines, remarks } = await readFirstDraft(file);
      const { turns, speakers } = acts.takeIn(lines);
      const words = `${file.name}: ${turns === 1 ? '1 turn' : `${turns.toLocaleString()} turns`} of ${speakers === 1 ? '1 speaker' : `${speakers} speakers`}. Ctrl Z takes them back.`;
      setTaken({ words, remarks, failed: false });
    } catch (error) {
      setTaken({ words: inWords(error), remarks: [], failed: true });
    }
    setReading(false);
  };
  return (
    <div className="px-9 pt-1 max-[899px]:px-4" data-print="no">
      <Button look="text" aria-expanded={isTaking} onClick={() => setTaking(!isTaking)}>
        Take a text in
      </Button>
      {isTaking && (
        <section aria-label="Take a text in" className="grid gap-3 py-3">
          <FileDrop
            label="Text"
            hint="Drop a first draft here: WebVTT, SRT, or a text or docx with a label before each turn. Its turns are put at the end of the leaf."
            accept=".vtt,.srt,.txt,.text,.docx"
            isReading={isReading}
            take={([file]) => file && void take(file)}
          />
          {taken && (
            <Notice tone={taken.failed ? 'warning' : 'plain'} title={taken.words}>
              {taken.remarks.length > 0 && (
                <ul className="list-disc pl-4">
                  {taken.remarks.slice(0, MOST_SHOWN).map((remark) => (
                    <li key={remark}>{remark}</li>
                  ))}
                  {taken.remarks.length > MOST_SHOWN && <li>and {taken.remarks.length - MOST_SHOWN} more</li>}
                </ul>
              )}
            </Notice>
          )}
        </section>
      )}
    </div>
  );
}
