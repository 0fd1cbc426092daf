import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Entry } from '#contracts';
import { useShell } from '../shell';
import { Button, Notice } from '../ui';
import { type BankIndex, placesFor } from '#core/bank';
import { MANY_ACTS } from '#client/acts';
import { keepUnsaved, readUnsaved, unsavedKey } from '#client/unsaved';
import { DeleteAsk, DoneNotice, MoveTo, useMany } from '../acts';

interface Props {
  index: BankIndex;
  entry: Entry;
  /** Whether the member keeps the collection it is in. */
  keeps: boolean;
  /** Whether there is a change of it that is not saved. */
  isChanged: boolean;
}

/** What can be done with a whole entry: moved, copied, taken out of use, deleted. */
export function EntryActions({ index, entry, keeps, isChanged }: Props) {
  const { member } = useShell();
  const navigate = useNavigate();
  const [asking, setAsking] = useState<'delete' | 'replace' | null>(null);
  const many = useMany(() => setAsking(null));
  const { retired, title } = entry.content;
  const fresh = unsavedKey(member.id, undefined);
  const openNew = (said?: string) =>
    void navigate('/bank/new', { state: { said, collection: keeps ? entry.collection : undefined } });
  const copy = () => {
    // Its cue stays with the first: two with one cue would clash.
    const content = { ...entry.content, title: `${title.slice(0, 190)}, a copy`, cues: [] };
    keepUnsaved(fresh, { base: 0, content, reason: '' });
    openNew('A copy. The cue stays with the first; give this copy its own.');
  };
  return (
    <section aria-label="This entry" className="grid gap-2">
      <h2 className="section-head">This entry</h2>
      <DoneNotice many={many} />
      {keeps && (
        <MoveTo
          label="Move to"
          places={placesFor([entry], index).filter(({ id }) => id !== entry.collection)}
          disabled={isChanged || many.pending}
          to={(place) => many.run(() => MANY_ACTS.move([entry], place.id, place.name))}
        />
      )}
      <p className="flex flex-wrap gap-2">
        <Button onClick={() => (readUnsaved(fresh) ? setAsking('replace') : copy())}>Copy the entry</Button>
        {keeps && !retired && (
          <Button
            disabled={isChanged || many.pending}
            onClick={() => many.run(() => MANY_ACTS.retire([entry]))}
          >
            Take out of use
          </Button>
        )}
        {keeps && retired && (
          <Button
            disabled={isChanged || many.pending}
            onClick={() => many.run(() => MANY_ACTS.takeUp([entry]))}
          >
            Put back in use
          </Button>
        )}
        {keeps && <Button onClick={() => setAsking('delete')}>Delete the entry</Button>}
      </p>
      {asking === 'replace' && (
        <Notice tone="warning" title="You have begun another entry and not saved it.">
          <p className="flex flex-wrap gap-2">
            <Button onClick={() => openNew()}>Continue that one</Button>
            <Button onClick={copy}>Discard it and copy</Button>
          </p>
        </Notice>
      )}
      {asking === 'delete' && (
        <DeleteAsk
          entries={[entry]}
          go={() =>
            many.run(async () => {
              const done = await MANY_ACTS.remove([entry]);
              void navigate('/bank');
              return done;
            })
          }
          close={() => setAsking(null)}
        />
      )}
    </section>
  );
}
