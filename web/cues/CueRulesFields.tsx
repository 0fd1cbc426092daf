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

/** One rule of a cue as a live word of a sentence: the collection's own unless changed here, and then in the strong colour. */
function Rule<K extends 'fires' | 'before' | 'letters'>({
  rule,
  label,
  words,
  cue,
  collection,
  change,
}: RuleProps<K>) {
  const said = cue.rules?.[rule];
  const own = collection && said === collection.cueRules[rule] ? undefined : said;
  const set = (value: string) => {
    const { [rule]: _old, ...rules } = cue.rules ?? {};
    const next = value === '' ? rules : { ...rules, [rule]: value };
    change(
      Object.keys(next).length > 0
        ? { ...cue, rules: next }
        : { text: cue.text, ...(cue.as && { as: cue.as }) },
    );
  };
  // The collection's own is no choice of this cue's: to choose it is to have no rule of one's own.
  const usual = collection?.cueRules[rule];
  return (
    <select
      aria-label={label}
      className={`live-word ${own !== undefined && collection ? 'font-semibold text-elder' : ''}`}
      value={own ?? ''}
      onChange={(event) => set(event.target.value)}
    >
      {usual !== undefined && <option value="">{words[usual]}</option>}
      {Object.entries<string>(words)
        .filter(([value]) => value !== usual)
        .map(([value, said]) => (
          <option key={value} value={value}>
            {said}
          </option>
        ))}
    </select>
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
        keep the key
      </label>
    </fieldset>
  );
}

type CueProps = Pick<RuleProps<'fires'>, 'cue' | 'collection' | 'change'>;

/** The rules of a cue as one sentence whose words are chosen, as far as its kind has them. */
export function CueRulesOf({ cue, collection, change }: CueProps) {
  const shared = { cue, collection, change };
  if (cue.as === 'keys')
    return (
      <p className="col-span-3 text-[13px] text-soft">Alone, or followed by a letter: press it after them.</p>
    );
  return (
    <p className="col-span-3 text-[14px] leading-[1.9] text-soft">
      {cue.as === 'pattern' ? (
        'Its groups answer the fields. It comes on a closing key'
      ) : (
        <>
          It comes <Rule rule="fires" label="Fires" words={FIRES} {...shared} />
        </>
      )}
      , after <Rule rule="before" label="Before it" words={BEFORE} {...shared} />. Capitals{' '}
      <Rule rule="letters" label="Capitals" words={LETTERS} {...shared} />.
    </p>
  );
}
