import type { Collection } from '#contracts';
import { DEFAULT_CUE_RULES, type Closer, type Cue, type CueRules } from '#core/cue';
import { BEFORE, CLOSERS, FIRES, LETTERS } from './ruleWords';

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
    change(
      Object.keys(next).length > 0
        ? { ...cue, rules: next }
        : { text: cue.text, ...(cue.as && { as: cue.as }) },
    );
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

/** For a cue that waits for a closing key: which keys close it, and what becomes of the key. */
export function ClosingKeys({
  cue,
  collection,
  change,
}: Pick<RuleProps<'fires'>, 'cue' | 'collection' | 'change'>) {
  const rules = { ...DEFAULT_CUE_RULES, ...collection?.cueRules, ...cue.rules };
  if (rules.fires !== 'closing' && !cue.as) return null;
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
      <legend className="float-left mr-4 text-[12.5px] text-soft">Finish with</legend>
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

type CueProps = Pick<RuleProps<'fires'>, 'cue' | 'collection' | 'change'>;

/** The rules of a cue, as far as its kind has them. */
export function CueRulesOf({ cue, collection, change }: CueProps) {
  const shared = { cue, collection, change };
  if (cue.as === 'keys')
    return (
      <p className="col-span-3 text-[13px] text-soft">Alone, or followed by a letter: press it after them.</p>
    );
  return (
    <>
      {cue.as === 'pattern' ? (
        <p className="text-[13px] text-soft">On a closing key; its groups answer the fields.</p>
      ) : (
        <Rule rule="fires" label="Fires" words={FIRES} {...shared} />
      )}
      <Rule rule="before" label="Before it" words={BEFORE} {...shared} />
      <Rule rule="letters" label="Capitals" words={LETTERS} {...shared} />
    </>
  );
}
