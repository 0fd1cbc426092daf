import { useDeferredValue, useMemo } from 'react';
import { clashInWords, mendInWords, type Clash, type Cue } from '#core/cue';
import { type BankIndex, bankCues, withWritten, type WrittenCues } from '#core/bank';
import { Button } from '../ui';
import { useClashes } from './useClashes';

interface Props {
  index: BankIndex;
  written: WrittenCues;
  change: (cues: Cue[]) => void;
}

/** What the cues being written are in conflict with, before they are kept; each mend is one step away. */
export function WrittenClashes({ index, written, change }: Props) {
  const settled = useDeferredValue(written);
  const all = useMemo(() => bankCues(index), [index]);
  const cues = useMemo(() => withWritten(all, settled), [all, settled]);
  const clashes = useClashes(cues) ?? [];
  const own = clashes.filter(
    ({ cue, other }) => cue.entry === settled.entry || other?.entry === settled.entry,
  );
  const take = ({ cue, mend }: Clash) =>
    change(
      written.cues.map((one) =>
        cue.leadIn + one.text === cue.typed && !one.as
          ? {
              ...one,
              text: mend.cue ?? one.text,
              ...(mend.rules && { rules: { ...one.rules, ...mend.rules } }),
            }
          : one,
      ),
    );
  return (
    <ul aria-label="Clashes of these cues">
      {own.map((clash) => (
        <li
          key={`${clash.code} ${clash.cue.typed} ${clash.other?.entry ?? clash.word ?? ''}`}
          className="flex flex-wrap items-baseline gap-x-3 py-1 text-[13.5px] text-rust"
        >
          {clashInWords(clash)}
          {clash.cue.entry === settled.entry && (clash.mend.rules ?? clash.mend.cue) && (
            <Button look="text" className="text-[13.5px]" onClick={() => take(clash)}>
              {mendInWords(clash)}
            </Button>
          )}
        </li>
      ))}
    </ul>
  );
}
