import { memo, useState } from 'react';
import type { Case } from '#contracts';
import { itemsOf, RECORD_LISTS, recordLine, type LinePart } from '#core/record';
import { KINDS } from '#core/work';
import { calendarToday } from '#client/clock';
import { useRecordRules } from '../api';
import { Button, Key } from '../ui';
import { CorrectRecord } from './CorrectRecord';
import { factsOf, RecordOpen } from './RecordOpen';
import { RECORD_KEY } from './recordKey';

const TONES: Record<LinePart['tone'], string> = {
  plain: '',
  warning: 'font-semibold text-rust',
  news: 'font-semibold text-leaf',
};

/** The record in one line; nothing where it says nothing. */
function Line({ parts }: { parts: readonly LinePart[] }) {
  if (parts.length === 0) return null;
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

/** Whether anything is known of what a case is about. */
const isRecordKnown = ({ title, record }: Case): boolean =>
  factsOf(title, record, calendarToday()).length > 0 ||
  RECORD_LISTS.some((list) => itemsOf(record, list).length > 0);

/** Whether a case has a record at its head: a leaf of no case has none, until one writes something of it. */
export const hasRecord = (one: Case): boolean => KINDS[one.kind].details.length > 0 || isRecordKnown(one);

interface Props {
  one: Case;
  isOpen: boolean;
  toggle: () => void;
  /** Where it stands: over the text in one line or open, or beside the margin, always open. */
  at?: 'head' | 'beside';
}

/**
 * The case's record at the head of its leaf: one line of what matters, or the whole of it. It rests while the leaf beneath is written
 * and saved: its chart is long in drawing.
 */
export const Headpiece = memo(function Headpiece({ one, isOpen, toggle, at = 'head' }: Props) {
  const { title, record } = one;
  const [correcting, setCorrecting] = useState(false);
  const rules = useRecordRules();
  const today = calendarToday();
  const isBeside = at === 'beside';
  const isWhole = isBeside || isOpen;
  const isKnown = isRecordKnown(one);
  if (!hasRecord(one)) return null;
  const line = recordLine(record, { today, rules, locale: navigator.language });
  const ways = (
    <div className="mt-0.5 flex flex-wrap items-baseline gap-x-4 text-[13px]">
      {!correcting && !isWhole && <Line parts={line} />}
      {isKnown && !correcting && !isBeside && (
        <Button look="text" aria-expanded={isOpen} aria-keyshortcuts="Alt+C" onClick={toggle}>
          {isOpen ? 'Fold the record' : 'Open the record'} <Key>{RECORD_KEY}</Key>
        </Button>
      )}
      <Button look="text" aria-expanded={correcting} onClick={() => setCorrecting((now) => !now)}>
        {correcting ? 'Back to the record' : 'Correct the record'}
      </Button>
    </div>
  );
  return (
    <section
      aria-label="Record"
      data-print="no"
      className={isBeside ? 'pt-6' : 'border-b border-hair px-9 pb-2 max-[899px]:px-4'}
    >
      {isBeside && (
        <>
          <h2 className="section-head">Record</h2>
          <div className="mb-2">{ways}</div>
        </>
      )}
      {correcting ? (
        <CorrectRecord one={one} />
      ) : isWhole ? (
        <RecordOpen title={title} record={record} today={today} />
      ) : null}
      {!isBeside && ways}
    </section>
  );
});
