import { X } from 'lucide-react';
import type { Collection } from '#contracts';
import { DEFAULT_CUE_RULES, type Closer, type Cue, type CueRules } from '#core/cue';
import { Button } from '../ui';

const FIRES: Record<CueRules['fires'], string> = {
  last: 'at its last character',
  closing: 'on a closing key',
};
const BEFORE: Record<CueRules['before'], string> = {
  space: 'a space or line start',
  boundary: 'no letter or digit',
  anything: 'anything',
};
const LETTERS: Record<CueRules['letters'], string> = {
  ignored: 'do not matter',
  exact: 'must be as typed here',
  followed: 'carry over to the wording',
};

interface RuleProps<K extends 'fires' | 'before' | 'letters'> {
  rule: K;
  label: string;
  words: Record<CueRules[K], string>;
  cue: Cue;
  collection: Collection | undefined;
  change: (cue: Cue) => void;
}

/** One rule of a cue: the collection's own unless changed here. */
function Rule<K extends 'fires' | 'before' | 'letters'>({
  rule,
  label,
  words,
  cue,
  collection,
  change,
}: RuleProps<K>) {
  const own = cue.rules?.[rule];
  const set = (value: string) => {
    const { [rule]: _old, ...rules } = cue.rules ?? {};
    const next = value === '' ? rules : { ...rules, [rule]: value };
    change(Object.keys(next).length > 0 ? { ...cue, rules: next } : { text: cue.text });
  };
  return (
    <label className="grid min-w-0 text-[12.5px] text-soft">
      {label}
      <select
        className="input bg-page text-[14px]"
        value={own ?? ''}
        onChange={(event) => set(event.target.value)}
      >
        {collection && <option value="">{words[collection.cueRules[rule]]}, as its collection</option>}
        {Object.entries<string>(words).map(([value, said]) => (
          <option key={value} value={value}>
            {said}
          </option>
        ))}
      </select>
    </label>
  );
}

const CLOSERS: Record<Closer, string> = {
  space: 'Space',
  enter: 'Enter',
  tab: 'Tab',
  punctuation: 'punctuation',
};

/** For a cue that waits for a closing key: which keys close it, and what becomes of the key. */
function ClosingKeys({ cue, collection, change }: Pick<RuleProps<'fires'>, 'cue' | 'collection' | 'change'>) {
  const rules = { ...DEFAULT_CUE_RULES, ...collection?.cueRules, ...cue.rules };
  if (rules.fires !== 'closing') return null;
  const set = (changed: Partial<CueRules>) => change({ ...cue, rules: { ...cue.rules, ...changed } });
  const toggle = (closer: Closer) => {
    const closers = rules.closers.includes(closer)
      ? rules.closers.filter((one) => one !== closer)
      : [...rules.closers, closer];
    // A cue that no key closes could never fire.
    if (closers.length > 0) set({ closers });
  };
  return (
    <fieldset className="col-span-full flex flex-wrap items-baseline gap-x-4 text-[14px]">
      <legend className="float-left mr-4 text-[12.5px] text-soft">Closed by</legend>
      {Object.entries(CLOSERS).map(([closer, label]) => (
        <label key={closer} className="flex items-center gap-1.5">
          <input
            type="checkbox"
            className="accent-elder"
            checked={rules.closers.includes(closer as Closer)}
            onChange={() => toggle(closer as Closer)}
          />
          {label}
        </label>
      ))}
      <label className="ml-auto flex items-center gap-1.5">
        <input
          type="checkbox"
          className="accent-elder"
          checked={rules.keepCloser}
          onChange={() => set({ keepCloser: !rules.keepCloser })}
        />
        the key is kept
      </label>
    </fieldset>
  );
}

interface Props {
  cues: readonly Cue[];
  collection: Collection | undefined;
  editable: boolean;
  /** Proposes a free cue for the entry's title. */
  propose: () => string;
  change: (cues: Cue[]) => void;
}

/** An entry's cues, each with what brings it. */
export function CuesEditor({ cues, collection, editable, propose, change }: Props) {
  const set = (index: number, cue: Cue) => change(cues.map((one, at) => (at === index ? cue : one)));
  return (
    <fieldset disabled={!editable}>
      {cues.map((cue, index) => (
        <div
          key={index}
          role="group"
          aria-label={`Cue ${cue.text}`}
          className="grid grid-cols-[6.5rem_1fr_1fr_1fr_auto] items-end gap-4 border-b border-hair py-1.5 max-[899px]:grid-cols-1"
        >
          <label className="grid text-[12.5px] text-soft">
            Typed
            <span className="flex items-baseline">
              <span className="cue text-[15px]">{collection?.leadIn}</span>
              <input
                className="input cue text-[15px]"
                spellCheck={false}
                autoComplete="off"
                maxLength={40}
                value={cue.text}
                onChange={(event) => set(index, { ...cue, text: event.target.value })}
              />
            </span>
          </label>
          <Rule
            rule="fires"
            label="Fires"
            words={FIRES}
            {...{ cue, collection }}
            change={(next) => set(index, next)}
          />
          <Rule
            rule="before"
            label="Before it"
            words={BEFORE}
            {...{ cue, collection }}
            change={(next) => set(index, next)}
          />
          <Rule
            rule="letters"
            label="Capitals"
            words={LETTERS}
            {...{ cue, collection }}
            change={(next) => set(index, next)}
          />
          <button
            type="button"
            aria-label={`Remove cue ${cue.text}`}
            className="rounded-[3px] p-1 text-soft hover:text-elder"
            onClick={() => change(cues.filter((_, at) => at !== index))}
          >
            <X size={15} aria-hidden />
          </button>
          <ClosingKeys cue={cue} collection={collection} change={(next) => set(index, next)} />
        </div>
      ))}
      {editable && (
        <Button className="mt-2 text-[14px]" onClick={() => change([...cues, { text: propose() }])}>
          Add a cue
        </Button>
      )}
      {!editable && cues.length === 0 && (
        <p className="text-[14px] text-soft">No cue: the finder brings it.</p>
      )}
    </fieldset>
  );
}
