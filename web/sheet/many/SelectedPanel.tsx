import { useState } from 'react';
import type { Entry } from '#contracts';
import { Button, Notice, TextField } from '../../ui';
import { type BankIndex, placesFor } from '#core/bank';
import { MANY_ACTS } from '#client/acts';
import { DeleteAsk, DoneNotice, MoveTo, useMany } from '../../acts';

interface Props {
  index: BankIndex;
  selected: ReadonlySet<string>;
  select: (ids: ReadonlySet<string>) => void;
  close: () => void;
}

/** A word to give, and the act it is given to. */
function WordAct({
  label,
  hint,
  act,
  does,
}: {
  label: string;
  hint: string;
  act: string;
  /** `done` is to be called once it is done. */
  does: (word: string, done: () => void) => void;
}) {
  const [word, setWord] = useState('');
  return (
    <form
      className="flex items-end gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (word.trim() === '') return;
        // It stays where it fails.
        does(word.trim(), () => setWord((now) => (now === word ? '' : now)));
      }}
    >
      <div className="grow">
        <TextField
          label={label}
          placeholder={hint}
          maxLength={60}
          value={word}
          onChange={({ target }) => setWord(target.value)}
        />
      </div>
      <Button type="submit" disabled={word.trim() === ''}>
        {act}
      </Button>
    </form>
  );
}

/** What can be done to the entries selected on the sheet, all of it at once and with an undo. */
export function SelectedPanel({ index, selected, select, close }: Props) {
  const [asking, setAsking] = useState(false);
  const many = useMany(() => setAsking(false));
  const entries = [...selected].flatMap((id) => index.entries.get(id) ?? []);
  const kept = entries.filter(({ collection }) => index.collections.get(collection)?.right === 'keep');
  const places = placesFor(kept, index);
  const run = (
    work: (all: readonly Entry[]) => ReturnType<(typeof MANY_ACTS)['remove']>,
    done?: () => void,
  ) => many.run(() => work(kept), done);
  const isRetired = kept.length > 0 && kept.every(({ content }) => content.retired);
  const none = kept.length === 0 || many.pending;
  return (
    <section aria-label="Selected entries" className="grid gap-4 pt-6">
      <div className="flex items-baseline gap-3">
        <h2 className="section-head grow">
          <span role="status">{entries.length === 0 ? 'None selected' : `${entries.length} selected`}</span>
        </h2>
        {entries.length > 0 && (
          <Button look="text" onClick={() => select(new Set())}>
            Select none
          </Button>
        )}
        <Button look="text" onClick={close}>
          Done
        </Button>
      </div>
      {kept.length < entries.length && (
        <Notice title={`${entries.length - kept.length} of them are kept by others.`}>
          Only the ones you keep will change.
        </Notice>
      )}
      <DoneNotice many={many} />
      <fieldset disabled={none} className="grid gap-4 disabled:opacity-60">
        <MoveTo
          label="Move to"
          places={places}
          to={({ id, name }) => run((all) => MANY_ACTS.move(all, id, name))}
        />
        <WordAct
          label="Tag"
          hint="such as winter"
          act="Tag"
          does={(tag, done) => run((all) => MANY_ACTS.tag(all, tag), done)}
        />
        <WordAct
          label="Start their cues with"
          hint="a character or two"
          act="Add"
          does={(lead, done) => run((all) => MANY_ACTS.putBefore(all, lead), done)}
        />
        <p className="flex flex-wrap gap-2">
          {isRetired ? (
            <Button onClick={() => run(MANY_ACTS.takeUp)}>Put back in use</Button>
          ) : (
            <Button onClick={() => run(MANY_ACTS.retire)}>Take out of use</Button>
          )}
          <Button onClick={() => setAsking(true)}>Delete</Button>
        </p>
      </fieldset>
      {asking && kept.length > 0 && (
        <DeleteAsk entries={kept} go={() => run(MANY_ACTS.remove)} close={() => setAsking(false)} />
      )}
    </section>
  );
}
