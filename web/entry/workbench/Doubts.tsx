import { useMemo } from 'react';
import type { Answers } from '#core/draft';
import { checkEntry, type EntryContent } from '#core/entry';
import type { PlaceRequest } from '#core/fill';
import { doubtsOf, oddityInWords, type DoubtPlace, type OddReading, type Trial } from '#core/workbench';
import { useTrial } from './useTrial';

interface Props {
  request: Omit<PlaceRequest, 'cue' | 'id' | 'answers'>;
  /** The wording that is tried. */
  wording: string;
  /** Goes to where a doubt is. */
  show: (place: DoubtPlace) => void;
  /** Answers the reading so that it reads as the odd one does. */
  answer: (answers: Answers) => void;
}

const rowLook = 'block w-full border-b border-hair py-1 text-left text-[14px] hover:text-elder';

/** Places of what keeps an entry from being kept, where one can go there. */
function placeOf(content: EntryContent, place: readonly (string | number)[]): DoubtPlace | null {
  const [part, index] = place;
  if (typeof index !== 'number') return null;
  if (part === 'fields') return { field: content.fields[index]?.id ?? '' };
  return part === 'wordings' ? { wording: content.wordings[index]?.id ?? '' } : null;
}

function Odd({ odd, answer }: { odd: OddReading } & Pick<Props, 'answer'>) {
  const { line, from, to, code, said } = odd;
  const start = Math.max(0, from - 28);
  return (
    <li>
      <button type="button" className={rowLook} onClick={() => answer({ ...odd.answers })}>
        <span className="text-rust">Reads badly: {oddityInWords(code)}.</span>{' '}
        <span className="book text-[14px]">
          “{start > 0 && '…'}
          {line.slice(start, from)}
          <mark className="bg-flower text-ink">{line.slice(from, to)}</mark>
          {line.slice(to, to + 28)}
          {to + 28 < line.length && '…'}”
        </span>
        {said && <span className="block text-[12.5px] text-soft">{said}</span>}
      </button>
    </li>
  );
}

const counted = (count: number) => count.toLocaleString();

function triedInWords(trial: Trial | null): string {
  if (!trial) return 'Trying the ways it can read …';
  const { tried, total } = trial;
  if (total === 1) return 'It reads in one way only.';
  if (tried === total) return `Tried in all its ${counted(total)} ways.`;
  return `Tried in ${counted(tried)} of its ${counted(total)} ways, a fair sample.`;
}

/** Everything wrong or doubtful about the entry, each with its place; and what came of trying its branches. */
export function Doubts({ request, wording, show, answer }: Props) {
  const { content } = request.entry;
  const wrong = useMemo(() => checkEntry(content), [content]);
  const doubts = useMemo(() => doubtsOf(content), [content]);
  const trial = useTrial(request, wording);
  const odd = trial?.odd ?? [];
  const none = trial !== null && wrong.length + doubts.length + odd.length === 0;
  return (
    <section aria-label="To check">
      <h2 className="section-head">{none ? 'Nothing to check' : 'To check'}</h2>
      <ul>
        {wrong.map(({ message, place: where }) => {
          const to = placeOf(content, where);
          return (
            <li key={message}>
              <button type="button" className={`${rowLook} text-rust`} onClick={() => to && show(to)}>
                {message}
              </button>
            </li>
          );
        })}
        {doubts.map((doubt, index) => (
          <li key={`${doubt.message} ${index}`}>
            <button type="button" className={rowLook} onClick={() => show(doubt.place)}>
              {doubt.message}
            </button>
          </li>
        ))}
        {odd.map((one) => (
          <Odd key={`${one.part} ${one.code} ${one.line}`} odd={one} answer={answer} />
        ))}
      </ul>
      <p className="mt-1 text-[13px] text-soft">{triedInWords(trial)}</p>
    </section>
  );
}
