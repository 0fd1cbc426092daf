import { memo, useState } from 'react';
import type { Case } from '#contracts';
import { itemsOf, RECORD_LISTS, recordLine, type LinePart } from '#core/record';
import { KINDS } from '#core/work';
import { calendarToday } from '#client/clock';
import { useRecordRules } from '../api';
import { useLiveKeys } from '../shell';
import { Button, Key } from '../ui';
import { CorrectRecord } from './CorrectRecord';
import { factsOf, RecordOpen } from './RecordOpen';

const TONES: Record<LinePart['tone'], string> = {
  plain: '',
  warning: 'font-semibold text-rust',
  news: 'font-semibold text-leaf',
};

/** The record in one line. */
function Line({ parts }: { parts: readonly LinePart[] }) {
  return (
    <ul aria-label="The record in one line" className="flex min-w-0 flex-wrap gap-x-3 text-[14px]">
      {parts.map(({ words, tone }) => (
        <li key={words} className={TONES[tone]}>
          {words}
        </li>
      ))}
    </ul>
  );
}

const STORED = 'elderleaf.record-open';
const KEY = 'Alt + C';

/** Whether the record is open at the head of a leaf: remembered, and switched by a key. */
function useOpen() {
  const [isOpen, setOpen] = useState(() => localStorage.getItem(STORED) === 'yes');
  const toggle = () => {
    localStorage.setItem(STORED, isOpen ? 'no' : 'yes');
    setOpen(!isOpen);
  };
  useLiveKeys([{ key: KEY, does: isOpen ? 'Fold the record' : 'Open the record', run: toggle }]);
  return { isOpen, toggle };
}

/**
 * The case's record at the head of its leaf: one line of what matters, or the whole of it. It rests while the leaf beneath is written
 * and saved: its chart is long in drawing.
 */
export const Headpiece = memo(function Headpiece({ one }: { one: Case }) {
  const { title, record } = one;
  const [correcting, setCorrecting] = useState(false);
  const { isOpen, toggle } = useOpen();
  const rules = useRecordRules();
  const today = calendarToday();
  const isKnown =
    factsOf(title, record, today).length > 0 || RECORD_LISTS.some((list) => itemsOf(record, list).length > 0);
  // A leaf of no case has no record, until one writes something of it.
  if (!isKnown && KINDS[one.kind].details.length === 0) return null;
  const line = recordLine(record, { today, rules, locale: navigator.language });
  return (
    <section aria-label="Record" data-print="no" className="border-b border-hair px-9 pb-2 max-[899px]:px-4">
      {correcting ? (
        <CorrectRecord one={one} />
      ) : isOpen ? (
        <RecordOpen title={title} record={record} today={today} />
      ) : null}
      <div className="mt-0.5 flex flex-wrap items-baseline gap-x-4 text-[13px]">
        {!correcting && !isOpen && <Line parts={line} />}
        {isKnown && !correcting && (
          <Button look="text" aria-expanded={isOpen} aria-keyshortcuts="Alt+C" onClick={toggle}>
            {isOpen ? 'Fold the record' : 'Open the record'} <Key>{KEY}</Key>
          </Button>
        )}
        <Button look="text" aria-expanded={correcting} onClick={() => setCorrecting((now) => !now)}>
          {correcting ? 'The record is right now' : 'Correct the record'}
        </Button>
      </div>
    </section>
  );
});
