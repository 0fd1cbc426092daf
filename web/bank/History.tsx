import { useState } from 'react';
import type { EntryContent } from '#core/entry';
import { useRevision, useRevisions } from '../api/queries';
import { instantInWords } from '../clock/calendarToday';
import { Button, Failed, Loading } from '../ui';
import { WordingsView } from './WordingsView';

interface Props {
  entry: string;
  current: number;
  /** Takes a revision's content into the editor; null for those who only read. */
  bringBack: ((content: EntryContent, revision: number) => void) | null;
}

function Shown({
  entry,
  revision,
  bringBack,
}: { entry: string; revision: number } & Pick<Props, 'bringBack'>) {
  const found = useRevision(entry, revision);
  if (found.isError)
    return <Failed what="this revision" error={found.error} retry={() => void found.refetch()} />;
  if (!found.data) return <Loading what="the revision" />;
  const { content } = found.data;
  return (
    <div className="border-l-2 border-leaf py-1 pl-3">
      <p className="text-[14px] font-semibold">{content.title}</p>
      <div className="book text-[15px] leading-[1.9]">
        <WordingsView content={content} />
      </div>
      <p className="text-[13px] text-soft">
        {content.cues.length > 0 ? `Cues: ${content.cues.map(({ text }) => text).join(', ')}` : 'No cue'}
      </p>
      {bringBack && (
        <Button className="mt-1" onClick={() => bringBack(content, revision)}>
          Bring it back
        </Button>
      )}
    </div>
  );
}

/** Who saved the entry when and why; any revision can be looked at and brought back. */
export function History({ entry, current, bringBack }: Props) {
  const revisions = useRevisions(entry);
  const [open, setOpen] = useState<number | null>(null);
  return (
    <section aria-label="History">
      <h2 className="eyebrow">History</h2>
      {revisions.isError && (
        <Failed what="the history" error={revisions.error} retry={() => void revisions.refetch()} />
      )}
      <ol className="mt-1">
        {revisions.data?.map(({ revision, savedAt, savedBy, reason }) => (
          <li key={revision} className="border-b border-hair py-1">
            <button
              type="button"
              aria-expanded={open === revision}
              className="w-full text-left text-[14px] hover:text-elder"
              onClick={() => setOpen(open === revision ? null : revision)}
            >
              <span className="font-medium">
                {revision === current ? 'Now' : `Revision ${revision}`}: {savedBy}
              </span>{' '}
              <span className="text-[12.5px] text-soft">{instantInWords(savedAt)}</span>
              <span className="block text-[13px] text-soft">{reason || 'No reason given'}</span>
            </button>
            {open === revision && (
              <Shown entry={entry} revision={revision} bringBack={revision === current ? null : bringBack} />
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}
