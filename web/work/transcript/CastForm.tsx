import { useState } from 'react';
import { clashesIn, isFullCast, MOST_SPEAKERS, type CastClash, type Speaker } from '#core/transcript';
import { Button, Key, Notice } from '../../ui';
import { CastCard } from './CastCard';
import { EarlierCasts } from './EarlierCasts';
import { KeptCasts } from './KeptCasts';
import type { TurnActs } from './turnActs';

interface Props {
  cast: readonly Speaker[];
  /** How many turns each has, by the speaker's id. */
  turns: ReadonlyMap<string, number>;
  acts: TurnActs;
  close: () => void;
}

/** A line that is written on until it is left, or Enter: what is given then is one change. */
function OwnField(props: {
  label: string;
  value: string;
  most: number;
  className?: string;
  set: (value: string) => void;
}) {
  const { label, value, most, className = '', set } = props;
  const [typed, setTyped] = useState<string | null>(null);
  const settle = () => {
    if (typed !== null && typed.trim() !== value) set(typed.trim());
    setTyped(null);
  };
  return (
    <input
      aria-label={label}
      className={`input min-w-0 ${className}`}
      value={typed ?? value}
      maxLength={most}
      autoComplete="off"
      onChange={({ target }) => setTyped(target.value)}
      onBlur={settle}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        settle();
      }}
    />
  );
}

const ADDED = { initials: 'initials', key: 'key' } as const;

/** Two who cannot be told apart, and what is free. */
const Clash = ({ clash: { speaker, other, of, free }, acts }: { clash: CastClash; acts: TurnActs }) => (
  <Notice tone="warning" title={`${speaker.name} and ${other.name} have the same ${ADDED[of]}.`}>
    {free !== '' && (
      <Button look="text" onClick={() => acts.change(speaker.id, { [of]: free })}>
        Use “{free}” for {speaker.name}
      </Button>
    )}
  </Notice>
);

/** One of the cast: who they are, and how to be rid of them. */
function SpeakerRow({
  speaker,
  cast,
  turns,
  acts,
}: { speaker: Speaker; turns: number } & Pick<Props, 'cast' | 'acts'>) {
  const { id, name, initials, key, role } = speaker;
  const change = (now: Partial<Speaker>) => acts.change(id, now);
  return (
    <li className="grid gap-1 border-t border-hair pt-2">
      <div className="grid grid-cols-[1fr_3.2rem_2rem] gap-2">
        <OwnField
          label={`Name of ${name}`}
          value={name}
          most={80}
          set={(to) => to !== '' && change({ name: to })}
        />
        <OwnField
          label={`Initials of ${name}`}
          value={initials}
          most={12}
          set={(to) => change({ initials: to })}
        />
        <OwnField
          label={`Key of ${name}`}
          value={key}
          most={1}
          className="cue text-center"
          set={(to) => change({ key: to.toLowerCase() })}
        />
      </div>
      <div className="grid grid-cols-[1fr_auto] items-center gap-2 text-[13px]">
        <span className="flex items-baseline gap-1.5 text-soft">
          Role
          <OwnField label={`Role of ${name}`} value={role} most={80} set={(to) => change({ role: to })} />
        </span>
        {turns === 0 ? (
          <Button look="text" onClick={() => acts.remove(id)}>
            Remove {name}
          </Button>
        ) : (
          <select
            aria-label={`Merge ${name} into`}
            className="input w-auto max-w-36"
            value=""
            onChange={({ target }) => target.value && acts.merge(id, target.value)}
          >
            <option value="">Merge into …</option>
            {cast
              .filter((one) => one.id !== id)
              .map((one) => (
                <option key={one.id} value={one.id}>
                  {one.name}
                </option>
              ))}
          </select>
        )}
      </div>
    </li>
  );
}

/** Who speaks in the recording: added by name and Enter; initials and keys are given, and can be changed. */
export function CastForm({ cast, turns, acts, close }: Props) {
  const [name, setName] = useState('');
  return (
    <section aria-label="Change the cast" className="slip">
      <h2 className="section-head">Cast</h2>
      <form
        className="mt-2 flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === '' || isFullCast(cast)) return;
          acts.add(name.trim());
          setName('');
        }}
      >
        <label className="grow">
          <span className="eyebrow block">Add a speaker</span>
          <input
            className="input w-full"
            value={name}
            maxLength={80}
            placeholder="Name"
            autoComplete="off"
            autoFocus
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <Button type="submit" disabled={name.trim() === '' || isFullCast(cast)}>
          Add <Key>Enter</Key>
        </Button>
      </form>
      {isFullCast(cast) && (
        <p role="status" className="mt-1 text-[13px] text-soft">
          {MOST_SPEAKERS} speakers are the most. Remove or merge one to add another.
        </p>
      )}
      {cast.length === 0 && <EarlierCasts take={(speakers) => acts.addAll(speakers)} />}
      <KeptCasts cast={cast} take={(speakers) => acts.addAll(speakers)} />
      {cast.length > 0 && (
        <p className="mt-2 grid grid-cols-[1fr_3.2rem_2rem] gap-2 text-[12px] text-soft" aria-hidden>
          <span>Name</span>
          <span>Initials</span>
          <span>Key</span>
        </p>
      )}
      <ul className="grid gap-2">
        {cast.map((speaker) => (
          <SpeakerRow key={speaker.id} {...{ speaker, cast, acts }} turns={turns.get(speaker.id) ?? 0} />
        ))}
      </ul>
      <div className="mt-2 grid gap-2">
        {clashesIn(cast).map((clash) => (
          <Clash key={`${clash.speaker.id} ${clash.of}`} {...{ clash, acts }} />
        ))}
      </div>
      <p className="mt-3 flex items-center gap-4">
        <Button onClick={close}>
          Close <Key>Esc</Key>
        </Button>
        {cast.length > 0 && <CastCard cast={cast} />}
      </p>
    </section>
  );
}
