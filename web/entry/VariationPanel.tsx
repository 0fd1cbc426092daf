import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import type { Entry } from '#contracts';
import { call, inWords } from '#client/api';
import { takeKept, useEntriesAtHand, useRevision } from '../api';
import { useShell } from '../shell';
import { Button, Notice, SelectField } from '../ui';
import { type BankIndex, variationOf } from '#core/bank';
import { keepUnsaved, readUnsaved, unsavedKey } from '#client/unsaved';
import { DifferenceView } from '../show';

interface Props {
  index: BankIndex;
  entry: Entry;
}

/** For a shared entry: the variation that stands in its place for this member, or a way to make one. */
function OfShared({ index, entry }: Props) {
  const navigate = useNavigate();
  const { bank, collections } = index;
  const there = variationOf(entry.id, bank.entries, collections);
  const places = bank.collections.filter(({ id, right }) => right === 'keep' && id !== entry.collection);
  const own = places.find((one) => one.own) ?? places[0];
  const [place, setPlace] = useState(own?.id ?? '');
  const make = useMutation({
    mutationFn: () =>
      call('makeEntry', {
        body: {
          collection: place,
          content: { ...entry.content, cues: [] },
          reason: 'A variation, as it was',
          varies: { entry: entry.id, revision: entry.revision },
        },
      }),
    onSuccess: (kept) => {
      takeKept(kept);
      void navigate(`/bank/${kept.id}`, {
        state: { said: 'Change it as you like: it is used in place of the other.' },
      });
    },
  });
  if (there)
    return (
      <Notice title="A variation is used in its place.">
        <Link to={`/bank/${there.id}`} className="text-elder underline">
          To the variation in {collections.get(there.collection)?.name}
        </Link>
      </Notice>
    );
  if (!own) return null;
  return (
    <details className="text-[14px]">
      <summary className="cursor-pointer text-elder">Make my own version</summary>
      <div className="mt-2 grid gap-2">
        <p className="text-soft">
          A variation is used in its place, by the same cue; you are told when this one changes.
        </p>
        <SelectField label="Used instead for" value={place} onChange={({ target }) => setPlace(target.value)}>
          {places.map(({ id, name, own: mine }) => (
            <option key={id} value={id}>
              {name}
              {mine && ' (you alone)'}
            </option>
          ))}
        </SelectField>
        {make.error && <Notice tone="warning" title={inWords(make.error)} />}
        <Button className="justify-self-start" disabled={make.isPending} onClick={() => make.mutate()}>
          Make a variation
        </Button>
      </div>
    </details>
  );
}

/** What the shared entry has become since the variation was last held against it. */
function Changed({ entry, shared }: { entry: Entry; shared: Entry }) {
  const seen = entry.varies!.revision;
  const before = useRevision(shared.id, seen).data;
  const noted = useMutation({
    mutationFn: () =>
      call('heldAgainst', { params: { entry: entry.id }, body: { revision: shared.revision } }),
    onSuccess: takeKept,
  });
  return (
    <Notice tone="warning" title={`“${shared.content.title}” has changed since.`}>
      {shared.reason && <p>Why: {shared.reason}</p>}
      {before && (
        <div className="my-2 border-l border-hair pl-3 text-ink">
          <DifferenceView before={before.content} after={shared.content} />
        </div>
      )}
      {noted.error && <p>{inWords(noted.error)}</p>}
      <Button disabled={noted.isPending} onClick={() => noted.mutate()}>
        Done
      </Button>
    </Notice>
  );
}

/** For a variation: what it is used in place of, how they differ, what has changed there, and the way back. */
function OfVariation({ index, entry }: Props) {
  const { member } = useShell();
  const navigate = useNavigate();
  const [compared, setCompared] = useState(false);
  const isHere = useEntriesAtHand([entry.varies!.entry]);
  const shared = index.entries.get(entry.varies!.entry);
  if (!isHere) return null;
  if (!shared)
    return (
      <Notice title="The shared entry it varied was deleted.">
        It is an entry of its own now: give it a cue.
      </Notice>
    );
  const right = index.collections.get(shared.collection)?.right;
  const key = unsavedKey(member.id, shared.id);
  const bring = () => {
    if (!readUnsaved(key))
      keepUnsaved(key, {
        base: shared.revision,
        content: { ...entry.content, title: shared.content.title, cues: shared.content.cues },
        reason: '',
      });
    void navigate(`/bank/${shared.id}`);
  };
  return (
    <section aria-label="Variation" className="grid gap-3">
      <Notice title="This is a variation.">
        It is used in place of{' '}
        <Link to={`/bank/${shared.id}`} className="text-elder underline">
          {shared.content.title}
        </Link>{' '}
        for {index.collections.get(entry.collection)?.name}, by the same cue.
      </Notice>
      {shared.revision > entry.varies!.revision && <Changed entry={entry} shared={shared} />}
      {compared && (
        <div className="border-l border-hair pl-3">
          <DifferenceView before={{ ...shared.content, cues: [] }} after={entry.content} />
        </div>
      )}
      <p className="flex flex-wrap gap-2">
        <Button aria-pressed={compared} onClick={() => setCompared(!compared)}>
          Compare
        </Button>
        {right && right !== 'read' && (
          <Button onClick={bring}>
            {right === 'keep' ? 'Replace the shared entry with it' : 'Propose it'}
          </Button>
        )}
      </p>
    </section>
  );
}

/** Beside an entry: of variations, what there is to know and to do. */
export function VariationPanel({ index, entry }: Props) {
  if (entry.varies) return <OfVariation index={index} entry={entry} />;
  return index.collections.get(entry.collection)?.own ? null : <OfShared index={index} entry={entry} />;
}
