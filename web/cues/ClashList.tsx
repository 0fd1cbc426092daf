import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Entry } from '#contracts';
import { clashInWords, mendInWords, type Clash } from '#core/cue';
import { call, inWords } from '#client/api';
import { takeKept } from '../api';
import type { BankIndex } from '#core/bank';
import { Button, Notice } from '../ui';

const SHOWN = 50;

/** An entry with the cue of a clash changed as proposed. */
function mended(entry: Entry, { cue, mend }: Clash): Entry['content'] {
  const { content } = entry;
  const cues = content.cues.map((one) => {
    if (cue.leadIn + one.text !== cue.typed || one.as) return one;
    const text = mend.cue ?? one.text;
    return mend.rules ? { ...one, text, rules: { ...one.rules, ...mend.rules } } : { ...one, text };
  });
  return { ...content, cues };
}

interface Props {
  clashes: readonly Clash[];
  index: BankIndex;
}

/** What cues are in conflict with, each in a sentence, with a mend that is one step away where one may take it. */
export function ClashList({ clashes, index }: Props) {
  const [all, setAll] = useState(false);
  const save = useMutation({
    mutationFn: (clash: Clash) => {
      const entry = index.entries.get(clash.cue.entry)!;
      return call('saveEntry', {
        params: { entry: entry.id },
        version: entry.revision,
        body: { content: mended(entry, clash), reason: 'A cue that clashed' },
      });
    },
    onSuccess: takeKept,
  });
  if (clashes.length === 0)
    return <p className="px-9 py-3 text-[14.5px] text-soft max-[899px]:px-4">No clashes.</p>;
  return (
    <>
      {save.error && <Notice tone="warning" title={inWords(save.error)} />}
      <ul>
        {clashes.slice(0, all ? clashes.length : SHOWN).map((clash) => {
          const { code, cue, other, word } = clash;
          const right = index.collections.get(cue.collection.id)?.right;
          const canMend = right === 'keep' && !clash.mend.leadIn && clash.mend.cue !== '';
          return (
            <li
              key={`${code} ${cue.entry} ${cue.typed} ${other?.entry ?? word ?? ''}`}
              className="grid grid-cols-[5.5rem_minmax(0,1fr)_auto] items-baseline gap-x-4 border-b border-hair px-9 py-2 max-[899px]:grid-cols-1 max-[899px]:px-4"
            >
              <Link to={`/bank/${cue.entry}`} className="cue truncate hover:text-elder">
                {cue.typed}
              </Link>
              <span className="text-[14.5px]">{clashInWords(clash)}</span>
              {canMend ? (
                <Button
                  className="text-[13.5px]"
                  disabled={save.isPending}
                  onClick={() => save.mutate(clash)}
                >
                  {mendInWords(clash)}
                </Button>
              ) : (
                <span className="text-[13px] text-soft">{mendInWords(clash)}</span>
              )}
            </li>
          );
        })}
      </ul>
      {clashes.length > SHOWN && !all && (
        <Button look="text" className="px-9 py-2" onClick={() => setAll(true)}>
          All {clashes.length.toLocaleString()}
        </Button>
      )}
    </>
  );
}
