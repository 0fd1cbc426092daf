import { useState } from 'react';
import { SIGN_KINDS, type SignKind } from '#core/intake';
import { Button, Tick } from '../ui';
import type { IntakeState, SignDecided } from './useIntake';

const KINDS: Record<SignKind, string> = {
  text: 'typed words',
  date: 'a date',
  time: 'a time',
  number: 'a number',
  choice: 'a choice',
  person: 'he, she or they',
  writer: 'the writer’s name',
  name: 'the name of the case',
};

const SHOWN = 12;
const places = (count: number) => (count === 1 ? 'once' : `${count.toLocaleString()} times`);

function SignLine({ sign, decide }: { sign: SignDecided; decide: IntakeState['decideSign'] }) {
  const { key, sample, name, kind, isTaken } = sign;
  return (
    <li className="grid gap-1 border-b border-hair py-2 last:border-0">
      <Tick on={isTaken} toggle={() => decide(key, { isTaken: !isTaken })}>
        <span className="font-cue text-[12.5px] break-all">{sample}</span>
        <span className="text-[12.5px] text-soft">{places(sign.places)}</span>
      </Tick>
      {isTaken && (
        <div className="grid grid-cols-2 gap-3 pl-6">
          <input
            aria-label={`Field for ${sample}`}
            className="input text-[13.5px]"
            defaultValue={name}
            maxLength={60}
            onBlur={({ target }) => target.value.trim() !== '' && decide(key, { name: target.value.trim() })}
          />
          <select
            aria-label={`Answer to ${sample}`}
            className="input text-[13.5px]"
            value={kind}
            onChange={({ target }) => decide(key, { kind: target.value as SignKind })}
          >
            {SIGN_KINDS.map((one) => (
              <option key={one} value={one}>
                {KINDS[one]}
              </option>
            ))}
          </select>
        </div>
      )}
    </li>
  );
}

function Shortened<Item>({ all, line }: { all: readonly Item[]; line: (item: Item) => React.ReactNode }) {
  const [isWhole, setWhole] = useState(false);
  return (
    <>
      <ul>{(isWhole ? all : all.slice(0, SHOWN)).map(line)}</ul>
      {all.length > SHOWN && (
        <Button look="text" className="text-[13px]" onClick={() => setWhole(!isWhole)}>
          {isWhole ? 'Show fewer' : `Show all ${all.length.toLocaleString()}`}
        </Button>
      )}
    </>
  );
}

/** What in the wording stands for something else each time, and somebody's details: each shown, and turned into a field or left. */
export function BlanksPanel({ intake }: { intake: IntakeState }) {
  const { signs, decideSign, personal, togglePersonal } = intake;
  return (
    <>
      {signs.length > 0 && (
        <section aria-label="Blanks" className="pt-6">
          <h2 className="eyebrow">Blanks: {signs.length.toLocaleString()}</h2>
          <p className="mt-1 text-[13px] text-soft">
            Those you tick become fields, one for the same sign throughout.
          </p>
          <Shortened
            all={signs}
            line={(sign) => <SignLine key={sign.key} sign={sign} decide={decideSign} />}
          />
        </section>
      )}
      {personal !== null && personal.length > 0 && (
        <section aria-label="Personal details" className="pt-6">
          <h2 className="eyebrow">Personal details? {personal.length.toLocaleString()}</h2>
          <p className="mt-1 text-[13px] text-soft">
            Everyone who uses these entries would see them. Those you tick become fields.
          </p>
          <Shortened
            all={personal}
            line={({ words, places: count, isTaken }) => (
              <li key={words}>
                <Tick on={isTaken} toggle={() => togglePersonal(words)}>
                  <span className="break-words">{words}</span>
                  <span className="text-[12.5px] text-soft">{places(count)}</span>
                </Tick>
              </li>
            )}
          />
        </section>
      )}
    </>
  );
}
