import { useState } from 'react';
import type { Revision, RevisionSummary } from '#contracts';
import type { EntryContent } from '#core/entry';
import { useRevision, useRevisions } from '../api';
import { instantInWords } from '#client/clock';
import { Button, Failed, Loading } from '../ui';
import { DifferenceView, WordingsView } from '../show';

interface Props {
  entry: string;
  /** The revision that stands now; null where none of them does. */
  current: number | null;
  /** What it was, where it is not what the page is about. */
  title?: string;
  /** Takes a revision's content into the editor; null for those who only read. */
  bringBack: ((content: EntryContent, revision: number) => void) | null;
}

/** A revision as it read. */
function Whole({ content }: { content: EntryContent }) {
  return (
    <>
      <p className="text-[14px] font-semibold">{content.title}</p>
      <div className="book text-[15px] leading-[1.9]">
        <WordingsView content={content} />
      </div>
      <p className="text-[13px] text-soft">
        {content.cues.length > 0 ? `Cues: ${content.cues.map(({ text }) => text).join(', ')}` : 'No cue'}
      </p>
    </>
  );
}

/** In what a revision differs from another, the older one read first. */
function Compared({ entry, one, other }: { entry: string; one: Revision; other: number }) {
  const found = useRevision(entry, other);
  if (found.isError)
    return <Failed what="the other revision" error={found.error} retry={() => void found.refetch()} />;
  if (!found.data) return <Loading what="the other revision" />;
  const [before, after] = other < one.revision ? [found.data, one] : [one, found.data];
  return <DifferenceView before={before.content} after={after.content} />;
}

interface ShownProps extends Pick<Props, 'entry' | 'bringBack' | 'current'> {
  revision: number;
  all: readonly RevisionSummary[];
}

function Shown({ entry, revision, current, all, bringBack }: ShownProps) {
  const found = useRevision(entry, revision);
  // The first has none before it: it is shown whole.
  const [other, setOther] = useState(revision - 1);
  if (found.isError)
    return <Failed what="this revision" error={found.error} retry={() => void found.refetch()} />;
  if (!found.data) return <Loading what="the revision" />;
  const { content } = found.data;
  return (
    <div className="grid gap-2 border-l-2 border-leaf py-1 pl-3">
      {all.length > 1 && (
        <label className="grid text-[12.5px] text-soft">
          Compare with
          <select
            className="input bg-paper text-[13.5px] text-ink"
            value={other}
            onChange={({ target }) => setOther(Number(target.value))}
          >
            <option value={0}>nothing (show it all)</option>
            {all
              .filter((one) => one.revision !== revision)
              .map((one) => (
                <option key={one.revision} value={one.revision}>
                  {one.revision === current ? 'the current revision' : `revision ${one.revision}`}
                </option>
              ))}
          </select>
        </label>
      )}
      {other === 0 ? <Whole content={content} /> : <Compared entry={entry} one={found.data} other={other} />}
      {bringBack && (
        <Button className="justify-self-start" onClick={() => bringBack(content, revision)}>
          Bring this revision back
        </Button>
      )}
    </div>
  );
}

/** Who saved the entry when and why, and what that changed; any two compared, any brought back. */
export function History({ entry, current, title, bringBack }: Props) {
  const revisions = useRevisions(entry);
  const [open, setOpen] = useState<number | null>(null);
  return (
    <section aria-label={title === undefined ? 'History' : `History of “${title}”`}>
      <h2 className="section-head">{title === undefined ? 'History' : `Until it was merged: “${title}”`}</h2>
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
              <Shown
                entry={entry}
                revision={revision}
                current={current}
                all={revisions.data}
                bringBack={revision === current ? null : bringBack}
              />
            )}
          </li>
        ))}
      </ol>
    </section>
  );
}

/** The history of an entry that became this one. */
export function HistoryOfMerged({ entry, bringBack }: Pick<Props, 'entry' | 'bringBack'>) {
  const [last] = useRevisions(entry).data ?? [];
  const found = useRevision(entry, last?.revision ?? null);
  if (!found.data) return null;
  return <History entry={entry} current={null} title={found.data.content.title} bringBack={bringBack} />;
}
