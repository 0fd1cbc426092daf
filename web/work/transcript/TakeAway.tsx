import { useState } from 'react';
import type { Editor } from '@tiptap/react';
import type { Case } from '#contracts';
import { inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import { readTime, USUAL_LIMITS, type SubtitleLimits } from '#core/transcript';
import { Button, Key, Notice, NumericField, TextField, Tick } from '../../ui';
import { documentOf } from '../../writing';
import { WAYS_AWAY, type TakenAway } from './takenAway';

const LIMITS: readonly (readonly [keyof SubtitleLimits, string, number, number])[] = [
  ['lines', 'Lines', 1, 4],
  ['line', 'Characters in a line', 20, 80],
  ['seconds', 'Seconds at most', 2, 20],
  ['speed', 'Characters a second', 8, 40],
];

/** What a subtitle may be at the most. */
const LimitFields = ({ limits, set }: { limits: SubtitleLimits; set: (now: SubtitleLimits) => void }) => (
  <details className="text-[14px]">
    <summary className="w-fit cursor-pointer text-elder underline">Length of subtitles</summary>
    <div className="mt-1 grid grid-cols-2 gap-2">
      {LIMITS.map(([of, label, least, most]) => (
        <NumericField
          key={of}
          {...{ label, least, most }}
          isWhole
          value={limits[of]}
          change={(limit) => set({ ...limits, [of]: limit })}
        />
      ))}
    </div>
  </details>
);

/** A time as it is typed: null for nothing, undefined for what is no time. */
const typedTime = (text: string): number | null | undefined =>
  text.trim() === '' ? null : (readTime(text) ?? undefined);

const NO_TIME = 'Not a time yet: write it as 12:30 or 1:12:30.';

interface Props {
  one: Case;
  editor: Editor;
  /** How long the recording is, in milliseconds; null where that is not known. */
  length: number | null;
  /** Null where it stays as long as the text is finished. */
  close: (() => void) | null;
}

/** A transcript, or a part of it, taken away as a file. */
export function TakeAway({ one, editor, length, close }: Props) {
  const [{ times, head }, setHow] = useState({ times: false, head: true });
  const [limits, setLimits] = useState(USUAL_LIMITS);
  const [{ from, to }, setPart] = useState({ from: '', to: '' });
  const [said, setSaid] = useState<{ words: string; failed: boolean } | null>(null);
  const part = { from: typedTime(from), to: typedTime(to) };
  const isPart = (at: number | null | undefined) => at !== undefined;
  const save = ({ label, save: way }: (typeof WAYS_AWAY)[number]) => {
    const how: TakenAway = { part: { from: part.from ?? null, to: part.to ?? null }, times, head, limits };
    way({ one, document: documentOf(editor), length }, how, calendarToday()).then(
      () => setSaid({ words: `Downloaded: ${label}.`, failed: false }),
      (error: unknown) => setSaid({ words: inWords(error), failed: true }),
    );
  };
  return (
    <section aria-label="Take the transcript away" className="slip grid gap-3">
      <h2 className="section-head">Take the transcript away</h2>
      <div className="grid grid-cols-2 gap-2">
        {(['from', 'to'] as const).map((end) => (
          <TextField
            key={end}
            label={end === 'from' ? 'From' : 'To'}
            placeholder={end === 'from' ? 'the beginning' : 'the end'}
            value={end === 'from' ? from : to}
            error={isPart(part[end]) ? undefined : NO_TIME}
            onChange={({ target }) => setPart({ from, to, [end]: target.value })}
          />
        ))}
      </div>
      <div>
        <Tick on={times} toggle={() => setHow({ times: !times, head })}>
          With the times of turns
        </Tick>
        <Tick on={head} toggle={() => setHow({ times, head: !head })}>
          With the title and details above
        </Tick>
      </div>
      <LimitFields limits={limits} set={setLimits} />
      <div className="flex flex-wrap gap-2">
        {WAYS_AWAY.map((way) => (
          <Button key={way.label} disabled={!isPart(part.from) || !isPart(part.to)} onClick={() => save(way)}>
            {way.label}
          </Button>
        ))}
      </div>
      {said && <Notice tone={said.failed ? 'warning' : 'plain'} title={said.words} />}
      {close && (
        <Button className="w-fit" onClick={close}>
          Close <Key>Esc</Key>
        </Button>
      )}
    </section>
  );
}
