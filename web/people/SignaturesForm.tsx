import { useState } from 'react';
import { inWords } from '#client/api';
import { MOST_SIGNATURES, mergedSignatures, type Signature } from '#core/signing';
import { useBankIndex, useKinds, usePreferences } from '../api';
import { useSavePreferences } from '../offers';
import { Button, Failed, Loading, Notice, TextField, Tick } from '../ui';

type Texts = 'label' | 'name' | 'job' | 'email' | 'phone' | 'address';
/** What a set holds: what it is called on the page, and how long it may be. */
const TEXTS: readonly (readonly [Texts, string, number])[] = [
  ['label', 'What you call this set', 60],
  ['name', 'Name', 100],
  ['job', 'Role', 100],
  ['email', 'Email', 200],
  ['phone', 'Phone', 60],
  ['address', 'Address', 300],
];

const flipped = (all: readonly string[], one: string): string[] =>
  all.includes(one) ? all.filter((each) => each !== one) : [...all, one];

interface SetProps {
  set: Signature;
  /** Begun a moment ago: its first line has the keys. */
  isBegun: boolean;
  change: (set: Signature) => void;
  remove: () => void;
}

/** Where a set signs without being asked for. */
function SignsFor({ set, change }: Pick<SetProps, 'set' | 'change'>) {
  const { done, workOf } = useKinds();
  const index = useBankIndex();
  const collections = index?.bank.collections ?? [];
  return (
    <div className="col-span-full grid gap-3">
      <fieldset>
        <legend className="eyebrow">Signs this work</legend>
        <div className="flex flex-wrap gap-x-5">
          {done.map((kind) => (
            <Tick
              key={kind}
              on={set.kinds.includes(kind)}
              toggle={() => change({ ...set, kinds: flipped(set.kinds, kind) })}
            >
              {workOf(kind)}
            </Tick>
          ))}
        </div>
      </fieldset>
      {collections.length > 0 && (
        <fieldset>
          <legend className="eyebrow">Signs entries of these collections</legend>
          <div className="flex max-h-40 flex-wrap gap-x-5 overflow-y-auto">
            {collections.map(({ id, name }) => (
              <Tick
                key={id}
                on={set.collections.includes(id)}
                toggle={() => change({ ...set, collections: flipped(set.collections, id) })}
              >
                {name}
              </Tick>
            ))}
          </div>
        </fieldset>
      )}
    </div>
  );
}

function SetOfDetails({ set, isBegun, change, remove }: SetProps) {
  return (
    <fieldset className="grid grid-cols-2 gap-x-5 gap-y-3 border-t border-hair pt-4 max-[699px]:grid-cols-1">
      <legend className="sr-only">{set.label || 'A new set'}</legend>
      {TEXTS.map(([key, label, most]) => (
        <TextField
          key={key}
          label={label}
          maxLength={most}
          autoFocus={isBegun && key === 'label'}
          value={set[key]}
          placeholder={key === 'label' ? 'such as Field school' : undefined}
          onChange={({ target }) => change({ ...set, [key]: target.value })}
        />
      ))}
      <SignsFor set={set} change={change} />
      <Button look="text" className="justify-self-start" onClick={remove}>
        Remove<span className="sr-only"> {set.label || 'this set'}</span>
      </Button>
    </fieldset>
  );
}

/** The sets as they are written, until they are saved; with what another window of the member saves meanwhile. */
function useSets(saved: readonly Signature[]) {
  /** What was saved when one began to write. */
  const [had, setHad] = useState(saved);
  const [{ sets, written }, setState] = useState({ sets: saved, written: false });
  const saving = useSavePreferences();
  const put = (now: readonly Signature[]) => {
    setState({ sets: now, written: true });
    saving.reset();
  };
  const save = () => {
    const merged = (there: readonly Signature[] = []) => mergedSignatures(had, sets, there);
    saving.mutate((before) => ({ ...before, signatures: merged(before.signatures) }), {
      onSuccess: ({ signatures = [] }) => {
        setHad(signatures);
        // What was written while it was saved stays to be saved.
        setState((now) =>
          now.sets === sets
            ? { sets: signatures, written: false }
            : { sets: mergedSignatures(sets, now.sets, signatures), written: true },
        );
      },
    });
  };
  return { sets, written, put, save, saving };
}

function Sets({ saved }: { saved: readonly Signature[] }) {
  const { sets, written, put, save, saving } = useSets(saved);
  const [begun, setFresh] = useState<string | null>(null);
  const add = () => {
    const fresh = {
      id: crypto.randomUUID(),
      label: '',
      name: '',
      job: '',
      email: '',
      phone: '',
      address: '',
    };
    put([...sets, { ...fresh, kinds: [], collections: [] }]);
    setFresh(fresh.id);
  };
  const unnamed = sets.some(({ label }) => label.trim() === '');
  return (
    <form
      aria-label="Other details to sign with"
      className="grid gap-4 border-t border-hair px-9 py-5 max-[899px]:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        save();
      }}
    >
      <h2 className="section-head">Other details to sign with</h2>
      <p className="text-[14px] text-soft">
        For another role or address. What a set leaves empty is as above; a case can ask for another.
      </p>
      {sets.map((set) => (
        <SetOfDetails
          key={set.id}
          set={set}
          isBegun={set.id === begun}
          change={(now) => put(sets.map((one) => (one.id === now.id ? now : one)))}
          remove={() => put(sets.filter(({ id }) => id !== set.id))}
        />
      ))}
      {saving.error && <Notice tone="warning" title={inWords(saving.error)} />}
      {saving.isSuccess && !written && <Notice title="Saved." />}
      <p className="flex flex-wrap items-baseline gap-4">
        {written && (
          <Button look="main" type="submit" disabled={unnamed || saving.isPending}>
            Save these sets
          </Button>
        )}
        <Button disabled={sets.length >= MOST_SIGNATURES} onClick={add}>
          Add a set
        </Button>
        {unnamed && <span className="text-[13px] text-rust">Give each set a name to save it.</span>}
      </p>
    </form>
  );
}

/** A member's other sets of details: other roles, other addresses, and where each of them signs. */
export function SignaturesForm() {
  const preferences = usePreferences();
  if (preferences.isPending) return <Loading what="your other details" />;
  if (preferences.isError)
    return (
      <Failed what="your other details" error={preferences.error} retry={() => void preferences.refetch()} />
    );
  return <Sets saved={preferences.data.signatures ?? []} />;
}
