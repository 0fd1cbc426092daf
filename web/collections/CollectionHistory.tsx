import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { KindsOfTeam } from '#core/work';
import type { Collection, CollectionRevision, CollectionSettings } from '#contracts';
import { call } from '#client/api';
import { KEYS, useKinds } from '../api';
import { languageName } from '#core/language';
import { instantInWords } from '#client/clock';
import { BEFORE, CLOSERS, FIRES, LETTERS, MAKING_IN_WORDS } from '../cues';
import { Button, Failed } from '../ui';

/** Settings in lines that can be told from those of another time. */
function linesOf(settings: CollectionSettings, kinds: KindsOfTeam): [string, string][] {
  const { name, leadIn, cueRules, cuesBy, kindsOfWork, language, titles } = settings;
  const { before, fires, closers, keepCloser, letters } = cueRules;
  return [
    ['Name', name],
    ['Lead-in', leadIn || 'none'],
    ['Kinds of work', kinds.inWords(kindsOfWork)],
    ['Language', languageName(language)],
    ['Before a cue', BEFORE[before]],
    [
      'Fires',
      fires === 'last' ? FIRES.last : `at a closing key: ${closers.map((one) => CLOSERS[one]).join(', ')}`,
    ],
    ['The closing key', keepCloser ? 'is written' : 'is dropped'],
    ['Capitals', LETTERS[letters]],
    ['New cues are made from', MAKING_IN_WORDS[cuesBy]],
    ['Titles', titles || 'as one likes'],
  ];
}

function Difference({
  before,
  after,
}: {
  before: CollectionSettings | undefined;
  after: CollectionSettings;
}) {
  const kinds = useKinds();
  const was = new Map(before ? linesOf(before, kinds) : []);
  const changed = linesOf(after, kinds).filter(([what, words]) => was.get(what) !== words);
  if (changed.length === 0) return <p className="text-[13px] text-soft">No differences.</p>;
  return (
    <ul className="text-[13.5px]">
      {changed.map(([what, words]) => (
        <li key={what}>
          {what}: {was.has(what) && <del className="text-rust">{was.get(what)}</del>}{' '}
          <ins className="text-leaf">{words}</ins>
        </li>
      ))}
    </ul>
  );
}

interface Props {
  collection: Collection;
  /** Takes settings into the form; null for those who only read. */
  bringBack: ((settings: CollectionSettings) => void) | null;
}

/** Who set what of a collection when and why; any two compared, any brought back. */
export function CollectionHistory({ collection, bringBack }: Props) {
  const [open, setOpen] = useState<number | null>(null);
  const [beside, setBeside] = useState<number | null>(null);
  const found = useQuery({
    queryKey: KEYS.collectionRevisions(collection.id, collection.version),
    queryFn: () => call('collectionRevisions', { params: { collection: collection.id } }),
  });
  if (found.isError)
    return <Failed what="the history" error={found.error} retry={() => void found.refetch()} />;
  if (!found.data || found.data.length === 0) return null;
  const at = (version: number | null) => found.data.find((one) => one.version === version)?.settings;
  const shown = (one: CollectionRevision) => (
    <div className="grid gap-2 border-l-2 border-leaf py-1 pl-3">
      {found.data.length > 1 && (
        <label className="grid text-[12.5px] text-soft">
          Compare with
          <select
            className="input bg-paper text-[13.5px] text-ink"
            value={beside ?? one.version - 1}
            onChange={({ target }) => setBeside(Number(target.value))}
          >
            <option value={0}>nothing (show it all)</option>
            {found.data
              .filter(({ version }) => version !== one.version)
              .map(({ version }) => (
                <option key={version} value={version}>
                  {version === collection.version ? 'the current revision' : `revision ${version}`}
                </option>
              ))}
          </select>
        </label>
      )}
      <Difference before={at(beside ?? one.version - 1)} after={one.settings} />
      {bringBack && one.version !== collection.version && (
        <Button className="justify-self-start" onClick={() => bringBack(one.settings)}>
          Bring these settings back
        </Button>
      )}
    </div>
  );
  return (
    <section aria-label="History">
      <h2 className="section-head">History</h2>
      <ol className="mt-1">
        {found.data.map((one) => (
          <li key={one.version} className="border-b border-hair py-1">
            <button
              type="button"
              aria-expanded={open === one.version}
              className="w-full text-left text-[14px] hover:text-elder"
              onClick={() => {
                setOpen(open === one.version ? null : one.version);
                setBeside(null);
              }}
            >
              <span className="font-medium">
                {one.version === collection.version ? 'Now' : `Revision ${one.version}`}: {one.savedBy}
              </span>{' '}
              <span className="text-[12.5px] text-soft">{instantInWords(one.savedAt)}</span>
              <span className="block text-[13px] text-soft">{one.reason || 'No reason given'}</span>
            </button>
            {open === one.version && shown(one)}
          </li>
        ))}
      </ol>
    </section>
  );
}
